import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';

import {
  driftOf,
  expectedMake,
  habitsOf,
  machineThatLearned,
  usesWhatItLearned,
  type MadeSize,
} from '@core/fitting/learn';
import { FeatureKind, TrialList, type Machine, type MaterialFamily, type Workshop } from '@core/record/model';
import { instrumentOf, learnedFrom, madeSizesOf, trialsOf } from '@core/fitting/trial';
import { correctionOf, layerPrinterIn, materialIn } from '@core/record/workshop';

import { ask } from '../api/client';
import type { useChangeWorkshop } from '../api/useWorkshop';
import { useShow } from '../preferences/useShow';
import { Button } from '../shared/Button';
import { EmptyState } from '../shared/EmptyState';
import { GroupHeading } from '../shared/Heading';
import { Loading } from '../shared/Loading';
import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';
import { colours } from '../theme/colours';
import { BeginLikeOthers } from './BeginLikeOthers';
import { DriftNotice, LearnsSince } from './DriftNotice';
import { FirstLayerHabit } from './FirstLayerHabit';
import { FAMILY_WORDS, FEATURE_WORDS } from './words';

/** What a machine was found to do, from the trials of all repairs: asked against made, with the band that is known so far. */
export function HabitsSheet({
  machine,
  workshop,
  onSave,
  onClose,
}: {
  machine: Machine;
  workshop: Workshop;
  onSave: ReturnType<typeof useChangeWorkshop>;
  onClose(): void;
}) {
  const query = useQuery({
    queryKey: ['trials', 'workshop'],
    queryFn: ({ signal }) => ask('/trials', { reply: TrialList, signal }),
  });
  const trials = query.data?.trials ?? [];
  const families = [
    ...new Set(
      trials
        .filter(({ machineId }) => machineId === machine.id)
        .map(({ materialId }) => materialIn(workshop, materialId).family),
    ),
  ];
  const [family, setFamily] = useState<MaterialFamily | null>(null);
  const [feature, setFeature] = useState<FeatureKind>('inside');
  const shown = family ?? families[0] ?? 'plastic';
  const counted = trialsOf(trials, machine, shown, workshop);
  const instrument = instrumentOf(counted, workshop);
  const made = madeSizesOf(counted, workshop, instrument);
  const learned = machineThatLearned(machine, shown, instrument, made, learnedFrom(made));
  const isTaken = usesWhatItLearned(machine, learned);
  const printer = layerPrinterIn(workshop, machine.id);
  const hasLearned = machine.corrections.some((one) => one.learned && one.family === shown);
  return (
    <Sheet title={`Habits of ${machine.name}`} onClose={onClose}>
      {query.isPending ? (
        <Loading what="Fetching the trials…" />
      ) : query.isError ? (
        <EmptyState
          text="The trials can’t be fetched. Start the server, then try again."
          action={{ label: 'Try again', onPress: () => void query.refetch() }}
        />
      ) : made.length === 0 ? (
        <>
          <EmptyState text="Nothing was measured yet that this machine made. Make a spare or a gauge row on it, and measure it under Trial." />
          <BeginLikeOthers machine={machine} workshop={workshop} onSave={onSave} onClose={onClose} />
          <LearnsSince machine={machine} onSave={onSave} />
        </>
      ) : (
        <>
          {families.length > 1 ? (
            <Switch<MaterialFamily>
              label="Material"
              options={families.map((id) => ({ id, word: FAMILY_WORDS[id] }))}
              value={shown}
              onChange={setFamily}
            />
          ) : null}
          <Switch<FeatureKind>
            label="Kind of size"
            options={FeatureKind.options.map((id) => ({
              id,
              word: KIND_WORDS[id],
              spoken: FEATURE_WORDS[id],
            }))}
            value={feature}
            onChange={setFeature}
          />
          <HabitChart
            machine={machine}
            family={shown}
            feature={feature}
            made={made}
            habits={habitsOf(machine, shown, instrument, made)}
          />
          <LearnsSince machine={machine} onSave={onSave} />
          <DriftNotice
            machine={machine}
            drift={driftOf(machine, shown, instrument, made)}
            trials={counted}
            onSave={onSave}
          />
          <Corrections machine={machine} learned={learned} family={shown} />
          {isTaken ? (
            <Text role="status" className="font-medium text-[15px] text-moss">
              Working sizes use what was learned.
            </Text>
          ) : (
            <Button
              tone="primary"
              label="Use what was learned"
              onPress={() => {
                onSave('machine', learned, `${machine.name} has learned. Working sizes follow.`);
                onClose();
              }}
            />
          )}
          {hasLearned ? (
            <Button
              label="Forget what was learned"
              onPress={() => {
                onSave(
                  'machine',
                  machineThatLearned(machine, shown, instrument, [], ''),
                  `${machine.name} is as it was before it learned of ${FAMILY_WORDS[shown]}.`,
                );
                onClose();
              }}
            />
          ) : null}
          {printer ? (
            <FirstLayerHabit
              machine={machine}
              printer={printer}
              family={shown}
              trials={counted}
              workshop={workshop}
              onSave={onSave}
            />
          ) : null}
        </>
      )}
    </Sheet>
  );
}

/** Corrections now, and as the trials teach them, for a size of 10 mm. */
function Corrections({
  machine,
  learned,
  family,
}: {
  machine: Machine;
  learned: Machine;
  family: MaterialFamily;
}) {
  const show = useShow();
  return (
    <View role="table" aria-label="Corrections now, and as learned">
      <GroupHeading>Added to a size of 10 mm: now, and as learned</GroupHeading>
      {FeatureKind.options.map((kind) => {
        const [now, next] = [machine, learned].map((one) => correctionOf(one, family, kind, 10));
        return (
          <View key={kind} role="row" className="flex-row py-1">
            <Text role="cell" className="flex-1 font-label text-[15px] text-muted">
              {FEATURE_WORDS[kind]}
            </Text>
            <Text role="cell" className="w-[92px] text-right font-number text-[15px] tabular-nums text-muted">
              {show.signed(now!.mm)}
            </Text>
            <Text role="cell" className="w-[128px] text-right font-number text-[15px] tabular-nums text-plum">
              {`${show.signed(next!.mm)} ± ${show.uncertainty(next!.plusMinusMm)}`}
            </Text>
          </View>
        );
      })}
    </View>
  );
}

const KIND_WORDS: Record<FeatureKind, string> = {
  inside: 'Insides',
  outside: 'Outsides',
  spacing: 'Spacings',
  height: 'Heights',
};

const HEIGHT = 190;
/** Points along the band. */
const STEPS = 25;

/** Made less asked over what was asked: each made size a point, the habit a line in its band. */
function HabitChart({
  machine,
  family,
  feature,
  made,
  habits,
}: {
  machine: Machine;
  family: MaterialFamily;
  feature: FeatureKind;
  made: readonly MadeSize[];
  habits: ReturnType<typeof habitsOf>;
}) {
  const show = useShow();
  const [width, setWidth] = useState(0);
  const points = made.filter((one) => one.feature === feature);
  const longest = Math.max(20, ...points.map(({ askedMm }) => askedMm)) * 1.1;
  const at = (step: number) => (longest * step) / (STEPS - 1);
  const band = Array.from({ length: STEPS }, (_, step) =>
    expectedMake(habits, { kind: feature, fitFeature: null }, at(step)),
  );
  const offs = points.map(({ askedMm, madeMm }) => madeMm - askedMm);
  const [low, high] = [
    Math.min(0, ...offs, ...band.map(({ mean, scale }) => mean - 2 * scale)) - 0.02,
    Math.max(0, ...offs, ...band.map(({ mean, scale }) => mean + 2 * scale)) + 0.02,
  ];
  // The chart counts from nought: everything is lifted by the lowest value.
  const lifted = (value: number) => value - low;
  const lineOf = (pick: (one: (typeof band)[number]) => number) =>
    band.map((one, step) => ({
      value: lifted(pick(one)),
      // A quarter of the way each.
      ...(step % 6 === 0 && step > 0 && step < STEPS - 1 ? { label: show.number(at(step), 0) } : {}),
    }));
  const zero = -correctionOf(machine, family, feature, 10).mm;
  const inner = width - 52;
  return (
    <View
      role="img"
      aria-label={`${FEATURE_WORDS[feature]}: made less asked, ${points.length} made sizes; at 10 mm about ${show.signed(expectedMake(habits, { kind: feature, fitFeature: null }, 10).mean)}`}
      className="overflow-hidden rounded-lg border border-line bg-card pb-1 pt-2"
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      <Text className="px-3 pb-2 font-label text-[13.5px] text-muted">
        {`Made less asked, ${show.word}, over the size asked. It counts as ${show.signed(zero)} now.`}
      </Text>
      {width > 0 ? (
        <View>
          <LineChart
            dataSet={[
              {
                data: lineOf(({ mean }) => mean),
                color: colours.plum.DEFAULT,
                thickness: 2,
                hideDataPoints: true,
              },
              {
                data: lineOf(({ mean, scale }) => mean - 2 * scale),
                color: colours.plum.DEFAULT,
                thickness: 1,
                strokeDashArray: [4, 3],
                hideDataPoints: true,
              },
              {
                data: lineOf(({ mean, scale }) => mean + 2 * scale),
                color: colours.plum.DEFAULT,
                thickness: 1,
                strokeDashArray: [4, 3],
                hideDataPoints: true,
              },
            ]}
            width={inner}
            height={HEIGHT}
            maxValue={high - low}
            noOfSections={4}
            yAxisLabelWidth={44}
            yAxisThickness={1}
            yAxisColor={colours.rule}
            xAxisColor={colours.rule}
            rulesColor={colours.line}
            formatYLabel={(label: string) => show.signed(Number(label) + low)}
            yAxisTextStyle={{
              color: colours.muted,
              fontSize: 11,
              fontFamily: 'BarlowSemiCondensed_500Medium',
            }}
            xAxisLabelTextStyle={{
              color: colours.muted,
              fontSize: 11,
              width: 34,
              marginLeft: -10,
              fontFamily: 'BarlowSemiCondensed_500Medium',
            }}
            spacing={inner / (STEPS - 1)}
            initialSpacing={0}
            endSpacing={0}
            isAnimated={false}
            disableScroll
          />
          {points.map(({ id, askedMm, madeMm }) => {
            const isOdd = habits.odd.includes(id);
            const x = 44 + (askedMm / longest) * inner;
            const y = HEIGHT * (1 - lifted(madeMm - askedMm) / (high - low)) + 10;
            return (
              <View
                key={id}
                aria-hidden
                style={{ position: 'absolute', left: x - 4, top: y - 4 }}
                className={`h-2 w-2 rounded-full border ${isOdd ? 'border-rust bg-card' : 'border-brass bg-brass'}`}
              />
            );
          })}
        </View>
      ) : null}
      <Text className="px-3 pt-1 font-label text-[13px] text-muted">
        {points.length === 0
          ? 'None of these was measured: the band comes from other kinds and the starting values.'
          : `${points.length} measured${habits.odd.length > 0 ? '; open rings are outliers and hardly count' : ''}.`}
      </Text>
    </View>
  );
}
