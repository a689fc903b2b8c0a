import type { StepOf } from '@core/record/model';
import {
  type SentenceContext,
  type SentencePart,
  chip,
  setting,
  stepsBefore,
  verb,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Move faces', what: 'in or out, to ease a fit' };

export function sentence(step: StepOf<'offset'>, context: SentenceContext): SentencePart[] {
  return [
    verb('Move'),
    words(' '),
    setting('of', 'which faces', step.of, [
      ['all', 'all faces'],
      ['mating', 'all faces that a fit is for'],
      ...stepsBefore(step, context.recipe).map(
        (earlier) => [earlier.id, `the faces of step ${context.recipe.indexOf(earlier) + 1}`] as const,
      ),
    ]),
    words(' out by '),
    chip('by', 'way', step.by),
  ];
}
