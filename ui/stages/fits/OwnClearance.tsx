import { useState } from 'react';
import { Text, View } from 'react-native';

import { featureOf } from '@core/fitting/fit';
import { readTyped } from '@core/foundations/formula';
import type { Fit } from '@core/record/model';
import { tidy, typedUnitOf } from '@core/foundations/quantity';

import { useShow } from '../../preferences/useShow';
import { useWorth } from '../../preferences/useWorth';
import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { problemOf, type Problem } from '../../shared/problem';
import { Switch } from '../../shared/Switch';

/** Widest clearance that can be typed, mm on the diameter, either way. */
const LIMITS = { min: -5, max: 20 };

type Per = 'both' | 'side';
const PER: readonly { id: Per; word: string }[] = [
  { id: 'both', word: 'On the diameter' },
  { id: 'side', word: 'Per side' },
];

/** Lets the clearance be typed instead of taken from the class: over both sides, or for one. */
export function OwnClearance({ fit, onChange }: { fit: Fit; onChange(mm: number | null): void }) {
  const show = useShow();
  const worth = useWorth();
  const { twoSides } = featureOf(fit.feature);
  const [open, setOpen] = useState(fit.ownClearanceMm !== null);
  const [per, setPer] = useState<Per>('both');
  const shown = (mm: number) => show.number(mm).replace('−', '-');
  const [text, setText] = useState(fit.ownClearanceMm === null ? '' : shown(fit.ownClearanceMm));
  const [wrong, setWrong] = useState<Problem>();
  if (!open) {
    return (
      <View className="items-start">
        <Button tone="quiet" label="Type the clearance yourself" onPress={() => setOpen(true)} />
      </View>
    );
  }
  const sides = per === 'side' ? 2 : 1;
  const read = readTyped(text, 'length', typedUnitOf(show.unit));
  const keep = () => {
    if (!read.ok) {
      setWrong(problemOf(read.fault));
      return;
    }
    const mm = tidy(read.value * sides);
    if (mm < LIMITS.min || mm > LIMITS.max) {
      setWrong(
        problemOf({
          code: 'value.outOfRange',
          length: { what: 'clearance', tag: null, mm },
          minMm: LIMITS.min,
          maxMm: LIMITS.max,
        }),
      );
      return;
    }
    setWrong(undefined);
    onChange(mm);
  };
  return (
    <View className="gap-2">
      {twoSides ? <Switch<Per> label="Stated as" options={PER} value={per} onChange={setPer} /> : null}
      <Field
        label={`Clearance ${twoSides ? (per === 'both' ? 'on the diameter' : 'per side') : 'on the one side'}; below zero is tight`}
        unit={show.word}
        worth={worth(text)}
        pad={{ quantity: 'length', action: 'Keep' }}
        value={text}
        onChangeText={(next) => {
          setText(next);
          setWrong(undefined);
        }}
        onSubmitEditing={keep}
        wrong={wrong}
      />
      {twoSides && read.ok ? (
        <Text className="font-label text-[13.5px] tabular-nums text-muted">
          {per === 'both'
            ? `That is ${show.signed(read.value / 2)} ${show.word} per side.`
            : `That is ${show.signed(read.value * 2)} ${show.word} on the diameter.`}
        </Text>
      ) : null}
      <View className="flex-row gap-2">
        <Button label="Use this clearance" onPress={keep} />
        <Button
          tone="quiet"
          label="Use the class"
          onPress={() => {
            setOpen(false);
            setText('');
            setWrong(undefined);
            if (fit.ownClearanceMm !== null) onChange(null);
          }}
        />
      </View>
    </View>
  );
}
