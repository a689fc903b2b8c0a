import type { StepOf } from '@core/record/model';
import { type SentenceContext, type SentencePart, choice, mirroredWhat, words } from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Mirror', what: 'the whole part' };

export function sentence(step: StepOf<'mirror'>, context: SentenceContext): SentencePart[] {
  return [
    choice(
      'what is kept',
      ({ patch }) => patch.keep === step.keep,
      [
        { word: 'Mirror', patch: { keep: 'both' } },
        ...(step.of ? [] : [{ word: 'Turn into its mirror image', patch: { keep: 'other' } }]),
      ],
      true,
    ),
    words(' '),
    mirroredWhat(step, context.recipe),
    words(', '),
    choice('which way', ({ patch }) => patch.across === step.across, [
      { word: 'left to right', patch: { across: 'sides' } },
      { word: 'front to back', patch: { across: 'frontBack' } },
      { word: 'top to bottom, at the ground', patch: { across: 'upDown' } },
    ]),
  ];
}
