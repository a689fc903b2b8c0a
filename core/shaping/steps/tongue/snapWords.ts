import { type StepOf, takesAway } from '@core/record/model';
import {
  type EarlierStep,
  type Option,
  type SentencePart,
  added,
  angle,
  chip,
  standing,
  turnParts,
  words,
} from '@core/shaping/sentence';

/** What a tongue and a bump have in common: how far it stands out, how the face lies that holds, and where it is. */
export const snapParts = (
  step: StepOf<'tongue' | 'bump'>,
  before?: readonly EarlierStep[],
): SentencePart[] => [
  chip('bump', 'bump', step.bump),
  words(' out'),
  ...(step.undercut === undefined
    ? []
    : [
        words(', '),
        added('how it holds', 'leaning back', 'square', { undercut: undefined }),
        words(' '),
        angle('undercut', 'undercut', step.undercut),
      ]),
  ...(takesAway(step.effect) ? [words(', play '), chip('play', 'play', step.play)] : []),
  ...turnParts(step.turn),
  ...standing(step, before),
];

/** How a tongue or a bump may hold, besides square. */
export const snapOptions = ({ undercut }: StepOf<'tongue' | 'bump'>): Option[] =>
  undercut === undefined
    ? [
        { word: 'Hook it: an undercut', patch: { undercut: Math.PI / 12 } },
        { word: 'Let it be pulled out again', patch: { undercut: -Math.PI / 4 } },
      ]
    : [];
