import { type StepOf, numberValue } from '@core/record/model';
import {
  type Option,
  type SentenceContext,
  type SentencePart,
  added,
  angle,
  chip,
  choice,
  effectVerb,
  outlineParts,
  plainNumber,
  setting,
  standing,
  turnParts,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Blend', what: 'from one outline to another, straight or smooth' };

export function sentence(step: StepOf<'loft'>, context: SentenceContext): SentencePart[] {
  return [
    effectVerb(step, 'Blend'),
    words(' from '),
    ...step.sections.flatMap(({ outline, at, x, y, turn, tilt, shift }, index) => {
      const path = `sections.${index}`;
      const isAside = ![x, y].every((value) => value.from === 'number' && value.mm === 0);
      return [
        words(index === 0 ? '' : index === step.sections.length - 1 ? ' to ' : ' by '),
        ...outlineParts(outline, `${path}.outline`, context),
        words(' at '),
        chip(`${path}.at`, `height of outline ${index + 1}`, at),
        ...(isAside
          ? [
              words(', '),
              chip(`${path}.x`, 'place to the right', x),
              words(' right and '),
              chip(`${path}.y`, 'place to the back', y),
              words(' back'),
            ]
          : []),
        ...(outline.shape === 'circle' ? [] : turnParts(turn, `${path}.turn`)),
        ...(tilt === undefined
          ? []
          : [
              words(', '),
              added('how it is tilted', 'tilted', 'level', { [`${path}.tilt`]: undefined }),
              words(' '),
              angle(`${path}.tilt`, 'lean', tilt),
            ]),
        ...(shift === undefined
          ? []
          : [
              words(', its corners '),
              ...plainNumber(`${path}.shift`, 'how many corners on', shift, 'count'),
              words(' '),
              added('its corners', 'further on', 'as they are', { [`${path}.shift`]: undefined }),
            ]),
      ];
    }),
    words('; '),
    sectionCount(step),
    words(', '),
    setting('between', 'what is between them', step.between, [
      ['straight', 'straight between', 'betweenStraight'],
      ['smooth', 'smooth between', 'betweenSmooth'],
    ]),
    ...standing(step, context.steps),
  ];
}

/** What could be added to it and mostly is not. */
export function more(step: StepOf<'loft'>): Option[] {
  const last = step.sections.length - 1;
  const { tilt, shift } = step.sections[last]!;
  return [
    ...(tilt === undefined
      ? [{ word: 'Tilt its last outline', patch: { [`sections.${last}.tilt`]: Math.PI / 12 } }]
      : []),
    ...(shift === undefined
      ? [{ word: 'Undo a twist: shift its corners by one', patch: { [`sections.${last}.shift`]: 1 } }]
      : []),
  ];
}

/** How many outlines a loft has: one more goes above the last, one fewer takes the last away. */
function sectionCount({ sections }: StepOf<'loft'>): SentencePart {
  const last = sections.at(-1)!;
  const above = last.at.from === 'number' ? numberValue(last.at.mm + 10) : last.at;
  const fewer: Option = {
    word: `${sections.length - 1} outlines`,
    patch: { sections: sections.slice(0, -1) },
  };
  return choice('how many outlines', ({ patch }) => patch.sections === sections, [
    ...(sections.length > 2 ? [fewer] : []),
    { word: `${sections.length} outlines`, patch: { sections } },
    { word: `${sections.length + 1} outlines`, patch: { sections: [...sections, { ...last, at: above }] } },
  ]);
}
