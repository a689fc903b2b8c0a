import type { StepOf } from '@core/record/model';
import {
  type Option,
  type SentenceContext,
  type SentencePart,
  chip,
  effectVerb,
  groundedOptions,
  groundedWords,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Turn', what: 'a wheel or a pin, round the axle line' };

export function sentence(step: StepOf<'disc'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Turn'),
    words(' a wheel '),
    chip('diameter', 'across', step.diameter),
    words(' across, '),
    chip('width', 'width', step.width),
    words(' wide'),
    ...groundedWords(step, 'round the axle line', context.steps),
  ];
}

/** What could be added to it and mostly is not. */
export const more = (step: StepOf<'disc'>): Option[] => groundedOptions(step);
