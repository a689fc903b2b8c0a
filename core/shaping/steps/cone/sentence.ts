import type { StepOf } from '@core/record/model';
import {
  type SentenceContext,
  type SentencePart,
  chip,
  effectVerb,
  levelChoice,
  placeWords,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Set a cone', what: 'or cut one out, as for a countersunk head' };

export function sentence(step: StepOf<'cone'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Set'),
    words(' a cone '),
    chip('lower', 'lower diameter', step.lower),
    words(' across below, '),
    chip('upper', 'upper diameter', step.upper),
    words(' above, '),
    chip('height', 'height', step.height),
    words(' high, '),
    levelChoice(step),
    ...placeWords(step, context.steps),
  ];
}
