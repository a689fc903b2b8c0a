import { Controller } from 'react-hook-form';
import { Text, View } from 'react-native';

import type { LengthUnit } from '@core/foundations/quantity';

import { useWorth } from '../preferences/useWorth';
import { Field } from '../shared/Field';
import { Switch } from '../shared/Switch';
import { givenProblem, readGiven } from './givenNumber';
import type { FormValues, SizeFormOf } from './useSizeForm';

/** A number that is typed, in the unit of what the size is. */
export function GivenNumber({
  form,
  name,
  label,
  unit,
  onSubmit,
}: {
  form: SizeFormOf;
  name: 'given' | 'givenPlusMinus';
  label: string;
  unit: LengthUnit;
  onSubmit(): void;
}) {
  const quantity = form.watch('quantity');
  const worth = useWorth();
  // The middle of limits was chosen: how far they are from it is known as well.
  const onTyped = (text: string, change: (text: string) => void) => {
    const before = readGiven(form.getValues(name), quantity, unit);
    if (name === 'given' && !before.ok && before.fault.code === 'length.tolerance') {
      if (text === before.fault.readings[0]) form.setValue('givenPlusMinus', before.fault.plusMinus);
    }
    change(text);
  };
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field, fieldState }) => (
        <Field
          label={label}
          {...(quantity === 'count' ? {} : { unit: quantity === 'angle' ? '°' : unit })}
          worth={worth(field.value, quantity, unit)}
          pad={quantity}
          value={field.value}
          onChangeText={(text) => onTyped(text, field.onChange)}
          onSubmitEditing={onSubmit}
          wrong={fieldState.error && givenProblem(field.value, quantity, unit, fieldState.error.message)}
        />
      )}
    />
  );
}

/** A switch bound to the form. */
export function Choice<N extends 'of' | 'kind' | 'jaw' | 'quantity' | 'importance'>({
  form,
  name,
  label,
  options,
  onChange = () => {},
}: {
  form: SizeFormOf;
  name: N;
  label: string;
  options: { id: FormValues[N] & string; word: string }[];
  onChange?(value: FormValues[N] & string): void;
}) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field }) => (
        <View className="gap-1">
          <Text className="font-label text-[14px] text-muted">{label}</Text>
          <Switch
            label={label}
            options={options}
            value={field.value as FormValues[N] & string}
            onChange={(value) => {
              field.onChange(value);
              onChange(value);
            }}
          />
        </View>
      )}
    />
  );
}
