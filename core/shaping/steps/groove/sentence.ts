import { type StepOf, numberValue, stepTakesAway } from '@core/record/model';
import {
  type Option,
  type SentencePart,
  added,
  chip,
  verb,
  words,
  type EarlierStep,
  type SentenceContext,
  choice,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Cut', what: 'a groove round the rim' };

export function sentence(step: StepOf<'groove'>, { steps }: SentenceContext): SentencePart[] {
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
    ...rimWords(step, steps),
  ];
}

/** Which wheel's rim it is cut in, where there are several. */
function rimWords({ rimOf }: StepOf<'groove'>, steps: readonly EarlierStep[]): SentencePart[] {
  const wheels = steps.filter(({ step }) => step.kind === 'disc' && !stepTakesAway(step));
  const isThere = wheels.some(({ step }) => step.id === rimOf);
  if (isThere && wheels.length === 1) return [];
  const offered: Option[] = wheels.map(({ step, place }) => ({
    word: `of step ${place}`,
    patch: { rimOf: step.id },
  }));
  const lost: Option = { word: 'of a missing step', patch: { rimOf } };
  return [
    words(' '),
    choice('which rim', ({ patch }) => patch.rimOf === rimOf, isThere ? offered : [lost, ...offered]),
  ];
}

/** What could be added to it and mostly is not. */
export const more = (step: StepOf<'groove'>): Option[] =>
  step.up ? [] : [{ word: 'Off-centre on the rim', patch: { up: numberValue(1) } }];
