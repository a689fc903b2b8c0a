import { useMemo, useState } from 'react';
import { Text, View } from 'react-native';

import type { Trial, TrialResult } from '@core/record/model';
import { readTyped } from '@core/foundations/formula';
import { typedUnitOf } from '@core/foundations/quantity';
import { nextPlace, placeMakerOf, isPlacedAsTried, triedRevision, type PlaceAxis } from '@core/fitting/trial';
import { movedPrefix, nextPlaceReason, nextPlaceSentences, wayWords } from '@core/reporting/wording';

import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { useWorth } from '../../preferences/useWorth';
import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { problemOf, type Problem } from '../../shared/problem';
import { Switch } from '../../shared/Switch';
import { PointPlaceSheet } from './PointPlaceSheet';

/** As far as a trial takes a place to be off, mm. */
const FURTHEST_MM = 1000;

const PART_OF: Record<PlaceAxis, 'firstMm' | 'secondMm'> = { x: 'firstMm', y: 'secondMm' };

/** A place that is off: which way it should go and how far, and what in the recipe follows from that. */
export function Misplaced({
  trial,
  result,
  onChange,
}: {
  trial: Trial;
  result: TrialResult;
  onChange(misplaced: TrialResult['misplaced']): void;
}) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const [open, setOpen] = useState(result.misplaced !== undefined);
  const [isPointing, setPointing] = useState(false);
  const revision = repair.revisions.find(({ letter }) => letter === trial.letter);
  const then = useMemo(() => {
    if (!revision) return null;
    const tried = triedRevision(revision);
    return { bodies: tried.state.bodies, numbers: tried.numbers };
  }, [revision]);
  const maker = placeMakerOf(result.fitId, repair.bodies);
  if (!maker) return null;
  if (!open) {
    return (
      <View className="items-start">
        <Button
          tone="quiet"
          label="It is in the wrong place"
          name={`${result.fitName} is in the wrong place`}
          onPress={() => setOpen(true)}
        />
      </View>
    );
  }
  const off = result.misplaced ?? { firstMm: 0, secondMm: 0 };
  const change = (way: PlaceAxis, mm: number) => {
    const next = { ...off, [PART_OF[way]]: mm };
    onChange(next.firstMm === 0 && next.secondMm === 0 ? undefined : next);
  };
  const next = nextPlace(result, { bodies: repair.bodies, numbers }, then);
  // Of what was never frozen nobody knows where it stood: once it was moved, moving it again would move it twice.
  const isTaken =
    then === null && trial.taken.some((reason) => reason.startsWith(movedPrefix(result.fitName)));
  return (
    <View className="gap-1.5" role="group" aria-label={`Where ${result.fitName} should be`}>
      <GroupHeading>Where should it be?</GroupHeading>
      {isPlacedAsTried(result.fitId, { bodies: repair.bodies, numbers }, then) ? (
        <View className="items-start">
          <Button label="Point at it on the part" onPress={() => setPointing(true)} />
        </View>
      ) : null}
      {isPointing ? (
        <PointPlaceSheet
          maker={maker}
          name={result.fitName}
          onTake={(misplaced) => {
            onChange(misplaced);
            setPointing(false);
          }}
          onClose={() => setPointing(false)}
        />
      ) : null}
      {(['x', 'y'] as const).map((way) => (
        <FurtherOn
          key={`${way} ${off[PART_OF[way]]}`}
          words={wayWords(maker.on)[way]}
          mm={off[PART_OF[way]]}
          onChange={(mm) => change(way, mm)}
        />
      ))}
      {result.misplaced && next === null ? (
        <Text className="font-label text-[14px] leading-5 text-muted">
          Its step is there by now, or is measured from elsewhere since the trial: nothing to change.
        </Text>
      ) : null}
      {next && !isTaken ? (
        <View className="gap-2 rounded border border-plum bg-plum-soft p-3">
          {nextPlaceSentences(next, show).map((sentence) => (
            <Text key={sentence} className="font-sans text-[15px] leading-[22px] tabular-nums text-ink">
              {sentence}
            </Text>
          ))}
          {next.body ? (
            <View className="items-start">
              <Button
                label="Take it"
                name="Take it: place"
                onPress={() => {
                  put('body', next.body!, `${result.fitName} is in another place.`);
                  const reason = nextPlaceReason(next, result.fitName, show).slice(0, 200);
                  put('trial', { ...trial, taken: [...trial.taken, reason] });
                }}
              />
            </View>
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

/** Which of two ways it should go, and how far. */
function FurtherOn({
  words,
  mm,
  onChange,
}: {
  words: readonly [less: string, more: string];
  mm: number;
  onChange(mm: number): void;
}) {
  const show = useShow();
  const worth = useWorth();
  const [side, setSide] = useState<'less' | 'right' | 'more'>(mm < 0 ? 'less' : mm > 0 ? 'more' : 'right');
  const [typed, setTyped] = useState(mm === 0 ? '' : show.number(Math.abs(mm)));
  const [wrong, setWrong] = useState<Problem>();
  const keep = (towards: typeof side = side) => {
    if (towards === 'right') {
      if (mm !== 0) onChange(0);
      return;
    }
    if (typed.trim() === '') return;
    const read = readTyped(typed, 'length', typedUnitOf(show.unit));
    if (!read.ok) setWrong(problemOf(read.fault));
    else if (read.value < 0) setWrong(problemOf({ code: 'length.notPositive', mm: read.value }));
    else if (read.value > FURTHEST_MM) {
      setWrong(problemOf({ code: 'length.tooLarge', mm: read.value, limitMm: FURTHEST_MM }));
    } else if (read.value !== Math.abs(mm) || (towards === 'less') !== mm < 0) {
      onChange(towards === 'less' ? -read.value : read.value);
    }
  };
  return (
    <View className="gap-1.5">
      <Switch<typeof side>
        label={`Should go ${words.join(' or ')}`}
        options={[
          { id: 'less', word: words[0] },
          { id: 'right', word: 'as it is' },
          { id: 'more', word: words[1] },
        ]}
        value={side}
        onChange={(towards) => {
          setSide(towards);
          keep(towards);
        }}
      />
      {side === 'right' ? null : (
        <Field
          label={`How far ${words[side === 'less' ? 0 : 1]}`}
          unit={show.word}
          worth={worth(typed)}
          inputMode="decimal"
          pad={{ quantity: 'length', action: 'Keep' }}
          value={typed}
          onChangeText={(text) => {
            setTyped(text);
            setWrong(undefined);
          }}
          onBlur={() => keep()}
          onSubmitEditing={() => keep()}
          wrong={wrong}
        />
      )}
    </View>
  );
}
