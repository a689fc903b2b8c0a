import { newSize, sizeValue, type Repair, type Step, type Value } from '@core/record/model';

import { RepairDraft } from '../repairDraft';

/** A real part: its sizes, its recipe over them, and its volume by closed formula. */
export interface Part {
  id: string;
  name: string;
  /** By name, mm; angles in radians under names that end in `Angle`, counts under such that end in `Count`. */
  sizes: Readonly<Record<string, number>>;
  steps: readonly Step[];
  /** mm³, by closed formula. */
  volume(sizes: Readonly<Record<string, number>>): number;
  /** Whether the sizes are such that the formula holds: nothing runs into anything else. */
  holds(sizes: Readonly<Record<string, number>>): boolean;
}

/** The numbers of a part as its steps take them. */
export interface Taken<K extends string> {
  /** A size. */
  of(name: K): Value & { from: 'size' };
  /** A formula over sizes, by their names. */
  by(text: string): Value & { from: 'formula' };
}

const quantityOf = (name: string) =>
  name.endsWith('Angle') ? 'angle' : name.endsWith('Count') ? 'count' : 'length';

/** A to Z, AA and on. */
const tagAt = (index: number): string =>
  index < 26 ? String.fromCharCode(65 + index) : `A${String.fromCharCode(65 + index - 26)}`;

export function part<K extends string>(
  name: string,
  sizes: Record<K, number>,
  steps: (taken: Taken<K>) => Step[],
  volume: (sizes: Record<K, number>) => number,
  holds: (sizes: Record<K, number>) => boolean = () => true,
): Part {
  const names = Object.keys(sizes);
  const taken: Taken<K> = {
    of: (one) => sizeValue(one),
    by: (text) => ({
      from: 'formula',
      unit: 'mm',
      text: text.replace(/[a-zA-Z]+/g, (word) => (names.includes(word) ? tagAt(names.indexOf(word)) : word)),
    }),
  };
  return {
    id: name.toLowerCase().replace(/[^a-z]+/g, '-'),
    name,
    sizes,
    steps: steps(taken),
    volume,
    holds,
  };
}

/** The part as a repair, at its own sizes or at others. */
export function repairOf(
  { name, sizes, steps }: Part,
  others: Readonly<Record<string, number>> = {},
): Repair {
  const { repair } = new RepairDraft(name, 'Workbench').body('body', name, [...steps]);
  repair.sizes = Object.entries({ ...sizes, ...others }).map(([id, given], index) =>
    newSize({
      id,
      version: 1,
      tag: tagAt(index),
      name: id,
      quantity: quantityOf(id),
      kind: 'chosen',
      given,
    }),
  );
  return repair;
}
