import { meet } from '@core/measuring/adjustment';

import type { DrawnInput } from './input';
import { freeOf, missedBy, MISSED_MM, settle } from './settle';
import { systemOf, type System } from './system';

/** Sets larger than this are not made smaller one by one: it would take too long to be told while one draws. */
const MOST_TRIED = 60;

/**
 * A smallest set of relations and dimensions that can't all hold: without any one of them the others can. Empty where all hold. Found by
 * leaving out one after another (Chinneck and Dravnieks, Locating minimal infeasible constraint sets, 1991, the deletion filter), among those that a compromise
 * between all of them misses.
 */
export function conflictOf(input: DrawnInput): string[] {
  const whole = systemOf(input, false);
  const compromise = meet(freeOf(whole), whole.unknowns.start);
  const { missed } = missedBy(whole, compromise.values);
  const suspected = [...missed].filter(([, by]) => !(by <= MISSED_MM)).map(([id]) => id);
  if (suspected.length === 0) return [];
  const all = [
    ...input.relations.map(({ id }) => id),
    ...input.dimensions.map(({ dimension }) => dimension.id),
  ];
  const related = all.filter((id) => suspected.includes(id));
  const base = holds(without(input, new Set(all.filter((id) => !related.includes(id))))) ? all : related;
  const kept = new Set(base);
  if (kept.size > MOST_TRIED) return suspected;
  // Later ones are tried last: what was there before is what is kept to.
  for (const id of base) {
    kept.delete(id);
    if (holds(without(input, new Set(all.filter((one) => !kept.has(one)))))) kept.add(id);
  }
  return all.filter((id) => kept.has(id));
}

/** What only just holds, all but stretched out, is come to slowly. */
const MOST_STEPS = 150;

/** Whether all that is asked for can hold. */
export function holds(input: DrawnInput): boolean {
  const system = systemOf(input, false);
  const met = meet(exact(system), system.unknowns.start, { most: MOST_STEPS });
  const isMet = (values: ArrayLike<number>) => missedBy(system, values).offMm <= MISSED_MM;
  if (isMet(met.values)) return true;
  // Straight at it, one may end in a place from which nothing leads on: a little at a time, or from beside.
  if (isMet(settle({ ...system, equations: exact(system) }).values)) return true;
  return SHAKES.some((seed) => isMet(meet(exact(system), shaken(system, seed), { most: MOST_STEPS }).values));
}

const SHAKES = [1, 2];

/** The drawing with everything a little beside its place, always alike. */
function shaken({ unknowns, scaleMm }: System, seed: number): Float64Array {
  const start = Float64Array.from(unknowns.start);
  for (const index of start.keys())
    if (!unknowns.held.has(index)) start[index]! += 0.3 * scaleMm * Math.sin(seed * 12.9898 + index * 78.233);
  return start;
}

/** Measured sizes count as if they were exact: what contradicts them is looked for. */
const exact = (system: System) => freeOf(system).map((equation) => ({ ...equation, standard: 0 }));

/** An input without some of its relations and dimensions. */
export const without = (input: DrawnInput, ids: ReadonlySet<string>): DrawnInput => ({
  ...input,
  relations: input.relations.filter(({ id }) => !ids.has(id)),
  dimensions: input.dimensions.filter(({ dimension }) => !ids.has(dimension.id)),
});
