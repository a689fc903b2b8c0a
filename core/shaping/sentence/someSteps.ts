import { canBeMirrored, canBeRepeated, repeatedBy, type Step, type StepOf } from '@core/record/model';

import { stepsBefore } from './edges';
import { choice, type Option, type SentencePart } from './parts';

import { listed } from './listed';

/** What is mirrored: the whole part, a step before it, or a run of steps up to it. */
export function mirroredWhat(step: StepOf<'mirror'>, steps: readonly Step[]): SentencePart {
  const all: Option = { word: 'the whole part', patch: { of: undefined }, group: 'The whole part' };
  const offered = offeredSteps(step, steps, canBeMirrored, (ids) => ({ of: [...ids], keep: 'both' }));
  return asItIs('what is mirrored', step.of, steps, [all, ...offered]);
}

/** What is made again: a step before it, or a run of steps up to it. */
export function repeatedWhat(step: StepOf<'pattern'>, steps: readonly Step[]): SentencePart {
  const offered = offeredSteps(step, steps, canBeRepeated, (ids) => ({
    of: ids.length === 1 ? ids[0] : [...ids],
  }));
  return asItIs('which step', step.of, steps, offered);
}

function offeredSteps(
  step: Step,
  steps: readonly Step[],
  canBe: (one: Step) => boolean,
  patch: (ids: readonly string[]) => Option['patch'],
): Option[] {
  const before = stepsBefore(step, steps)
    .filter(canBe)
    .map(({ id }) => id);
  const as = (ids: readonly string[], group: string): Option => ({
    word: stepsInWords(ids, steps),
    patch: patch(ids),
    group,
  });
  return [
    ...before.map((id) => as([id], 'One step')),
    ...before.slice(0, -1).map((_, index) => as(before.slice(index), 'Several, up to here')),
  ];
}

/** A choice with what holds now among it, though it is not offered. */
function asItIs(
  what: string,
  of: string | readonly string[] | undefined,
  steps: readonly Step[],
  offered: readonly Option[],
): SentencePart {
  const isNow = ({ patch }: Option) => JSON.stringify(patch.of) === JSON.stringify(of);
  const own: Option[] = of
    ? [{ word: stepsInWords(repeatedBy({ of }), steps), patch: { of }, group: 'As it is' }]
    : [];
  return choice(what, isNow, offered.some(isNow) ? offered : [...own, ...offered]);
}

/** “step 3”, “steps 3 to 5”, “steps 2, 4 and 7”. */
function stepsInWords(ids: readonly string[], steps: readonly Step[]): string {
  const places = ids.map((id) => steps.findIndex((one) => one.id === id) + 1);
  if (places.includes(0)) return 'a missing step';
  if (places.length === 1) return `step ${places[0]}`;
  const inOne = places.every((place, index) => place === places[0]! + index);
  return inOne ? `steps ${places[0]} to ${places.at(-1)}` : `steps ${listed(places)}`;
}
