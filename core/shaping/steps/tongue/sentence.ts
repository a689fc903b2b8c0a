import { type StepOf, takesAway } from '@core/record/model';
import {
  type Option,
  type SentenceContext,
  type SentencePart,
  chip,
  effectVerb,
  words,
} from '@core/shaping/sentence';
import { snapOptions, snapParts } from './snapWords';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Set a tongue', what: 'that springs and snaps in, or cut the recess for one' };

export function sentence(step: StepOf<'tongue'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Set'),
    words(takesAway(step.effect) ? ' the recess for a tongue ' : ' a springy tongue '),
    chip('length', 'length', step.length),
    words(' long, '),
    chip('breadth', 'breadth', step.breadth),
    words(' wide, '),
    chip('thickness', 'thickness', step.thickness),
    words(' thick, its bump '),
    ...snapParts(step, context.steps),
  ];
}

/** What could be added to it and mostly is not. */
export const more = (step: StepOf<'tongue'>): Option[] => snapOptions(step);
