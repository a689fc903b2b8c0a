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
export const menu = { verb: 'Set a ring', what: 'of round section, or cut its groove' };

export function sentence(step: StepOf<'torus'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Set'),
    words(' a ring '),
    chip('across', 'across', step.across),
    words(' across its middle, '),
    chip('thick', 'thickness', step.thick),
    words(' thick, '),
    chip('up', 'height of its middle', step.up),
    words(' above its place, '),
    levelChoice(step),
    ...placeWords(step, context.steps),
  ];
}
