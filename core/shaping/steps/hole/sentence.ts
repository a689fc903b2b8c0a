import { type StepOf, type Value, belowOf, numberValue } from '@core/record/model';
import {
  type Option,
  type SentenceContext,
  type SentencePart,
  angle,
  chip,
  choice,
  floorOption,
  groundChoice,
  placeWords,
  verb,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Drill', what: 'a hole, right through or part of the way' };

export function sentence(step: StepOf<'hole'>, context: SentenceContext): SentencePart[] {
  return [
    verb('Drill'),
    words(' a hole '),
    chip('diameter', 'hole', step.diameter),
    ...depthParts(step),
    ...headParts(step),
    words(', '),
    groundChoice(step, true),
    ...placeWords(step, context.steps),
  ];
}

/** What could be added to it and mostly is not. */
export const more = (step: StepOf<'hole'>): Option[] => headOptions(step);

function depthParts({ depth, point, floor }: StepOf<'hole'>): SentencePart[] {
  const through: Option = {
    word: 'right through',
    figure: 'depthThrough',
    patch: { depth: 'through', point: undefined, floor: undefined },
  };
  const deep = depth === 'through' ? numberValue(5) : depth;
  const blind: Option = {
    word: 'deep, with a flat end',
    figure: 'depthFlat',
    patch: { depth: deep, point: undefined, floor: undefined },
  };
  const pointed: Option = {
    word: 'deep, with a drill’s point',
    figure: 'depthPointed',
    patch: { depth: deep, point: (118 * Math.PI) / 180, floor: undefined },
  };
  const level = floorOption('depth', depth === 'through' ? numberValue(2) : depth);
  const isFloor = floor === true && depth !== 'through';
  const now = depth === 'through' ? through : isFloor ? level : point === undefined ? blind : pointed;
  const way = choice('how deep', (option) => option === now, [through, blind, pointed, level]);
  return depth === 'through'
    ? [words(' '), way]
    : [
        words(isFloor ? ', ' : ' '),
        chip('depth', isFloor ? 'height of its floor' : 'depth', depth),
        words(' '),
        way,
      ];
}

/** A head is this much wider than a hole whose size is a number, and no smaller than these, mm. */
const WIDER = 1.5;
const LEAST_MM = { head: 8, nut: 7 };

/** Heads, wider than their hole from the first. */
function headsOf(hole: Value): Option[] {
  const widened = hole.from === 'number' ? Math.round(2 * WIDER * hole.mm) / 2 : 0;
  const wide = numberValue(Math.max(LEAST_MM.head, widened));
  const across = numberValue(Math.max(LEAST_MM.nut, widened));
  return [
    {
      word: 'a round seat',
      figure: 'headSeat',
      patch: { head: { kind: 'seat', diameter: wide, depth: numberValue(3) } },
    },
    {
      word: 'a countersink',
      figure: 'headSink',
      patch: { head: { kind: 'sink', diameter: wide, angle: Math.PI / 2 } },
    },
    {
      word: 'a pocket for a nut',
      figure: 'headNut',
      patch: { head: { kind: 'nut', sides: 6, across, depth: numberValue(3), at: 'far', turn: 0 } },
    },
  ];
}
const kindOf = ({ patch }: Option) => (patch.head as { kind: string } | undefined)?.kind;

/** Heads that a hole without one can have. */
const headOptions = ({ head, diameter }: StepOf<'hole'>): Option[] =>
  head ? [] : headsOf(diameter).map(({ word, ...rest }) => ({ word: `Give it ${word}`, ...rest }));

/** What a hole widens to, for a screw head, a bearing or a nut. */
function headParts({ head, diameter }: StepOf<'hole'>): SentencePart[] {
  if (!head) return [];
  const kept = headsOf(diameter).map((option) =>
    kindOf(option) === head.kind ? { ...option, patch: { head } } : option,
  );
  const way = choice('the head of the hole', ({ patch }) => patch.head === head, [
    ...kept,
    { word: 'no head', patch: { head: undefined }, figure: 'depthThrough' },
  ]);
  switch (head.kind) {
    case 'seat':
      return [
        words(', with '),
        way,
        words(' '),
        chip('head.diameter', 'width of the seat', head.diameter),
        words(' across and '),
        chip('head.depth', 'depth of the seat', head.depth),
        words(' deep'),
      ];
    case 'sink':
      return [
        words(', with '),
        way,
        words(' '),
        chip('head.diameter', 'width of the countersink', head.diameter),
        words(' across, of '),
        angle('head.angle', 'angle of the countersink', head.angle),
      ];
    case 'nut':
      return [
        words(', with '),
        way,
        words(' '),
        chip('head.across', 'nut across its flats', head.across),
        words(' over '),
        choice('its flats', ({ patch }) => patch['head.sides'] === head.sides, [
          { word: 'six flats', patch: { 'head.sides': 6 } },
          { word: 'four flats', patch: { 'head.sides': 4 } },
        ]),
        words(', '),
        chip('head.depth', 'depth of the pocket', head.depth),
        words(' deep '),
        choice('where the nut is', ({ patch }) => patch['head.at'] === head.at, [
          { word: 'at the far end', patch: { 'head.at': 'far' }, figure: 'nutFar' },
          { word: 'at the mouth', patch: { 'head.at': 'mouth' }, figure: 'nutMouth' },
          {
            word: 'slid in from a side',
            figure: 'nutSide',
            patch: { 'head.at': 'side', 'head.below': belowOf(head) },
          },
        ]),
        ...(head.at === 'side'
          ? [
              words(', '),
              chip('head.below', 'depth down to the nut', belowOf(head)),
              words(' below the mouth, open towards '),
              angle('head.turn', 'direction of the opening', head.turn),
            ]
          : [words(', turned '), angle('head.turn', 'turn of the nut', head.turn)]),
      ];
  }
}
