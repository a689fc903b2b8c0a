import { useState } from 'react';
import { View } from 'react-native';

import type { Fit } from '@core/model';
import { parseLength, showNumber, tidy } from '@core/quantity';
import { sentenceOf } from '@core/wording';

import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';

/** Widest clearance that can be typed, mm on the diameter, either way. */
const LIMITS = { min: -5, max: 20 };

/** Lets the clearance be typed instead of taken from the class. */
export function OwnClearance({ fit, onChange }: { fit: Fit; onChange(mm: number | null): void }) {
  const [open, setOpen] = useState(fit.ownClearanceMm !== null);
  const [text, setText] = useState(fit.ownClearanceMm === null ? '' : showNumber(fit.ownClearanceMm));
  const [wrong, setWrong] = useState<string>();
  if (!open) {
    return (
      <View className="items-start">
        <Button tone="quiet" label="Type the clearance yourself" onPress={() => setOpen(true)} />
      </View>
    );
  }
  const keep = () => {
    const length = parseLength(text);
    if (!length.ok) {
      setWrong(sentenceOf(length.fault));
      return;
    }
    const mm = tidy(length.value);
    if (mm < LIMITS.min || mm > LIMITS.max) {
      setWrong(
        sentenceOf({
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
      <Field
        label="Clearance on the diameter; below zero is tight"
        unit="mm"
        value={text}
        onChangeText={setText}
        onSubmitEditing={keep}
        wrong={wrong}
      />
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
