import type { StepOf } from '@core/record/model';
import {
  type Option,
  type SentenceContext,
  type SentencePart,
  chip,
  choice,
  effectVerb,
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
    words(' along a path of '),
    {
      kind: 'rows',
      field: 'path',
      what: 'point',
      text: `${step.path.length} points`,
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
    ...endingParts(step),
    ...standing(step, context.steps),
  ];
}

/** What the outline of a sweep has become at its end. */
function endingParts({ outline, ending, closed }: StepOf<'sweep'>): SentencePart[] {
  if (closed) return [];
  const same: Option = { word: 'the same all along', patch: { ending: undefined } };
  const other: Option = { word: 'ending as', patch: { ending: ending ?? outline } };
  const way = choice('what it ends as', (option) => (option === other) === (ending !== undefined), [
    same,
    other,
  ]);
  return [words(', '), way, ...(ending ? [words(' '), ...outlineParts(ending, 'ending')] : [])];
}
