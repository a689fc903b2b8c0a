import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo, useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { Text, View } from 'react-native';
import type { z } from 'zod';

import { Button } from '../shared/Button';
import { Field, Wrong } from '../shared/Field';
import { GroupHeading } from '../shared/Heading';
import { Sheet } from '../shared/Sheet';
import { formOf, keyOf, rowWith, shownOf, type RowGroup } from './rowFields';

/** A row of the workshop as a form: its numbers and texts by group, held to the bounds of its schema. */
export function RowForm<T extends { version: number }>({
  title,
  intro,
  row,
  schema,
  groups,
  choices,
  more,
  wrongIn,
  onKeep,
  onPutAway,
  onClose,
}: {
  title: string;
  intro?: string;
  row: T;
  schema: z.ZodType;
  groups: readonly RowGroup[];
  /** What is chosen, not typed: before the fields, and after them. */
  choices?: React.ReactNode;
  more?: React.ReactNode;
  /** What is wrong with the row as a whole; null for nothing. */
  wrongIn?(row: T): string | null;
  onKeep(row: T): void;
  onPutAway?(): void;
  onClose(): void;
}) {
  const fields = useMemo(() => groups.flatMap((group) => group.fields), [groups]);
  const form = useMemo(() => formOf(schema, fields), [schema, fields]);
  const { control, handleSubmit } = useForm<Record<string, string>>({
    defaultValues: shownOf(row, fields),
    resolver: zodResolver(form),
  });
  const [wrong, setWrong] = useState<string | null>(null);
  const keep = handleSubmit((typed) => {
    const next = rowWith(row, typed, fields, schema);
    const found = wrongIn?.(next) ?? null;
    setWrong(found);
    if (found) return;
    onKeep(next);
    onClose();
  });
  return (
    <Sheet title={title} onClose={onClose}>
      {intro ? <Text className="font-sans text-[15px] leading-6 text-ink">{intro}</Text> : null}
      {choices}
      {groups.map(({ heading, fields: own }, index) => (
        <View key={heading ?? index} className="gap-3">
          {heading ? <GroupHeading>{heading}</GroupHeading> : null}
          <View className="flex-row flex-wrap gap-3">
            {own.map((field) => (
              <View key={field.path} className={field.kind === 'number' ? 'w-[48%]' : 'w-full'}>
                <Controller
                  control={control}
                  name={keyOf(field)}
                  render={({ field: { value, onChange, onBlur, ref }, fieldState: { error } }) => (
                    <Field
                      ref={ref}
                      label={field.label}
                      value={value}
                      onChangeText={onChange}
                      onBlur={onBlur}
                      multiline={field.kind === 'lines'}
                      wrong={error?.message}
                      {...(field.kind === 'number' && field.unit ? { unit: field.unit } : {})}
                    />
                  )}
                />
              </View>
            ))}
          </View>
        </View>
      ))}
      {more}
      {wrong ? <Wrong text={wrong} /> : null}
      <Button tone="primary" label="Keep" onPress={() => void keep()} />
      {onPutAway ? (
        <Button
          tone="danger"
          label="Put it away"
          onPress={() => {
            onPutAway();
            onClose();
          }}
        />
      ) : null}
    </Sheet>
  );
}
