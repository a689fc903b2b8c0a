import { type StepOf, numberValue } from '@core/record/model';
import {
  type Option,
  type SentencePart,
  added,
  chip,
  choice,
  setting,
  verb,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Split', what: 'it in two, with pegs to align the halves' };

export function sentence(step: StepOf<'split'>): SentencePart[] {
  const { pegs } = step;
  const halves = step.face ? BESIDE_FACE : HALVES[step.axis];
  const without: Option = { word: 'without pegs', patch: { pegs: undefined } };
  const fresh = {
    diameter: numberValue(3),
    length: numberValue(3),
    apart: numberValue(10),
    play: numberValue(0.1),
  };
  const withPegs: Option = { word: 'with two pegs', patch: { pegs: pegs ?? fresh } };
  return [
    verb('Split'),
    words(' it '),
    choice(
      'which way',
      ({ patch }) => (step.face ? patch.face === step.face : patch.axis === step.axis && !patch.face),
      [
        { word: 'level, at a height of', patch: { axis: 'z', face: undefined } },
        { word: 'from left to right, at', patch: { axis: 'x', face: undefined } },
        { word: 'from front to back, at', patch: { axis: 'y', face: undefined } },
        ...(step.face ? [{ word: 'along the face that was picked', patch: { face: step.face } }] : []),
        {
          word: 'Pick a flat face to split along',
          patch: {},
          pick: { field: 'face', picks: 'face' as const },
        },
      ],
    ),
    ...(step.face ? [] : [words(' '), chip('at', 'place of the cut', step.at)]),
    words(', and keep '),
    setting('keep', 'what is kept', step.keep, [
      ['low', halves[0]],
      ['high', halves[1]],
      ['both', 'both halves'],
    ]),
    ...(step.keep === 'both'
      ? [
          words(', moved apart by '),
          chip('gap', 'gap', step.gap),
          words(', '),
          choice('the pegs', (option) => (option === withPegs) === (pegs !== undefined), [without, withPegs]),
          ...(pegs
            ? [
                words(' '),
                chip('pegs.diameter', 'peg', pegs.diameter),
                words(' across, '),
                chip('pegs.length', 'length of the pegs', pegs.length),
                words(' long, '),
                chip('pegs.apart', 'distance between the pegs', pegs.apart),
                words(' from each other, play '),
                chip('pegs.play', 'play', pegs.play),
              ]
            : []),
          ...(step.ties
            ? [
                words(', '),
                added('the slots', 'with two slots for a strap', 'without slots', { ties: undefined }),
                words(' '),
                chip('ties.breadth', 'width of the slots', step.ties.breadth),
                words(' wide, '),
                chip('ties.thickness', 'thickness of the slots', step.ties.thickness),
                words(' thick, '),
                chip('ties.apart', 'distance between the slots', step.ties.apart),
                words(' from each other'),
              ]
            : []),
        ]
      : []),
  ];
}

/** What could be added to it and mostly is not. */
export const more = (step: StepOf<'split'>): Option[] => tieOptions(step);

/** What a split that keeps both halves may have besides pegs. */
const tieOptions = ({ keep, ties }: StepOf<'split'>): Option[] =>
  keep !== 'both' || ties
    ? []
    : [
        {
          word: 'Slots for a strap that ties the halves together',
          patch: {
            ties: { breadth: numberValue(4), thickness: numberValue(2), apart: numberValue(20) },
          },
        },
      ];

const BESIDE_FACE = ['the half behind it', 'the half in front of it'] as const;
const HALVES = {
  z: ['the lower half', 'the upper half'],
  x: ['the left half', 'the right half'],
  y: ['the front half', 'the back half'],
} as const;
