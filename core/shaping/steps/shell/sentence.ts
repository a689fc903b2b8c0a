import type { StepOf } from '@core/record/model';
import { type SentencePart, chip, choice, verb, words } from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Hollow', what: 'it to an even wall' };

export function sentence(step: StepOf<'shell'>): SentencePart[] {
  return [
    verb('Hollow'),
    words(' it to a wall of '),
    chip('wall', 'wall', step.wall),
    words(', open '),
    choice('where it is open', ({ patch }) => patch.open === step.open, [
      { word: 'at the top', patch: { open: 'top' } },
      { word: 'at the bottom', patch: { open: 'bottom' } },
      { word: 'at both ends', patch: { open: 'both' } },
      { word: 'nowhere', patch: { open: 'closed' } },
      ...(typeof step.open === 'object'
        ? [{ word: 'at the faces that were picked', patch: { open: step.open } }]
        : []),
      { word: 'Pick faces on the part', patch: {}, pick: { field: 'open', picks: 'faces' } },
    ]),
  ];
}
