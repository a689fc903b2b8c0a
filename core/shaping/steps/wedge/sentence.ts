import type { StepOf } from '@core/record/model';
import {
  type SentenceContext,
  type SentencePart,
  chip,
  effectVerb,
  standing,
  turnParts,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Set a wedge', what: 'or cut one out: a block with a sloping top' };

export function sentence(step: StepOf<'wedge'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Set'),
    words(' a wedge '),
    chip('length', 'length', step.length),
    words(' long, '),
    chip('breadth', 'breadth', step.breadth),
    words(' wide, '),
    chip('low', 'height on the left', step.low),
    words(' high on the left and '),
    chip('high', 'height on the right', step.high),
    words(' on the right'),
    ...turnParts(step.turn),
    ...standing(step, context.steps),
  ];
}
