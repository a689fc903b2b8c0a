import { type StepOf, effectOf, numberValue, takesAway } from '@core/record/model';
import {
  type Option,
  type SentenceContext,
  type SentencePart,
  chip,
  choice,
  effectVerb,
  groundChoice,
  placeWords,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Raise', what: 'a peg, or cut the recess for one' };

export function sentence(step: StepOf<'peg'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Raise'),
    words(' a peg '),
    chip('diameter', 'across', step.diameter),
    words(' across, '),
    ...pegHeight(step),
    groundChoice(step, takesAway(effectOf(step))),
    ...placeWords(step, context.steps),
  ];
}

/** How high a peg is, or how deep its room; that may be told by its floor. */
function pegHeight(step: StepOf<'peg'>): SentencePart[] {
  if (!takesAway(effectOf(step))) return [chip('height', 'height', step.height), words(' high ')];
  const measured: Option = { word: 'deep', patch: { floor: undefined } };
  const level: Option = {
    word: 'above the ground at its floor',
    patch: { floor: true, height: step.floor ? step.height : numberValue(2) },
  };
  return [
    chip('height', step.floor ? 'height of its floor' : 'height', step.height),
    words(' '),
    choice('how deep', (option) => option === (step.floor ? level : measured), [measured, level]),
    words(' '),
  ];
}
