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
export const menu = { verb: 'Set a ball', what: 'or cut one out' };

export function sentence(step: StepOf<'sphere'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Set'),
    words(' a ball '),
    chip('diameter', 'across', step.diameter),
    words(' across, its middle '),
    chip('up', 'height of its middle', step.up),
    words(' above its place, '),
    levelChoice(step),
    ...placeWords(step, context.steps),
  ];
}
