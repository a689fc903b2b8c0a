import { useState } from 'react';
import { Text, View } from 'react-native';
import { BarChart } from 'react-native-gifted-charts';

import type { Laying } from '@core/model';
import { minutesText, sentenceOf } from '@core/wording';
import { layerPrinterIn, layerSetsIn } from '@core/workshop';

import { useNotices } from '../api/notices';
import { useRepairContext } from '../inRepair/useRepairContext';
import { Button } from '../shared/Button';
import { colours } from '../theme/colours';
import { layerWorker } from './layerWorker';
import type { ComparedReply, LayWish } from './protocol';
import { wishOf } from './useLayers';

interface Row {
  id: string;
  name: string;
  /** What it differs in, in a word. */
  short: string;
  reply: ComparedReply | null;
  sentence: string | null;
  chosen: boolean;
}

/** What other printers and settings would take, in one table and one chart; worked out when asked for. */
export function CompareMakes({ laying, wish }: { laying: Laying; wish: LayWish }) {
  const { repair, numbers } = useRepairContext();
  const { say } = useNotices();
  const [rows, setRows] = useState<Row[]>([]);
  const [share, setShare] = useState<number | null>(null);
  const key = JSON.stringify(wish);
  const [comparedFor, setComparedFor] = useState('');

  const compare = async () => {
    const { workshop } = numbers;
    const on = (machineId: string, settings: string) =>
      wishOf({ ...laying, settings }, { ...repair, head: { ...repair.head, machineId } }, workshop);
    const machines = workshop.machines.filter(
      ({ id, removed }) => !removed && layerPrinterIn(workshop, id) !== null,
    );
    const wishes = [
      ...machines.map(({ id }) => on(id, laying.settings)),
      ...layerSetsIn(workshop)
        .filter(({ id }) => id !== wish.settings.id)
        .map(({ id }) => on(wish.machine.id, id)),
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
        short: index < machines.length ? one.machine.name.split(' ')[0]! : one.settings.name,
        reply: reply.ok ? reply.value : null,
        sentence: reply.ok ? null : sentenceOf(reply.fault),
        chosen: JSON.stringify(one) === key,
      });
    }
    setRows(found);
    setComparedFor(key);
    setShare(null);
  };
  const failed = () => {
    setShare(null);
    say({
      tone: 'wrong',
      text: 'They could not be compared. Try again; if it fails again, change the part a little.',
    });
  };
  const shown = comparedFor === key ? rows : [];
  return (
    <View className="gap-2">
      <Button
        label={share === null ? 'Compare printers and settings' : `Comparing, ${(100 * share).toFixed(0)} %`}
        busy={share !== null}
        onPress={() => void compare().catch(failed)}
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
          className={`${index === 0 ? 'flex-1' : 'w-[62px] text-right'} ${head ? 'font-label text-muted' : chosen ? 'font-semibold text-ink' : 'font-number text-ink'} text-[14.5px] tabular-nums`}
        >
          {cell}
        </Text>
      ))}
    </View>
  );
}

/** Minutes of each, as bars; the chosen one inked. */
function Minutes({ rows }: { rows: readonly Row[] }) {
  const [width, setWidth] = useState(0);
  const bars = rows.flatMap(({ name, short, reply, chosen }) =>
    reply
      ? [
          {
            name,
            value: Math.round(reply.figures.minutes),
            label: short,
            frontColor: chosen ? colours.ink : colours.putty.DEFAULT,
            topLabelComponent: () => (
              <Text className="font-number text-[12px] tabular-nums text-ink">
                {reply.figures.minutes.toFixed(0)}
              </Text>
            ),
          },
        ]
      : [],
  );
  const room = bars.length > 0 ? (width - 24) / bars.length : 0;
  return (
    <View
      role="img"
      aria-label={`Minutes: ${bars.map(({ name, value }) => `${name} ${value}`).join('; ')}`}
      onLayout={({ nativeEvent: { layout } }) => setWidth(layout.width)}
      className="overflow-hidden rounded-lg border border-line bg-card pb-1 pt-2"
    >
      <Text className="px-3 pb-3 font-label text-[13.5px] text-muted">Minutes</Text>
      {width > 0 ? (
        <BarChart
          data={bars}
          width={width - 24}
          height={130}
          barWidth={room * 0.56}
          spacing={room * 0.44}
          initialSpacing={room * 0.22}
          endSpacing={0}
          barBorderRadius={2}
          hideYAxisText
          hideRules
          yAxisThickness={0}
          yAxisLabelWidth={12}
          xAxisThickness={1}
          xAxisColor={colours.rule}
          isAnimated={false}
          disableScroll
          xAxisLabelTextStyle={{
            color: colours.ink,
            fontSize: 12,
            fontFamily: 'BarlowSemiCondensed_500Medium',
          }}
        />
      ) : null}
    </View>
  );
}
