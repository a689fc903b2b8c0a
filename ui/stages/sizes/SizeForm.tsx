import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm } from 'react-hook-form';
import { Text, View } from 'react-native';
import { z } from 'zod';

import type { Fault, Result } from '@core/fault';
import { no, ok } from '@core/fault';
import { Jaw, MODEL_LIMIT_MM, nextLetter, SizeKind, type Size } from '@core/model';
import { parseLength, showNumber, tidy } from '@core/quantity';
import { sentenceOf } from '@core/wording';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../frame/useRepairContext';
import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { nameField } from '../../shared/nameField';
import { Sheet } from '../../shared/Sheet';
import { Switch } from '../../shared/Switch';
import { JAW_WORDS, KIND_WORDS } from './jaws';

const Form = z
  .object({
    name: nameField('the size'),
    kind: SizeKind,
    of: z.enum(['piece', 'counterpart']),
    jaw: Jaw,
    given: z.string(),
    source: z.string().max(200, 'The source: use at most 200 characters.'),
  })
  .superRefine((form, context) => {
    if (form.kind === 'measured') return;
    const length = readGiven(form.given);
    if (!length.ok) context.addIssue({ code: 'custom', path: ['given'], message: sentenceOf(length.fault) });
  });

/** A length that is given, mm: positive and no larger than anything made here. */
function readGiven(text: string): Result<number, Fault> {
  const length = parseLength(text);
  if (!length.ok) return length;
  const mm = tidy(length.value);
  if (mm <= 0) return no({ code: 'length.notPositive', mm });
  if (mm > MODEL_LIMIT_MM) return no({ code: 'length.tooLarge', mm, limitMm: MODEL_LIMIT_MM });
  return ok(mm);
}

/** Adds a size, or changes what one is. */
export function SizeForm({
  size,
  onClose,
  onSaved = () => {},
}: {
  size: Size | null;
  onClose(): void;
  onSaved?: (id: string) => void;
}) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const form = useForm({
    resolver: zodResolver(Form),
    defaultValues: {
      name: size?.name ?? '',
      kind: size?.kind ?? ('measured' as SizeKind),
      of: size?.of ?? ('piece' as const),
      jaw: size?.jaw ?? ('outside' as Jaw),
      given: size?.givenMm ? showNumber(size.givenMm) : '',
      source: size?.source ?? '',
    },
  });
  const kind = form.watch('kind');
  const save = form.handleSubmit(({ given, name, ...fields }) => {
    const length = readGiven(given);
    const id = size?.id ?? newId();
    put('size', {
      version: 0,
      removed: false,
      ...size,
      id,
      tag: size?.tag ?? nextLetter(repair.sizes.map((other) => other.tag)),
      ...fields,
      name: name.trim(),
      givenMm: fields.kind !== 'measured' && length.ok ? length.value : null,
    });
    onSaved(id);
    onClose();
  });
  return (
    <Sheet title={size ? `Size ${size.tag}` : 'Add a size'} onClose={onClose}>
      <Controller
        control={form.control}
        name="name"
        render={({ field, fieldState }) => (
          <Field
            label="Name"
            placeholder="Rim, outside"
            autoFocus={!size}
            value={field.value}
            onChangeText={field.onChange}
            onSubmitEditing={() => void save()}
            wrong={fieldState.error?.message}
          />
        )}
      />
      <Choice
        form={form}
        name="of"
        label="Taken on"
        options={[
          { id: 'piece', word: 'The broken piece' },
          { id: 'counterpart', word: 'What it must fit' },
        ]}
      />
      <Choice
        form={form}
        name="kind"
        label="How it is known"
        options={SizeKind.options.map((id) => ({ id, word: KIND_WORDS[id] }))}
      />
      {kind === 'measured' ? (
        <Choice
          form={form}
          name="jaw"
          label="Taken with"
          options={Jaw.options.map((id) => ({ id, word: JAW_WORDS[id] }))}
        />
      ) : (
        <>
          <Controller
            control={form.control}
            name="given"
            render={({ field, fieldState }) => (
              <Field
                label="Number"
                unit="mm"
                inputMode="decimal"
                value={field.value}
                onChangeText={field.onChange}
                onSubmitEditing={() => void save()}
                wrong={fieldState.error?.message}
              />
            )}
          />
          <Controller
            control={form.control}
            name="source"
            render={({ field, fieldState }) => (
              <Field
                label={kind === 'stated' ? 'Where is it stated?' : 'Why this number? You may leave this out.'}
                value={field.value}
                onChangeText={field.onChange}
                wrong={fieldState.error?.message}
              />
            )}
          />
        </>
      )}
      <Button
        tone="primary"
        label={size ? 'Keep' : kind === 'measured' ? 'Add and measure' : 'Add'}
        onPress={() => void save()}
      />
    </Sheet>
  );
}

type FormValues = z.input<typeof Form>;

/** A switch bound to the form. */
function Choice<N extends 'of' | 'kind' | 'jaw'>({
  form,
  name,
  label,
  options,
}: {
  form: ReturnType<typeof useForm<FormValues, unknown, z.output<typeof Form>>>;
  name: N;
  label: string;
  options: { id: FormValues[N] & string; word: string }[];
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
            onChange={field.onChange}
          />
        </View>
      )}
    />
  );
}
