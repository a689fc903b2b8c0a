import { fitValue, sizeValue, type Value } from '@core/record/model';

import { lengthOf } from './labelOf';
import { useRepairContext } from './useRepairContext';
import type { TagKey } from '../shared/pad/PadKeys';
import { useShow } from '../preferences/useShow';

/** A size, a fit or a place of a layout that a length of a step may be taken from. */
export interface LengthChoice {
  value: Value;
  tag: string;
  name: string;
}

/** What a length may be taken from, and the same sizes as keys of the pad. */
export function useLengthChoices(field: string): {
  sizes: LengthChoice[];
  places: LengthChoice[];
  tags: TagKey[];
} {
  const { numbers } = useRepairContext();
  const show = useShow();
  const sizes: LengthChoice[] = [
    ...[...numbers.fits.values()].map(({ fit, worked }) => ({
      value: fitValue(fit.id),
      tag: worked.ok ? worked.trail.tag : worked.tag,
      name: `${fit.name}, working size`,
    })),
    ...[...numbers.sizes.values()]
      .filter(({ size }) => size.quantity === 'length')
      .map(({ size }) => ({ value: sizeValue(size.id), tag: size.tag, name: size.name })),
  ];
  const axis = field === 'y' ? 'y' : 'x';
  const places: LengthChoice[] =
    field === 'x' || field === 'y'
      ? [...numbers.layouts.values()].flatMap(({ layout }) =>
          layout.points.map((point) => ({
            value: { from: 'layout', id: layout.id, point: point.id, axis } as Value,
            tag: point.label,
            name: `${layout.name}, point ${point.label}, ${axis === 'x' ? 'to the right' : 'to the back'}`,
          })),
        )
      : [];
  const typedAs = ({ value, tag }: LengthChoice) => (value.from === 'fit' ? `fit(${tag})` : tag);
  const all = sizes.map(typedAs);
  // Of two fits on one size neither is meant by its tag alone: they are chosen from the list.
  const isOnlyOne = (choice: LengthChoice) => all.filter((tag) => tag === typedAs(choice)).length === 1;
  const tags = sizes.filter(isOnlyOne).map((choice) => {
    const mm = lengthOf(choice.value, numbers);
    return {
      tag: typedAs(choice),
      number: mm === null ? null : show.number(mm),
      spoken: `Type ${choice.tag}, ${choice.name}`,
    };
  });
  return { sizes, places, tags };
}

/** Whether a word that is typed begins a choice's name or is its tag; a number or a sum leaves all of them. */
export function isMeant({ tag, name }: LengthChoice, typed: string): boolean {
  const word = /[a-z]{2,}|^[A-Za-z]$/i.exec(typed.trim())?.[0]?.toLowerCase();
  if (word === undefined || tag.toLowerCase() === word) return true;
  return name
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .some((part) => part.startsWith(word));
}
