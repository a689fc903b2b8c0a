import type { StepOf } from '@core/record/model';
import {
  type Option,
  type SentenceContext,
  type SentencePart,
  added,
  angle,
  chip,
  edgeChoice,
  verb,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Ease', what: 'edges with a flat at 45°' };

export function sentence(step: StepOf<'chamfer'>, context: SentenceContext): SentencePart[] {
  return [
    verb('Ease'),
    words(' '),
    edgeChoice(step, context.recipe),
    words(' by '),
    chip('size', 'ease', step.size),
    ...unevenParts(step),
  ];
}

/** What could be added to it and mostly is not. */
export const more = (step: StepOf<'chamfer'>): Option[] => unevenOptions(step);

/** An ease that is not the same on both faces. */
function unevenParts({ other }: StepOf<'chamfer'>): SentencePart[] {
  if (!other) return [];
  const even = { other: undefined };
  return 'length' in other
    ? [
        words(' '),
        added('how it is measured', 'on one face, on the other', 'the same on both faces', even),
        words(' '),
        chip('other.length', 'other length', other.length),
      ]
    : [
        words(' '),
        added('how it is measured', 'on one face, leaning', 'the same on both faces', even),
        words(' '),
        angle('other.angle', 'angle of the ease', other.angle),
      ];
}

const unevenOptions = ({ size, other }: StepOf<'chamfer'>): Option[] =>
  other
    ? []
    : [
        { word: 'Use another length on the other face', patch: { other: { length: size } } },
        { word: 'Use an angle', patch: { other: { angle: Math.PI / 6 } } },
      ];
