import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { Text, View } from 'react-native';
import { z } from 'zod';

import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { readTyped } from '@core/foundations/formula';
import { Jaw, MODEL_LIMIT_MM, newSize, nextLetter, Size, SizeKind } from '@core/record/model';
import { QUANTITIES, typedUnitOf, type LengthUnit, type Quantity } from '@core/foundations/quantity';
import { sentenceOf } from '@core/reporting/wording';

import { newId } from '../api/newId';
import { useChangeRepair } from '../api/useRepair';
import { useRepairContext } from '../inRepair/useRepairContext';
import { useShow } from '../preferences/useShow';
import { useWorth } from '../preferences/useWorth';
import { Button } from '../shared/Button';
import { Field } from '../shared/Field';
import { nameField } from '../shared/nameField';
import { problemOf, type Problem } from '../shared/problem';
import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';
import { DeriveSheet } from './derive/DeriveSheet';
import { JAW_WORDS, KIND_WORDS, QUANTITY_WORDS } from './jaws';

const formIn = (unit: LengthUnit, shownGiven: string, shownPlusMinus: string) =>
  z
    .object({
      name: nameField('the size'),
      kind: SizeKind,
      quantity: z.enum(QUANTITIES),
      of: z.enum(['piece', 'counterpart']),
      jaw: Jaw,
      importance: Size.shape.importance,
      given: z.string(),
      givenPlusMinus: z.string(),
      source: z.string().max(200, 'The source: use at most 200 characters.'),
    })
    .superRefine((form, context) => {
      if (form.kind === 'measured' || form.kind === 'derived') return;
      if (form.given === shownGiven && shownGiven !== '') return;
      const given = readGiven(form.given, form.quantity, unit);
      if (!given.ok) {
        context.addIssue({ code: 'custom', path: ['given'], message: sentenceOf(given.fault) });
      }
    })
    .superRefine(({ kind, quantity, givenPlusMinus }, context) => {
      if (kind !== 'stated' || givenPlusMinus.trim() === '' || givenPlusMinus === shownPlusMinus) return;
      const read = readGiven(givenPlusMinus, quantity, unit);
      if (!read.ok) {
        context.addIssue({ code: 'custom', path: ['givenPlusMinus'], message: sentenceOf(read.fault) });
      }
    });
type FormValues = z.input<ReturnType<typeof formIn>>;

/** A number that is given: positive and no larger than anything made here. */
function readGiven(text: string, quantity: Quantity, unit: LengthUnit): Result<number, Fault> {
  const read = readTyped(text, quantity, unit);
  if (!read.ok) return read;
  if (quantity === 'angle') {
    return read.value > 0 && read.value < 2 * Math.PI ? read : no({ code: 'angle.outOfRange', text });
  }
  if (read.value <= 0) return no({ code: 'length.notPositive', mm: read.value });
  if (quantity === 'length' && read.value > MODEL_LIMIT_MM) {
    return no({ code: 'length.tooLarge', mm: read.value, limitMm: MODEL_LIMIT_MM });
  }
  return ok(read.value);
}

/** What is wrong with a number that is given, with the readings that may be chosen. */
function givenProblem(text: string, quantity: Quantity, unit: LengthUnit, message = ''): Problem {
  const given = readGiven(text, quantity, unit);
  return given.ok ? { sentence: message, readings: [] } : problemOf(given.fault);
}

/** A count is told or worked out; nothing measures it. */
const kindsOf = (quantity: Quantity) =>
  SizeKind.options.filter((kind) => quantity !== 'count' || kind !== 'measured');

const sameName = (one: string, other: string) =>
  one.trim().toLocaleLowerCase() === other.trim().toLocaleLowerCase();

/** Adds a size, or changes what one is. */
export function SizeForm({
  size,
  name = '',
  onClose,
  onSaved = () => {},
}: {
  size: Size | null;
  /** What a new size may be called. */
  name?: string;
  onClose(): void;
  onSaved?: (id: string) => void;
}) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const unit = typedUnitOf(show.unit);
  const shownGiven = size?.given ? show.value(size.given, size.quantity) : '';
  const shownPlusMinus = size?.givenPlusMinus ? show.value(size.givenPlusMinus, size.quantity) : '';
  /** A new derived size, whose name is known and whose working-out is not. */
  const [deriving, setDeriving] = useState<Size | null>(null);
  const form = useForm({
    resolver: zodResolver(formIn(unit, shownGiven, shownPlusMinus)),
    defaultValues: {
      name: size?.name ?? name,
      kind: size?.kind ?? ('measured' as SizeKind),
      quantity: size?.quantity ?? ('length' as Quantity),
      of: size?.of ?? ('piece' as const),
      jaw: size?.jaw ?? ('outside' as Jaw),
      importance: size?.importance ?? ('plain' as const),
      given: shownGiven,
      givenPlusMinus: shownPlusMinus,
      source: size?.source ?? '',
    },
  });
  const [kind, quantity] = [form.watch('kind'), form.watch('quantity')];
  const save = form.handleSubmit(({ given, givenPlusMinus, name: typedName, ...fields }) => {
    const namesake = repair.sizes.find(
      (other) => !other.removed && other.id !== size?.id && sameName(other.name, typedName),
    );
    if (namesake) {
      form.setError('name', {
        message: sentenceOf({ code: 'name.taken', name: namesake.name, tag: namesake.tag }),
      });
      return;
    }
    // What is shown is rounded: a number that nobody touched stays what it is.
    const untouched = size?.given && given === shownGiven && fields.quantity === size.quantity;
    const read = untouched ? ok(size.given!) : readGiven(given, fields.quantity, unit);
    const isGiven = fields.kind === 'stated' || fields.kind === 'chosen';
    const plusMinus =
      fields.kind !== 'stated' || givenPlusMinus.trim() === ''
        ? null
        : givenPlusMinus === shownPlusMinus && fields.quantity === size?.quantity
          ? ok(size.givenPlusMinus!)
          : readGiven(givenPlusMinus, fields.quantity, unit);
    const { givenPlusMinus: _before, ...before } = size ?? {};
    const next = newSize({
      id: newId(),
      tag: nextLetter(repair.sizes.map((other) => other.tag)),
      ...before,
      ...fields,
      name: typedName.trim(),
      given: isGiven && read.ok ? read.value : null,
      ...(plusMinus?.ok ? { givenPlusMinus: plusMinus.value } : {}),
    });
    if (next.kind === 'derived' && !next.derivation) {
      setDeriving(next);
      return;
    }
    put('size', next);
    onSaved(next.id);
    onClose();
  });
  if (deriving) {
    return (
      <DeriveSheet
        size={deriving}
        onClose={onClose}
        onSaved={() => {
          onSaved(deriving.id);
          onClose();
        }}
      />
    );
  }
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
          { id: 'counterpart', word: 'The mating part' },
        ]}
      />
      <Choice
        form={form}
        name="kind"
        label="How it is known"
        options={kindsOf(quantity).map((id) => ({ id, word: KIND_WORDS[id] }))}
      />
      {kind === 'measured' && quantity === 'length' ? (
        <Choice
          form={form}
          name="jaw"
          label="Taken with"
          options={Jaw.options.map((id) => ({ id, word: JAW_WORDS[id] }))}
        />
      ) : null}
      {kind === 'stated' || kind === 'chosen' ? (
        <>
          <GivenNumber form={form} name="given" label="Number" unit={unit} onSubmit={() => void save()} />
          {kind === 'stated' ? (
            <GivenNumber
              form={form}
              name="givenPlusMinus"
              label="Plus or minus, if limits are stated"
              unit={unit}
              onSubmit={() => void save()}
            />
          ) : null}
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
      ) : null}
      <Choice
        form={form}
        name="quantity"
        label="What kind of number"
        options={QUANTITIES.map((id) => ({ id, word: QUANTITY_WORDS[id] }))}
        onChange={(next) => {
          if (next === 'count' && form.getValues('kind') === 'measured') form.setValue('kind', 'stated');
        }}
      />
      <Choice
        form={form}
        name="importance"
        label="How important it is"
        options={[
          { id: 'critical', word: 'Critical' },
          { id: 'plain', word: 'Usual' },
          { id: 'free', word: 'Does not matter' },
        ]}
      />
      <Button
        tone="primary"
        label={size ? 'Keep' : kind === 'measured' ? 'Add and measure' : kind === 'derived' ? 'Next' : 'Add'}
        onPress={() => void save()}
      />
    </Sheet>
  );
}

type SizeFormOf = ReturnType<typeof useForm<FormValues, unknown, z.output<ReturnType<typeof formIn>>>>;

/** A number that is typed, in the unit of what the size is. */
function GivenNumber({
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
function Choice<N extends 'of' | 'kind' | 'jaw' | 'quantity' | 'importance'>({
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
