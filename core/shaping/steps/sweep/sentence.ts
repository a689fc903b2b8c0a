import { isDrawnPath, numberValue, type DrawnPath, type Value } from '@core/foundations/fields';
import type { StepOf } from '@core/record/model';
import {
  type Option,
  type SentenceContext,
  type SentencePart,
  chip,
  choice,
  curvesIn,
  effectVerb,
  emptyDrawing,
  outlineParts,
  setting,
  standing,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Run an outline along', what: 'a path: a band, a wire, a handle' };

export function sentence(step: StepOf<'sweep'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Run'),
    words(' '),
    ...outlineParts(step.outline, 'outline', context),
    words(' along '),
    ...pathParts(step),
    ...endingParts(step),
    ...standing(step, context.steps),
  ];
}

/** The path: its points, or what is drawn. */
function pathParts(step: StepOf<'sweep'>): SentencePart[] {
  const { path } = step;
  const isDrawn = isDrawnPath(path);
  const byPoints: Option = {
    word: 'a path of',
    patch: { path: isDrawn ? STRAIGHT : path },
  };
  const drawn: Option = {
    word: 'a path drawn by hand',
    patch: { path: isDrawn ? path : drawnFromPath(path) },
  };
  const given = choice('how the path is given', (option) => (option === drawn) === isDrawn, [
    byPoints,
    drawn,
  ]);
  if (isDrawn)
    return [
      given,
      words(': '),
      { kind: 'drawing', field: 'path.drawn', what: 'drawing', text: curvesIn(path.drawn) },
      words(', '),
      setting('path.lies', 'how the path lies', path.lies, [
        ['level', 'level'],
        ['right', 'upright, to the right'],
        ['back', 'upright, to the back'],
      ]),
    ];
  return [
    given,
    words(' '),
    {
      kind: 'rows',
      field: 'path',
      what: 'point',
      text: `${path.length} points`,
      columns: [
        { key: 'x', word: 'to the right' },
        { key: 'y', word: 'to the back' },
        { key: 'up', word: 'up' },
      ],
      least: 2,
    },
    words(', '),
    setting('along', 'how it runs', step.along, [
      ['straight', 'straight, bends rounded'],
      ['smooth', 'smooth through them'],
    ]),
    ...(step.along === 'straight' ? [words(' '), chip('bend', 'bend', step.bend)] : []),
    words(', '),
    setting('closed', 'open or closed', step.closed, [
      [false, 'open at its ends'],
      [true, 'closed'],
    ]),
  ];
}

/** A path by points for one that was drawn: a straight one, to begin from. */
const STRAIGHT = [0, 20].map((mm) => ({ x: numberValue(mm), y: numberValue(0), up: numberValue(0) }));

/** The points of a path joined by lines, where they all lie in a plane of its place; nothing drawn yet otherwise. */
function drawnFromPath(path: readonly Record<'x' | 'y' | 'up', Value>[]): DrawnPath {
  const isZero = (key: 'x' | 'y' | 'up') =>
    path.every((point) => point[key].from === 'number' && point[key].mm === 0);
  const planes = [
    { lies: 'right', x: 'x', y: 'up', off: 'y' },
    { lies: 'level', x: 'x', y: 'y', off: 'up' },
    { lies: 'back', x: 'y', y: 'up', off: 'x' },
  ] as const;
  const plane = planes.find(({ off }) => isZero(off));
  if (!plane) return { drawn: emptyDrawing(), lies: 'level' };
  const points = path.map((point, index) => ({ id: `P${index + 1}`, x: point[plane.x], y: point[plane.y] }));
  const curves = points.slice(1).map(({ id }, index) => ({
    kind: 'line' as const,
    from: points[index]!.id,
    to: id,
    id: `c${index + 1}`,
  }));
  // Nothing moves before somebody lets it: what is typed stays where it is.
  const relations = points.flatMap(({ id, x, y }, index) =>
    x.from === 'number' || y.from === 'number'
      ? [{ kind: 'fixed' as const, id: `r${index + 1}`, point: id }]
      : [],
  );
  return { drawn: { shape: 'drawn', points, curves, relations }, lies: plane.lies };
}

/** What the outline of a sweep has become at its end. */
function endingParts({ outline, ending, closed, path }: StepOf<'sweep'>): SentencePart[] {
  if (closed && !isDrawnPath(path)) return [];
  const same: Option = { word: 'the same all along', patch: { ending: undefined } };
  const other: Option = { word: 'ending as', patch: { ending: ending ?? outline } };
  const way = choice('what it ends as', (option) => (option === other) === (ending !== undefined), [
    same,
    other,
  ]);
  return [words(', '), way, ...(ending ? [words(' '), ...outlineParts(ending, 'ending')] : [])];
}
