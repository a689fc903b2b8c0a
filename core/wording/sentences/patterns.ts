import { numberValue, type StepKind, type StepOf } from '@core/model';

import { chip, choice, words, type Option, type SentencePart } from './parts';

/** How many stations there are: one more goes above the last, one fewer takes the last away. */
export function stationCount({ rows }: StepOf<'stations'>): SentencePart {
  const last = rows.at(-1)!;
  const above = last.at.from === 'number' ? numberValue(last.at.mm + 10) : last.at;
  const fewer: Option = { word: `${rows.length - 1} stations`, patch: { rows: rows.slice(0, -1) } };
  return choice('how many stations', ({ patch }) => patch.rows === rows, [
    ...(rows.length > 2 ? [fewer] : []),
    { word: `${rows.length} stations`, patch: { rows } },
    {
      word: `${rows.length + 1} stations`,
      patch: { rows: [...rows, { at: above, diameter: last.diameter }] },
    },
  ]);
}

export const REPEATABLE: readonly StepKind[] = [
  'turn',
  'plate',
  'peg',
  'groove',
  'drill',
  'raise',
  'cone',
  'ball',
  'ring',
  'stations',
];

const COUNTS = [2, 3, 4, 5, 6, 8, 10, 12, 16, 20, 24];

export function patternParts({ pattern }: StepOf<'repeat'>, layouts: readonly NamedLayout[]): SentencePart[] {
  const count = pattern.by === 'layout' ? 4 : pattern.count;
  const row = { by: 'row', count, dx: numberValue(10), dy: numberValue(0) };
  const ways: Option[] = [
    { word: 'in a row', patch: { pattern: pattern.by === 'row' ? pattern : row } },
    { word: 'round the axle line', patch: { pattern: { by: 'round', count } } },
    ...layouts.map(({ id, name }) => ({
      word: `at the points of ${name}`,
      patch: { pattern: { by: 'layout', id } },
    })),
  ];
  const isNow = ({ patch }: Option) => {
    const other = patch.pattern as typeof pattern;
    return other.by === pattern.by && (other.by !== 'layout' || other.id === (pattern as { id?: string }).id);
  };
  const lost = { word: 'at the points of a lost layout', patch: { pattern } };
  const way = choice('how it is laid out', isNow, ways.some(isNow) ? ways : [...ways, lost]);
  if (pattern.by === 'layout') return [way];
  const times = choice(
    'how often',
    ({ patch }) => (patch.pattern as { count: number }).count === count,
    [...new Set([...COUNTS, count])]
      .sort((a, b) => a - b)
      .map((often) => ({ word: `${often} times in all`, patch: { pattern: { ...pattern, count: often } } })),
  );
  if (pattern.by === 'round') return [times, words(', evenly '), way];
  return [
    times,
    words(' '),
    way,
    words(', each '),
    chip('pattern.dx', 'way to the right', pattern.dx),
    words(' right and '),
    chip('pattern.dy', 'way to the back', pattern.dy),
    words(' back of the last'),
  ];
}

/** A layout by its name, for steps that may stand at its points. */
export interface NamedLayout {
  id: string;
  name: string;
}
