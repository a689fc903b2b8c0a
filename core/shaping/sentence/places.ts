import {
  effectOf,
  numberValue,
  placeOf,
  takesAway,
  type Effect,
  type FromStep,
  type Ground,
  type MeasuredFrom,
  type Place,
  type Step,
  type StepOf,
  type Value,
} from '@core/record/model';

import { added, angle, chip, choice, words, type Option, type SentencePart } from './parts';

const isZero = (value: Value) => value.from === 'number' && value.mm === 0;

/** Which ways a place's two numbers run, by what it starts from. */
type Ways = 'level' | 'frontBack' | 'sides' | 'face';

const waysOf = (on: Ground | undefined): Ways =>
  on === 'front' || on === 'back'
    ? 'frontBack'
    : on === 'left' || on === 'right'
      ? 'sides'
      : typeof on === 'object'
        ? 'face'
        : 'level';

interface WayWords {
  /** Towards larger numbers. */
  on: string;
  low: string;
  high: string;
}
const RIGHT: WayWords = { on: 'right', low: 'left', high: 'right' };
const BACK: WayWords = { on: 'back', low: 'front', high: 'back' };
const UP: WayWords = { on: 'up', low: 'lower', high: 'upper' };
const WAYS: Record<Ways, [WayWords, WayWords]> = {
  level: [RIGHT, BACK],
  frontBack: [RIGHT, UP],
  sides: [BACK, UP],
  // On a face that leans anywhere, along and up it.
  face: [
    { on: 'along', low: 'near', high: 'far' },
    { on: 'up', low: 'lower', high: 'upper' },
  ],
};

/** A step that stands before, with its place in the recipe, from 1. */
export interface EarlierStep {
  step: Step;
  place: number;
}

/**
 * Where a step stands on its ground, along both ways, as people say it: "in the middle, 3 in from the front edge".
 * @param before steps that it may be measured from.
 */
export function placeWords(step: Place, before: readonly EarlierStep[] = []): SentencePart[] {
  const onFace = typeof step.on === 'object';
  const standard: MeasuredFrom = onFace ? 'middle' : 'axle';
  const from: Record<'x' | 'y', MeasuredFrom | FromStep> = {
    x: step.xFrom ?? standard,
    y: step.yFrom ?? standard,
  };
  const [along, across] = WAYS[waysOf(step.on)];
  const isStandard = from.x === standard && from.y === standard;
  const hereNow = isZero(step.x) && isZero(step.y);
  const line = onFace ? 'the middle' : 'the axle line';
  const standardFrom = { xFrom: undefined, yFrom: undefined };
  const there: Option = {
    word: `${onFace ? 'in' : 'on'} ${line}`,
    patch: { x: numberValue(0), y: numberValue(0), ...standardFrom },
  };
  const aside: Option = {
    word: `aside of ${line}`,
    patch: { x: hereNow ? numberValue(10) : step.x, y: step.y, ...standardFrom },
  };
  const edges: Option = {
    word: 'measured from edges',
    patch: { x: numberValue(5), y: numberValue(5), xFrom: 'low', yFrom: 'low' },
  };
  const stays: Option = {
    word: 'where it is',
    patch: { x: numberValue(0), y: numberValue(0), xFrom: 'there', yFrom: 'there' },
  };
  const isTaken =
    'kind' in step && step.kind === 'extrude' && (step as StepOf<'extrude'>).outline.shape === 'offset';
  const staysNow = from.x === 'there' && from.y === 'there' && hereNow;
  const offered = [there, aside, edges, ...(isTaken || staysNow ? [stays] : [])];
  const where = (now: Option) => choice('where it is', (option) => option === now, offered);
  if (staysNow) return [words(', '), where(stays), ...finerWords(step)];
  if (isStandard && hereNow) return [words(', '), where(there), ...finerWords(step)];
  if (isStandard) {
    return [
      words(', '),
      chip('x', `place ${along.on}`, step.x),
      words(` ${along.on} and `),
      chip('y', `place ${across.on}`, step.y),
      words(` ${across.on}, `),
      where(aside),
      ...finerWords(step),
    ];
  }
  const measured = (axis: 'x' | 'y', way: WayWords) =>
    fromEdge(axis, from[axis], step[axis], way, { onFace, before, isTaken });
  return [words(', '), ...measured('x', along), words(', '), ...measured('y', across), ...finerWords(step)];
}

/** Numbers that come in where one was zero and is so no longer, mm. */
const ASIDE = numberValue(5);

/** Where it is along one way: "3 in from the front edge", or "in the middle" where the number would be zero. */
function fromEdge(
  axis: 'x' | 'y',
  now: MeasuredFrom | FromStep,
  value: Value,
  { on, low, high }: WayWords,
  { onFace, before, isTaken }: { onFace: boolean; before: readonly EarlierStep[]; isTaken: boolean },
): SentencePart[] {
  const isPlaced = ({ step }: EarlierStep) => placeOf(step) !== null;
  const known = before.filter(isPlaced);
  /** What it is measured from: as it is said of zero, and after a number. */
  const options: [from: MeasuredFrom | FromStep, atZero: string, beside: string][] = [
    ['axle', 'on the axle line', `${on} of the axle line`],
    ['middle', 'in the middle', `${on} of the middle`],
    ['low', `on the ${low} edge`, `in from the ${low} edge`],
    ['high', `on the ${high} edge`, `in from the ${high} edge`],
    ['lowFlush', `flush with the ${low} edge`, `between its edge and the ${low} edge`],
    ['highFlush', `flush with the ${high} edge`, `between its edge and the ${high} edge`],
    ...known.map(({ step, place }): [FromStep, string, string] => [
      { step: step.id },
      `in line with step ${place}`,
      `${on} of the middle of step ${place}`,
    ]),
  ];
  if (isTaken || now === 'there') options.push(['there', 'where it is', `${on} of where it is`]);
  if (typeof now === 'object' && !known.some(({ step }) => step.id === now.step)) {
    options.push([now, 'in line with a missing step', `${on} of the middle of a missing step`]);
  }
  const field = axis === 'x' ? 'xFrom' : 'yFrom';
  const standard: MeasuredFrom = onFace ? 'middle' : 'axle';
  const patchOf = (from: MeasuredFrom | FromStep, number: Value) => ({
    [axis]: number,
    [field]: from === standard ? undefined : from,
  });
  const isNow = isZero(value);
  const all = options.flatMap(([from, atZero, beside]): (Option & { key: string })[] => [
    { word: atZero, patch: patchOf(from, numberValue(0)), key: JSON.stringify([from, true]) },
    { word: beside, patch: patchOf(from, isNow ? ASIDE : value), key: JSON.stringify([from, false]) },
  ]);
  const key = JSON.stringify([now, isNow]);
  const way = choice(
    'what it is measured from',
    (option) => (option as Option & { key: string }).key === key,
    all,
  );
  return isNow ? [way] : [chip(axis, `place ${on}`, value), words(' '), way];
}

/** A lift and a tilt, if there are any. */
function finerWords(step: Place): SentencePart[] {
  return [
    ...(step.lift
      ? [
          words(', '),
          added('the lift', 'lifted', 'not lifted', { lift: undefined }),
          words(' '),
          chip('lift', 'lift', step.lift),
        ]
      : []),
    ...(step.tilt === undefined
      ? []
      : [
          words(', '),
          added('the tilt', 'tilted', 'not tilted', { tilt: undefined }),
          words(' '),
          angle('tilt', 'tilt', step.tilt),
        ]),
  ];
}

/** The finer points of a place that it has not yet. */
export const finerOptions = (step: Place): Option[] => [
  ...(step.lift ? [] : [{ word: 'Raise it off its face', patch: { lift: numberValue(1) } }]),
  ...(step.tilt === undefined ? [{ word: 'Tilt it', patch: { tilt: Math.PI / 12 } }] : []),
];

type Grounded = StepOf<'disc' | 'plate'>;

/** Whether a wheel or a plate lies on the ground, on the axle line. */
function isUsual(step: Grounded): boolean {
  const { on, x, y, xFrom, yFrom, lift, tilt } = placeOf(step)!;
  const isPlain = [xFrom, yFrom, lift, tilt].every((finer) => finer === undefined);
  return !takesAway(effectOf(step)) && on === 'bottom' && isZero(x) && isZero(y) && isPlain;
}

/** What a wheel or a plate may have, and has not yet. */
export const groundedOptions = (step: Grounded): Option[] => [
  ...(step.kind === 'plate' && !step.turn
    ? [{ word: 'Turn it where it is', patch: { turn: Math.PI / 12 } }]
    : []),
  ...(isUsual(step)
    ? [{ word: 'Offset it from the axle line', patch: { x: numberValue(10), y: numberValue(0) } }]
    : []),
];

/**
 * Where a wheel or a plate is: as a rule on the ground and the axle line, which is said in a few words, or at a place of
 * its own.
 */
export function groundedWords(step: Grounded, usual: string, before: readonly EarlierStep[]): SentencePart[] {
  const place = placeOf(step)!;
  const cuts = takesAway(effectOf(step));
  // On the ground, with nothing else to say, it is said in a few words.
  const said = (option: Option): Option =>
    option.patch.on === 'bottom' && isUsual({ ...step, on: 'bottom' }) ? { ...option, word: usual } : option;
  const ground = choice(
    'what it starts from',
    ({ patch }) => patch.on === place.on,
    groundOptions(place, cuts).map(said),
  );
  return [words(', '), ground, ...(isUsual(step) ? [] : placeWords(place, before))];
}

/** A step that says what it starts from, and where. */
export type Placed = Extract<Step, { on: Ground; x: Value; y: Value }>;

/** What the step does, as its verb. @param add the verb for adding. */
export function effectVerb(
  step: { effect?: Effect | undefined; height?: unknown; floor?: unknown },
  add: string,
): SentencePart {
  // What goes right through, or down to a floor, is cut: added it is so high.
  const high =
    step.height === 'through' ? { height: numberValue(5) } : step.floor ? { floor: undefined } : {};
  return choice(
    'what it does',
    ({ patch }) => patch.effect === (step.effect ?? 'add'),
    [
      { word: add, patch: { effect: 'add', ...high } },
      { word: 'Cut out', patch: { effect: 'cut' } },
      { word: 'Keep only', patch: { effect: 'common' } },
      { word: 'Set apart', patch: { effect: 'apart', ...high } },
    ],
    true,
  );
}

const GROUND_WORDS: Record<Exclude<Ground, object>, { added: string; cut: string }> = {
  top: { added: 'on the top', cut: 'down from the top' },
  bottom: { added: 'from the ground up', cut: 'up from the bottom' },
  front: { added: 'on the front', cut: 'in from the front' },
  back: { added: 'on the back', cut: 'in from the back' },
  left: { added: 'on the left', cut: 'in from the left' },
  right: { added: 'on the right', cut: 'in from the right' },
};

/** What a step stands on: a side of the part, or a face that was picked. */
export const groundChoice = (step: Place, cuts: boolean): SentencePart =>
  choice('what it starts from', ({ patch }) => patch.on === (step.on ?? 'top'), groundOptions(step, cuts));

function groundOptions({ on }: Place, cuts: boolean): Option[] {
  const sides = Object.entries(GROUND_WORDS).map(([side, { added, cut }]): Option => ({
    word: cuts ? cut : added,
    patch: { on: side },
  }));
  const face = cuts ? 'in from the face that was picked' : 'on the face that was picked';
  return [
    ...sides,
    ...(typeof on === 'object' ? [{ word: face, patch: { on } }] : []),
    { word: 'Pick a flat face on the part', patch: {}, pick: { field: 'on', picks: 'ground' } },
  ];
}

export const levelChoice = (step: Placed): SentencePart => groundChoice(step, takesAway(effectOf(step)));

/** A cut whose floor lies at a height, however thick the part is. @param field the number that says how deep it is. */
export const floorOption = (field: 'height' | 'depth', height: Value | 'through'): Option => ({
  word: 'above the ground at its floor',
  patch: {
    [field]: height,
    floor: true,
    ...(field === 'depth' ? { point: undefined } : { bothWays: undefined, upTo: undefined }),
  },
});

/** What a step stands on, and where. */
export const standing = (
  step: Placed | StepOf<'thread'>,
  before?: readonly EarlierStep[],
): SentencePart[] => [words(', '), levelChoice(step), ...placeWords(step, before)];
