import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import type { z } from 'zod';

import { comesTo } from '@core/foundations/formula';
import { showExactly } from '@core/foundations/quantity';

import type { PadQuantity } from './pad/keys';
import { Field } from './Field';
import { readNumber, type TypedIn } from './numberFields';

type Given<T extends FieldValues> = {
  control: Control<T>;
  name: FieldPath<T>;
  label: string;
  unit?: string;
  autoFocus?: boolean;
  multiline?: boolean;
  /** What was typed comes to this, where that is not what stands there. */
  worthOf?(text: string): string | null;
  pad?: PadQuantity;
};

/** A line of a form; what is wrong with it stands under it. */
export function FormField<T extends FieldValues>({
  control,
  name,
  problem,
  worthOf,
  ...shown
}: Given<T> & {
  /** What is wrong with what was typed; null for nothing. Where a schema says it, that of the form does. */
  problem?(text: string): string | null;
}) {
  return (
    <Controller
      control={control}
      name={name}
      {...(problem ? { rules: { validate: (text: string) => problem(text) ?? true } } : {})}
      render={({ field: { value, onChange, onBlur, ref }, fieldState: { error } }) => (
        <Field
          ref={ref}
          value={value as string}
          onChangeText={onChange}
          onBlur={onBlur}
          wrong={error?.message}
          worth={worthOf?.(value as string) ?? null}
          {...shown}
        />
      )}
    />
  );
}

/** A number of a form, held to the bounds of its schema. */
export function NumberField<T extends FieldValues>({
  what,
  schema,
  typedIn,
  ...rest
}: Given<T> & {
  /** What it is called in a sentence. */
  what: string;
  schema: z.ZodNumber;
  typedIn: TypedIn;
}) {
  const problem = (text: string) => {
    const read = readNumber(text, what, schema, typedIn);
    return read.ok ? null : read.sentence;
  };
  const worthOf = (text: string) => {
    const value = typedIn.unit === 'mm' ? comesTo(text, 'length') : null;
    return value === null ? null : showExactly(value, 'length');
  };
  return (
    <FormField
      {...rest}
      problem={problem}
      worthOf={worthOf}
      pad={typedIn.unit === 'mm' ? 'length' : 'plain'}
      {...(typedIn.unit ? { unit: typedIn.unit } : {})}
    />
  );
}
