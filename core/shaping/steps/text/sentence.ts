import { type StepOf, takesAway } from '@core/record/model';
import {
  type SentenceContext,
  type SentencePart,
  chip,
  effectVerb,
  standing,
  turnParts,
  typedWords,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Letter', what: 'it with raised or sunk letters' };

export function sentence(step: StepOf<'text'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Letter'),
    words(' it with '),
    typedWords('text', 'letters', step.text),
    words(', capitals '),
    chip('height', 'height of the letters', step.height),
    words(' high, '),
    chip('depth', 'depth of the letters', step.depth),
    words(takesAway(step.effect) ? ' deep' : ' raised'),
    ...turnParts(step.turn),
    ...standing(step, context.steps),
  ];
}
