import { useState } from 'react';
import { Text, View } from 'react-native';
import { BarChart } from 'react-native-gifted-charts';

import { LAYER_MACHINES } from '@core/printing';
import { LAYER_SETTINGS } from '@core/slice';
import { minutesText, sentenceOf } from '@core/wording';

import { useRepairContext } from '../inRepair/useRepairContext';
import { Button } from '../shared/Button';
import { colours } from '../theme/colours';
import { layerWorker } from './layerWorker';
import type { ComparedReply, LayWish } from './protocol';

interface Row {
  id: string;
  name: string;
  reply: ComparedReply | null;
  sentence: string | null;
  chosen: boolean;
}

/** What other printers and settings would take, in one table and one chart; worked out when asked for. */
export function CompareMakes({ wish }: { wish: LayWish }) {
  const { numbers } = useRepairContext();
  const [rows, setRows] = useState<Row[]>([]);
  const [share, setShare] = useState<number | null>(null);
  const key = JSON.stringify(wish);
  const [comparedFor, setComparedFor] = useState('');

  const compare = async () => {
    const machines = numbers.workshop.machines.filter(
      ({ id, removed }) => !removed && LAYER_MACHINES.some((known) => known.id === id),
    );
    const wishes = [
      ...machines.map((machine) => ({ ...wish, machine: { id: machine.id, name: machine.name } })),
      ...LAYER_SETTINGS.filter(({ id }) => id !== wish.settings.id).map((settings) => ({
        ...wish,
        settings: { ...settings, support: wish.settings.support, foot: wish.settings.foot },
      })),
    ];
    const found: Row[] = [];
    setShare(0);
    for (const [index, one] of wishes.entries()) {
      const reply = await layerWorker().compare(one);
      setShare((index + 1) / wishes.length);
      if (!reply) break;
      found.push({
        id: `${one.machine.id} ${one.settings.id}`,
        name: `${one.machine.name}, ${one.settings.name.toLowerCase()}`,
        reply: reply.ok ? reply.value : null,
        sentence: reply.ok ? null : sentenceOf(reply.fault),
        chosen: JSON.stringify(one) === key,
      });
    }
    setRows(found);
    setComparedFor(key);
    setShare(null);
  };
  const shown = comparedFor === key ? rows : [];
  return (
    <View className="gap-2">
      <Button
        label={share === null ? 'Compare printers and settings' : `Comparing, ${(100 * share).toFixed(0)} %`}
        busy={share !== null}
        onPress={() => void compare()}
      />
      {shown.length > 0 ? (
        <>
          <View
            role="table"
            aria-label="What each way of making takes"
            className="rounded-lg border border-line bg-card"
          >
            <TableRow cells={['', 'Time', 'Weight', 'Cost']} head />
            {shown.map(({ id, name, reply, sentence, chosen }) =>
              reply ? (
                <TableRow
                  key={id}
                  chosen={chosen}
                  cells={[
                    name,
                    minutesText(reply.figures.minutes),
                    `${reply.figures.grams.toFixed(1)} g`,
                    reply.figures.cost.whole.toFixed(2),
                  ]}
                />
              ) : (
                <Text key={id} className="border-t border-line px-3 py-2 font-label text-[13.5px] text-rust">
                  {`${name}: ${sentence}`}
                </Text>
              ),
            )}
          </View>
          <Minutes rows={shown} />
        </>
      ) : null}
    </View>
  );
}

function TableRow({ cells, head, chosen }: { cells: string[]; head?: boolean; chosen?: boolean }) {
  return (
    <View role="row" className={`flex-row gap-2 px-3 py-2 ${head ? '' : 'border-t border-line'}`}>
      {cells.map((cell, index) => (
        <Text
          key={index}
          role={head ? 'columnheader' : 'cell'}
          className={`${index === 0 ? 'flex-1' : 'w-[76px] text-right'} ${head ? 'font-label text-muted' : chosen ? 'font-semibold text-ink' : 'font-number text-ink'} text-[14.5px] tabular-nums`}
        >
          {cell}
        </Text>
      ))}
    </View>
  );
}

/** Minutes of each, as bars; the chosen one inked. */
function Minutes({ rows }: { rows: readonly Row[] }) {
  const bars = rows.flatMap(({ name, reply, chosen }) =>
    reply
      ? [
          {
            value: reply.figures.minutes,
            label: name.replace(/,.*/, '').split(' ')[0] + ', ' + name.replace(/.*, /, ''),
            frontColor: chosen ? colours.ink : colours.putty.DEFAULT,
          },
        ]
      : [],
  );
  return (
    <View
      role="img"
      aria-label={`Minutes: ${bars.map(({ label, value }) => `${label} ${value.toFixed(0)}`).join('; ')}`}
      className="overflow-hidden rounded-lg border border-line bg-card py-2"
    >
      <Text className="px-3 pb-1 font-label text-[13.5px] text-muted">Minutes</Text>
      <BarChart
        horizontal
        data={bars}
        height={300}
        barWidth={16}
        spacing={18}
        barBorderRadius={2}
        yAxisThickness={0}
        xAxisThickness={1}
        xAxisColor={colours.rule}
        rulesColor={colours.line}
        noOfSections={4}
        isAnimated={false}
        disableScroll
        yAxisTextStyle={{ color: colours.muted, fontSize: 11 }}
        xAxisLabelTextStyle={{ color: colours.ink, fontSize: 12, width: 110 }}
        labelWidth={110}
      />
    </View>
  );
}
