import type { StepOf } from '@core/record/model';
import {
  type SentenceContext,
  type SentencePart,
  chip,
  edgeChoice,
  verb,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Round', what: 'edges' };

export function sentence(step: StepOf<'fillet'>, context: SentenceContext): SentencePart[] {
  return [
    verb('Round'),
    words(' '),
    edgeChoice(step, context.recipe),
    words(' by '),
    chip('size', 'round', step.size),
  ];
}
