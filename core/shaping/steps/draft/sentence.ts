import type { StepOf } from '@core/record/model';
import {
  type SentenceContext,
  type SentencePart,
  angle,
  setting,
  stepsBefore,
  verb,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Lean', what: 'the sides of a step' };

export function sentence(step: StepOf<'draft'>, context: SentenceContext): SentencePart[] {
  return [
    verb('Lean'),
    words(' the sides of '),
    setting(
      'of',
      'which step',
      step.of,
      stepsBefore(step, context.recipe).map(
        (earlier) => [earlier.id, `step ${context.recipe.indexOf(earlier) + 1}`] as const,
      ),
    ),
    words(' in by '),
    angle('angle', 'lean', step.angle),
    words(', '),
    setting('held', 'where they are held', step.held, [
      ['bottom', 'held at the bottom'],
      ['top', 'held at the top'],
    ]),
  ];
}
