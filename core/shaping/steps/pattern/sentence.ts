import { type StepOf, numberValue } from '@core/record/model';
import {
  type NamedLayout,
  type Option,
  type SentenceContext,
  type SentencePart,
  chip,
  choice,
  plainNumber,
  repeatedWhat,
  verb,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = {
  verb: 'Repeat',
  what: 'a step in a row, round the axle line, or at the points of a layout',
};

export function sentence(step: StepOf<'pattern'>, context: SentenceContext): SentencePart[] {
  return [
    verb('Repeat'),
    words(' '),
    repeatedWhat(step, context.recipe),
    words(' '),
    ...patternParts(step, context.layouts),
  ];
}

function patternParts({ pattern }: StepOf<'pattern'>, layouts: readonly NamedLayout[]): SentencePart[] {
  const count = pattern.by === 'layout' || pattern.by === 'points' ? 4 : pattern.count;
  const steps = { dx: numberValue(10), dy: numberValue(pattern.by === 'grid' ? 10 : 0) };
  const as = (by: string, fresh: object) => ({
    pattern: pattern.by === by ? pattern : { by, ...(by === 'points' ? {} : { count }), ...fresh },
  });
  const isRoundPoint = pattern.by === 'round' && pattern.x !== undefined;
  const isRoundAxle = pattern.by === 'round' && pattern.x === undefined;
  const ways: Option[] = [
    { word: 'in a row', patch: as('row', steps), figure: 'patternRow' },
    {
      word: 'in rows and columns',
      figure: 'patternGrid',
      patch: as('grid', { rows: 2, dx: steps.dx, dy: numberValue(10) }),
    },
    {
      word: 'round the axle line',
      figure: 'patternRoundAxle',
      patch: { pattern: isRoundAxle ? pattern : { by: 'round', count } },
    },
    {
      word: 'round a point',
      figure: 'patternRoundPoint',
      patch: {
        pattern: isRoundPoint ? pattern : { by: 'round', count, x: numberValue(10), y: numberValue(0) },
      },
    },
    {
      word: 'along a line of points',
      figure: 'patternPath',
      patch: as('path', { points: [{ x: numberValue(30), y: numberValue(0) }] }),
    },
    {
      word: 'at places of its own',
      figure: 'patternPoints',
      patch: as('points', { points: [{ x: numberValue(10), y: numberValue(10) }] }),
    },
    ...layouts.map(({ id, name }) => ({
      word: `at the points of ${name}`,
      patch: { pattern: { by: 'layout', id } },
    })),
  ];
  const isNow = ({ patch }: Option) => {
    const other = patch.pattern as typeof pattern;
    if (other.by === 'round' && pattern.by === 'round')
      return (other.x === undefined) === (pattern.x === undefined);
    return other.by === pattern.by && (other.by !== 'layout' || other.id === (pattern as { id?: string }).id);
  };
  const lost = { word: 'at the points of a missing layout', patch: { pattern } };
  const way = choice('arrangement', isNow, ways.some(isNow) ? ways : [...ways, lost]);
  if (pattern.by === 'layout') return [way];
  const rows: SentencePart | null =
    pattern.by === 'path' || pattern.by === 'points'
      ? {
          kind: 'rows',
          field: 'pattern.points',
          what: 'point',
          text: pattern.points.length === 1 ? '1 point' : `${pattern.points.length} points`,
          columns: [
            { key: 'x', word: 'to the right' },
            { key: 'y', word: 'to the back' },
          ],
          least: 1,
        }
      : null;
  if (pattern.by === 'points') return [way, words(': '), rows!];
  const times = plainNumber('pattern.count', 'how often', count, 'count', 'times in all');
  if (pattern.by === 'round') {
    return [
      ...times,
      words(', evenly '),
      way,
      ...(pattern.x && pattern.y
        ? [
            words(' '),
            chip('pattern.x', 'axis to the right', pattern.x),
            words(' right and '),
            chip('pattern.y', 'axis to the back', pattern.y),
            words(' back of the axle line'),
          ]
        : []),
    ];
  }
  if (pattern.by === 'path') {
    return [...times, words(', evenly '), way, words(': '), rows!];
  }
  if (pattern.by === 'grid') {
    return [
      ...plainNumber('pattern.count', 'how many to the right', count, 'count', 'to the right'),
      words(', '),
      chip('pattern.dx', 'distance to the right', pattern.dx),
      words(' apart, and '),
      ...plainNumber('pattern.rows', 'how many to the back', pattern.rows, 'count', 'to the back'),
      words(', '),
      chip('pattern.dy', 'distance to the back', pattern.dy),
      words(' apart, '),
      way,
    ];
  }
  return [
    ...times,
    words(' '),
    way,
    words(', each '),
    chip('pattern.dx', 'distance to the right', pattern.dx),
    words(' right, '),
    chip('pattern.dy', 'distance to the back', pattern.dy),
    words(' back and '),
    chip('pattern.dz', 'distance up', pattern.dz ?? numberValue(0)),
    words(' up of the last'),
  ];
}
