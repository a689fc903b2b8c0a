import type { StepOf } from '@core/record/model';
import {
  type SentenceContext,
  type SentencePart,
  angle,
  chip,
  effectVerb,
  outlineParts,
  standing,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Turn an outline', what: 'round an axis, all the way or part of it' };

export function sentence(step: StepOf<'revolve'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Turn'),
    words(' '),
    ...outlineParts(step.outline, 'outline', context),
    words(', its middle '),
    chip('away', 'distance from the axis', step.away),
    words(' from an upright axis and '),
    chip('up', 'height of its middle', step.up),
    words(' up, by '),
    angle('angle', 'how far round', step.angle),
    words(' from '),
    angle('turn', 'where it begins', step.turn),
    ...standing(step, context.steps),
  ];
}
