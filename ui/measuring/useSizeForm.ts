import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { z } from 'zod';

import { ok } from '@core/foundations/fault';
import { QUANTITIES, typedUnitOf, type LengthUnit, type Quantity } from '@core/foundations/quantity';
import { Jaw, newSize, nextLetter, Size, SizeKind } from '@core/record/model';
import { sentenceOf } from '@core/reporting/wording';

import { newId } from '../api/newId';
import { useChangeRepair } from '../api/useRepair';
import { useRepairContext } from '../inRepair/useRepairContext';
import { useShow } from '../preferences/useShow';
import { nameField } from '../shared/nameField';
import { readGiven } from './givenNumber';

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
export type FormValues = z.input<ReturnType<typeof formIn>>;

export type SizeFormOf = ReturnType<typeof useForm<FormValues, unknown, z.output<ReturnType<typeof formIn>>>>;

const sameName = (one: string, other: string) =>
  one.trim().toLocaleLowerCase() === other.trim().toLocaleLowerCase();

/** What a size is, as it is typed; kept once it holds, or handed on to be worked out first. */
export function useSizeForm(
  size: Size | null,
  name: string,
  { onSaved, onClose }: { onSaved(id: string): void; onClose(): void },
) {
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
  return { form, unit, deriving, save: () => void save() };
}
