import { numberValue, takesAway, type Step, type StepOf, isTaken } from '@core/model';

import { stepsBefore } from './edges';
import {
  added,
  angle,
  chip,
  choice,
  plainNumber,
  setting,
  verb,
  words,
  type Option,
  type SentencePart,
} from './parts';
import { effectVerb } from './places';

type Work = StepOf<'body' | 'faces' | 'taper' | 'move' | 'split'>;

/** Another body by its name. */
export interface NamedBody {
  id: string;
  name: string;
  steps?: readonly Step[];
}

/** Sentences of the steps that work on what is there. */
export function workSentence(
  step: Work,
  steps: readonly Step[],
  bodies: readonly NamedBody[],
): SentencePart[] {
  switch (step.kind) {
    case 'body': {
      const known = bodies.some(({ id }) => id === step.of);
      const named = known ? bodies : [{ id: step.of, name: 'a lost body' }, ...bodies];
      const which = setting(
        'of',
        'which body',
        step.of,
        named.map(({ id, name }) => [id, name] as const),
      );
      if (!takesAway(step.effect)) return [effectVerb(step, 'Join'), words(' '), which];
      return [
        effectVerb(step, 'Join'),
        words(step.effect === 'cut' ? ' the room for ' : ' what it shares with '),
        which,
        words(', '),
        chip('grow', 'play', step.grow),
        words(' larger '),
        choice('its play', ({ patch }) => patch.byFits === step.byFits, [
          { word: 'all round', patch: { byFits: undefined } },
          { word: 'than the fit of each face', patch: { byFits: true, grow: numberValue(0) } },
        ]),
        words(', '),
        setting('wayIn', 'the way in', step.wayIn, [
          ['none', 'no way in cleared'],
          ['top', 'to be put in from the top'],
          ['bottom', 'to be put in from below'],
          ['front', 'to be put in from the front'],
          ['back', 'to be put in from the back'],
          ['left', 'to be put in from the left'],
          ['right', 'to be put in from the right'],
        ]),
      ];
    }
    case 'faces':
      return [
        verb('Move'),
        words(' '),
        setting('of', 'which faces', step.of, [
          ['all', 'all faces'],
          ['mating', 'all faces that a fit is for'],
          ...stepsBefore(step, steps).map(
            (earlier) => [earlier.id, `the faces of step ${steps.indexOf(earlier) + 1}`] as const,
          ),
        ]),
        words(' out by '),
        chip('by', 'way', step.by),
      ];
    case 'taper':
      return [
        verb('Lean'),
        words(' the sides of '),
        setting(
          'of',
          'which step',
          step.of,
          stepsBefore(step, steps).map(
            (earlier) => [earlier.id, `step ${steps.indexOf(earlier) + 1}`] as const,
          ),
        ),
        words(' in by '),
        angle('angle', 'lean', step.angle),
        words(', '),
        setting('held', 'where they are held', step.held, [
          ['bottom', 'held at the bottom'],
          ['top', 'held at the top'],
        ]),
      ];
    case 'move':
      return [
        verb('Move'),
        words(' all that is there '),
        chip('dx', 'way to the right', step.dx),
        words(' right, '),
        chip('dy', 'way to the back', step.dy),
        words(' back, '),
        chip('dz', 'way up', step.dz),
        words(' up, turned '),
        angle('turn', 'turn', step.turn),
        words(' about the '),
        setting('axis', 'the axis', step.axis, [
          ['z', 'upright axis'],
          ['x', 'axis to the right'],
          ['y', 'axis to the back'],
        ]),
        words(', scaled '),
        ...scaleParts(step),
      ];
    case 'split':
      return splitSentence(step);
  }
}

/** Once for all ways, or each way by its own, as what shrinks unevenly asks for. */
function scaleParts({ scale }: StepOf<'move'>): SentencePart[] {
  const isEven = typeof scale === 'number' || isTaken(scale);
  const ways = isEven ? { x: scale, y: scale, z: scale } : scale;
  const every: Option = { word: 'times every way', patch: { scale: ways.x } };
  const own: Option = { word: 'each way by its own', patch: { scale: ways } };
  const how = choice('how it is scaled', (option) => (option === every) === isEven, [every, own]);
  if (isEven) return [...plainNumber('scale', 'scale', scale, 'factor'), words(' '), how];
  return [
    how,
    words(': '),
    ...plainNumber('scale.x', 'scale to the right', scale.x, 'factor'),
    words(' to the right, '),
    ...plainNumber('scale.y', 'scale to the back', scale.y, 'factor'),
    words(' to the back and '),
    ...plainNumber('scale.z', 'scale up', scale.z, 'factor'),
    words(' up'),
  ];
}

/** What a split that keeps both halves may have besides pegs. */
export const tieOptions = ({ keep, ties }: StepOf<'split'>): Option[] =>
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

const BESIDE_FACE = ['what lies behind it', 'what lies before it'] as const;
const HALVES = {
  z: ['what is below', 'what is above'],
  x: ['the left half', 'the right half'],
  y: ['the front half', 'the back half'],
} as const;

function splitSentence(step: StepOf<'split'>): SentencePart[] {
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
                chip('ties.breadth', 'breadth of the slots', step.ties.breadth),
                words(' broad, '),
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
