import { sliceRequestOf, type SliceRequest, type RequestedSpare } from '@core/making/printing';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { BarChart } from 'react-native-gifted-charts';

import { leastChance, type MakeChoice } from '@core/fitting/fit';
import { USUAL_PRINT_SETUP, workshopRows } from '@core/record/model';
import { bearsBeside, bearsMpaBeside, minutesText, sentenceOf } from '@core/reporting/wording';
import { bornByOther, madeOf } from '@core/checking/strength';
import { layerPrinterIn, layerSetsIn, resinPrinterIn, resinSetsIn } from '@core/record/workshop';

import { useNotices } from '../api/notices';
import { useWeakest } from '../frame/useWeakest';
import { useRepairContext } from '../inRepair/useRepairContext';
import { Button } from '../shared/Button';
import { colours } from '../theme/colours';
import { layerWorker } from './layerWorker';
import type { ComparedReply } from './protocol';
import { settingOf } from './useLayers';

interface Row {
  id: string;
  name: string;
  /** What it differs in, in a word; null for what the chart leaves out. */
  short: string | null;
  /** Of the fit that is least likely to go as wished; null where there is none. */
  chance: number | null;
  choice: MakeChoice;
  reply: ComparedReply | null;
  sentence: string | null;
  chosen: boolean;
}

/** A way of making that is asked about. */
interface Asked {
  choice: MakeChoice;
  request: SliceRequest;
}

/** What other printers, settings and materials would take, in one table and one chart; worked out when asked for. */
export function CompareMakes({
  onBed,
  request,
}: {
  onBed: readonly RequestedSpare[];
  request: SliceRequest;
}) {
  const { repair, numbers } = useRepairContext();
  const { say } = useNotices();
  const [{ body: leading }] = onBed as [RequestedSpare];
  const found = useWeakest(leading);
  const section = found?.weakest ?? null;
  const [rows, setRows] = useState<Row[]>([]);
  const [share, setShare] = useState<number | null>(null);
  const key = JSON.stringify(request);
  const [comparedFor, setComparedFor] = useState('');

  const bearsIn = ({ machineId, materialId }: MakeChoice): string => {
    const { workshop } = numbers;
    const made = madeOf(leading, { ...repair.head, machineId, materialId }, workshop);
    return section && found
      ? bearsBeside(bornByOther(section, found.load, made))
      : bearsMpaBeside(made.alongMpa, made.across);
  };
  const compare = async () => {
    const { workshop } = numbers;
    const { head } = repair;
    const so = (change: Partial<MakeChoice>, settings?: string): Asked => {
      const choice = { machineId: head.machineId, materialId: head.materialId, ...change };
      // Other settings are those of all that lies there.
      const laid = onBed.map((one) =>
        settings === undefined
          ? one
          : {
              ...one,
              body: { ...one.body, laying: { ...(one.body.laying ?? USUAL_PRINT_SETUP), settings } },
            },
      );
      return { choice, request: sliceRequestOf(laid, { ...head, ...choice }, workshop) };
    };
    const inResin = request.resin !== null;
    // Others of its kind: what is no resin is no choice for a resin printer, and the other way round.
    const means = inResin ? resinPrinterIn : layerPrinterIn;
    const machines = workshop.machines.filter(({ id, removed }) => !removed && means(workshop, id) !== null);
    const sets = (inResin ? resinSetsIn : layerSetsIn)(workshop).filter(
      ({ id }) => id !== settingOf(request).id,
    );
    const asked = [
      ...machines.map(({ id }) => so({ machineId: id })),
      ...sets.map(({ id }) => so({}, id)),
      ...workshopRows(workshop, inResin ? 'resin' : 'filament')
        .filter(({ id, removed }) => !removed && id !== head.materialId)
        .map(({ id }) => so({ materialId: id })),
    ];
    const found: Row[] = [];
    setShare(0);
    for (const [index, { request: one, choice }] of asked.entries()) {
      const reply = await layerWorker().compare(one);
      setShare((index + 1) / asked.length);
      if (!reply) break;
      const isMaterial = index >= machines.length + sets.length;
      found.push({
        id: `${one.machine.id} ${settingOf(one).id} ${one.material.id}`,
        name: isMaterial ? one.material.name : `${one.machine.name}, ${settingOf(one).name.toLowerCase()}`,
        short: isMaterial
          ? null
          : index < machines.length
            ? one.machine.name.split(' ')[0]!
            : settingOf(one).name,
        choice,
        chance: leastOf(onBed.map(({ body }) => leastChance(body.id, repair, workshop, choice))),
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
        label={
          share === null
            ? 'Compare printers, settings and materials'
            : `Comparing, ${(100 * share).toFixed(0)} %`
        }
        busy={share !== null}
        onPress={() => void compare().catch(failed)}
      />
      {shown.length > 0 ? (
        <>
          <View
            role="table"
            aria-label="Time, weight and cost of each"
            className="rounded-lg border border-line bg-card"
          >
            <TableRow cells={['', 'Time', 'Weight', 'Cost', 'Fits']} head />
            {shown.map(({ id, name, choice, chance, reply, sentence, chosen }) =>
              reply ? (
                <TableRow
                  key={id}
                  chosen={chosen}
                  under={bearsIn(choice)}
                  cells={[
                    name,
                    minutesText(reply.figures.minutes),
                    `${reply.figures.grams.toFixed(1)} g`,
                    reply.figures.cost.whole.toFixed(2),
                    chance === null ? '' : `${Math.round(100 * chance)} %`,
                  ]}
                />
              ) : (
                <Text key={id} className="border-t border-line px-3 py-2 font-label text-[13.5px] text-rust">
                  {`${name}: ${sentence}`}
                </Text>
              ),
            )}
          </View>
          <Text className="font-label text-[13.5px] leading-5 text-muted">
            {`Fits: the chance that the first print fits, at its least likely fit.${
              section
                ? ' Holds: at the weakest section between load and hold (guidance).'
                : ' Allows: the allowable stress along its layers / across them. Point at the load above to see it in newtons.'
            }`}
          </Text>
          <Minutes rows={shown} />
        </>
      ) : null}
    </View>
  );
}

function leastOf(chances: readonly (number | null)[]): number | null {
  const known = chances.filter((chance) => chance !== null);
  return known.length > 0 ? Math.min(...known) : null;
}

/** Of the columns after the name. */
const WIDTHS = ['', 'w-[64px]', 'w-[52px]', 'w-[40px]', 'w-[40px]'];

function TableRow({
  cells,
  head,
  chosen,
  under,
}: {
  cells: string[];
  head?: boolean;
  chosen?: boolean;
  /** Below the name. */
  under?: string;
}) {
  return (
    <View role="row" className={`flex-row gap-2 px-3 py-2 ${head ? '' : 'border-t border-line'}`}>
      {cells.map((cell, index) => (
        <Text
          key={index}
          role={head ? 'columnheader' : 'cell'}
          className={`${index === 0 ? 'flex-1' : `${WIDTHS[index]} text-right`} ${head ? 'font-label text-muted' : chosen ? 'font-semibold text-ink' : 'font-number text-ink'} text-[14.5px] tabular-nums`}
        >
          {cell}
          {index === 0 && under ? (
            <Text className="font-label text-[13px] text-muted">{`\n${under}`}</Text>
          ) : null}
        </Text>
      ))}
    </View>
  );
}

/** Minutes of each, as bars; the chosen one inked. */
function Minutes({ rows }: { rows: readonly Row[] }) {
  const [width, setWidth] = useState(0);
  const bars = rows.flatMap(({ name, short, reply, chosen }) =>
    reply && short
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
