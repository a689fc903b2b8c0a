import type { StepOf } from '@core/record/model';
import {
  type Option,
  type SentenceContext,
  type SentencePart,
  chip,
  effectVerb,
  groundedOptions,
  groundedWords,
  turnParts,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Lay', what: 'a plate with rounded corners' };

export function sentence(step: StepOf<'plate'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Lay'),
    words(' a plate '),
    chip('length', 'length', step.length),
    words(' long, '),
    chip('breadth', 'breadth', step.breadth),
    words(' wide, '),
    chip('thickness', 'thickness', step.thickness),
    words(' thick, corners rounded '),
    chip('cornerRadius', 'corner radius', step.cornerRadius),
    ...(step.turn ? turnParts(step.turn) : []),
    ...groundedWords(step, 'about the axle line', context.steps),
  ];
}

/** What could be added to it and mostly is not. */
export const more = (step: StepOf<'plate'>): Option[] => groundedOptions(step);
