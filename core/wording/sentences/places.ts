import { numberValue, type StepOf, type Value } from '@core/model';

import { chip, choice, words, type Option, type SentencePart } from './parts';

const isZero = (value: Value) => value.from === 'number' && value.mm === 0;

const ON_AXLE: Option = { word: 'on the axle line', patch: { x: numberValue(0), y: numberValue(0) } };
const ASIDE: Option = { word: 'aside of the axle line', patch: { x: numberValue(10), y: numberValue(0) } };

export function placeWords(step: { x: Value; y: Value }): SentencePart[] {
  const onAxle = isZero(step.x) && isZero(step.y);
  const where = choice('where it is', (option) => (option === ON_AXLE) === onAxle, [ON_AXLE, ASIDE]);
  if (onAxle) return [words(', '), where];
  return [
    words(', '),
    chip('x', 'place to the right', step.x),
    words(' right and '),
    chip('y', 'place to the back', step.y),
    words(' back, '),
    where,
  ];
}

export type Placed = StepOf<'raise' | 'cone' | 'ball' | 'ring' | 'stations'>;

/** What the step does, as its verb. @param add the verb for adding. */
export const effectVerb = (step: Placed, add: string): SentencePart =>
  choice(
    'what it does',
    ({ patch }) => patch.effect === step.effect,
    [
      { word: add, patch: { effect: 'add' } },
      { word: 'Cut out', patch: { effect: 'cut' } },
      { word: 'Keep only', patch: { effect: 'common' } },
    ],
    true,
  );

export function levelChoice(step: Placed): SentencePart {
  const [top, bottom] =
    step.effect === 'add'
      ? ['on the top', 'from the ground up']
      : ['down from the top', 'up from the bottom'];
  return choice('what it stands on', ({ patch }) => patch.on === step.on, [
    { word: top!, patch: { on: 'top' } },
    { word: bottom!, patch: { on: 'bottom' } },
  ]);
}

export function depthParts({ depth }: StepOf<'drill'>): SentencePart[] {
  const through: Option = { word: 'right through', patch: { depth: 'through' } };
  const blind: Option = {
    word: 'deep from the top',
    patch: { depth: depth === 'through' ? numberValue(5) : depth },
  };
  const way = choice('how deep', (option) => (option === through) === (depth === 'through'), [
    through,
    blind,
  ]);
  return depth === 'through'
    ? [words(' '), way]
    : [words(' '), chip('depth', 'depth', depth), words(' '), way];
}
