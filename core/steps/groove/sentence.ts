import { type StepOf, numberValue } from '@core/model';
import { type Option, type SentencePart, added, chip, verb, words } from '@core/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Cut', what: 'a groove round the rim' };

export function sentence(step: StepOf<'groove'>): SentencePart[] {
  return [
    verb('Cut'),
    words(' a groove '),
    chip('width', 'groove width', step.width),
    words(' wide, '),
    chip('depth', 'groove depth', step.depth),
    ...(step.up
      ? [
          words(' deep, '),
          chip('up', 'height above the middle', step.up),
          words(' above the '),
          added('where on the rim', 'middle of the rim', 'in the middle of the rim', { up: undefined }),
        ]
      : [words(' deep, middle of the rim')]),
  ];
}

/** What could be added to it and mostly is not. */
export const more = (step: StepOf<'groove'>): Option[] =>
  step.up ? [] : [{ word: 'Off the middle of the rim', patch: { up: numberValue(1) } }];
