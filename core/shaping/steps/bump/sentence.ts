import { type StepOf, takesAway } from '@core/record/model';
import {
  type Option,
  type SentenceContext,
  type SentencePart,
  chip,
  effectVerb,
  words,
} from '@core/shaping/sentence';
import { snapOptions, snapParts } from '../tongue/snapWords';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Set a bump', what: 'that snaps in, or cut the recess for one' };

export function sentence(step: StepOf<'bump'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Set'),
    words(takesAway(step.effect) ? ' the recess for a bump ' : ' a bump that snaps in, '),
    chip('breadth', 'breadth', step.breadth),
    words(' wide and '),
    ...snapParts(step, context.steps),
  ];
}

/** What could be added to it and mostly is not. */
export const more = (step: StepOf<'bump'>): Option[] => snapOptions(step);
