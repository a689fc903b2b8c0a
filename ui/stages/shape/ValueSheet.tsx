import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';

import {
  fitValue,
  MODEL_LIMIT_MM,
  numberValue,
  sizeValue,
  type Body,
  type Step,
  type Value,
} from '@core/model';
import { parseLength, showNumber, tidy } from '@core/quantity';
import { withField } from '@core/recipe';
import { sentenceOf } from '@core/wording';

import { useChangeRepair } from '../../api/useRepair';
import { lengthOf } from '../../frame/labelOf';
import { useRepairContext } from '../../frame/useRepairContext';
import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { Sheet } from '../../shared/Sheet';

/** Changes one number of a step: typed, or taken from a size or from a fit. */
export function ValueSheet({
  body,
  step,
  field,
  what,
  onClose,
}: {
  body: Body;
  step: Step;
  field: string;
  what: string;
  onClose(): void;
}) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const now = (step as unknown as Record<string, Value>)[field];
  const [text, setText] = useState(now?.from === 'number' ? showNumber(now.mm) : '');
  const [wrong, setWrong] = useState<string>();

  const choose = (value: Value) => {
    put('body', { ...body, steps: withField(body.steps, step.id, field, value) }, `The ${what} is changed.`);
    onClose();
  };
  const typed = () => {
    const length = parseLength(text);
    if (!length.ok) {
      setWrong(sentenceOf(length.fault));
      return;
    }
    const mm = tidy(length.value);
    if (Math.abs(mm) > MODEL_LIMIT_MM) {
      setWrong(sentenceOf({ code: 'length.tooLarge', mm, limitMm: MODEL_LIMIT_MM }));
      return;
    }
    choose(numberValue(mm));
  };
  const options = [
    ...[...numbers.fits.values()].map(({ fit, worked }) => ({
      value: fitValue(fit.id),
      tag: worked.ok ? worked.trail.tag : worked.tag,
      name: `${fit.name}, working size`,
    })),
    ...[...numbers.sizes.values()].map(({ size }) => ({
      value: sizeValue(size.id),
      tag: size.tag,
      name: size.name,
    })),
  ];
  return (
    <Sheet title={`Change the ${what}`} onClose={onClose}>
      <Field
        label="Type a number"
        unit="mm"
        inputMode="decimal"
        autoFocus
        value={text}
        onChangeText={(next) => {
          setText(next);
          setWrong(undefined);
        }}
        onSubmitEditing={typed}
        wrong={wrong}
      />
      <Button tone="primary" label="Use this number" onPress={typed} />
      {options.length > 0 ? <GroupHeading>Or take it from a size</GroupHeading> : null}
      <View className="gap-1.5">
        {options.map(({ value, tag, name }) => {
          const mm = lengthOf(value, numbers);
          const chosen = JSON.stringify(value) === JSON.stringify(now);
          return (
            <Pressable
              key={JSON.stringify(value)}
              accessibilityRole="button"
              aria-pressed={chosen}
              accessibilityLabel={`${tag}, ${name}, ${mm === null ? 'to take' : `${showNumber(mm)} mm`}`}
              onPress={() => choose(value)}
              className={`min-h-[48px] flex-row items-center gap-3 rounded border px-3 active:bg-green-soft ${chosen ? 'border-green bg-green-soft' : 'border-line bg-card'}`}
            >
              <Text className="w-7 font-number text-[16px] text-ink">{tag}</Text>
              <Text numberOfLines={1} className="flex-1 font-medium text-[16px] text-ink">
                {name}
              </Text>
              <Text
                className={`font-number text-[16px] tabular-nums ${mm === null ? 'text-rust' : 'text-ink'}`}
              >
                {mm === null ? 'to take' : showNumber(mm)}
              </Text>
            </Pressable>
          );
        })}
      </View>
    </Sheet>
  );
}
