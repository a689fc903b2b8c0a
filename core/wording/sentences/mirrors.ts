import type { Step, StepOf } from '@core/model';

import { stepsBefore } from './edges';
import { choice, type Option, type SentencePart } from './parts';
import { REPEATABLE } from './patterns';

const canBeMirrored = ({ kind }: Step) => REPEATABLE.includes(kind) || kind === 'ease' || kind === 'round';

/** What is mirrored: all that is there, a step before it, or a run of steps up to it. */
export function mirroredWhat(step: StepOf<'mirror'>, steps: readonly Step[]): SentencePart {
  const before = stepsBefore(step, steps).filter(canBeMirrored);
  const placeOf = (id: string) => steps.findIndex((one) => one.id === id) + 1;
  const wordOf = (ids: readonly string[]): string => {
    const places = ids.map(placeOf);
    if (places.includes(0)) return 'a lost step';
    if (places.length === 1) return `step ${places[0]}`;
    const isRun = places.every((place, index) => index === 0 || place > places[index - 1]!);
    const inOne = isRun && before.filter(({ id }) => ids.includes(id)).length === ids.length;
    return inOne && places.at(-1)! - places[0]! + 1 === places.length
      ? `steps ${places[0]} to ${places.at(-1)}`
      : `steps ${places.slice(0, -1).join(', ')} and ${places.at(-1)}`;
  };
  const as = (ids: readonly string[], group: string): Option => ({
    word: wordOf(ids),
    patch: { of: [...ids], keep: 'both' },
    group,
  });
  const all: Option = { word: 'all that is there', patch: { of: undefined }, group: 'The whole part' };
  const offered = [
    all,
    ...before.map(({ id }) => as([id], 'One step')),
    ...before.slice(0, -1).map((_, index) =>
      as(
        before.slice(index).map(({ id }) => id),
        'Several, up to here',
      ),
    ),
  ];
  const isNow = ({ patch }: Option) => JSON.stringify(patch.of) === JSON.stringify(step.of);
  const own = step.of ? [as(step.of, 'As it is')] : [];
  return choice('what is mirrored', isNow, offered.some(isNow) ? offered : [...own, ...offered]);
}
