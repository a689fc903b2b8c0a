import { meet, partsOf, type Equation } from '@core/measuring/adjustment';

import type { Asked, System } from './system';

/** Where a drawn outline came to rest. */
export interface Settled {
  values: Float64Array;
  /** Largest residual of a condition, mm. */
  offMm: number;
  /** By how much each relation and dimension is missed, mm. */
  missed: ReadonlyMap<string, number>;
  /** Systems of equations that were solved, and parts that were gone through. */
  solves: number;
  parts: number;
}

/** A condition that is missed by less is met, mm. */
export const MISSED_MM = 1e-5;
/** A dimension is changed by no more than this share of itself at once, so that nothing turns over on its way. */
const STEP_SHARE = 0.2;
/** ... and an angle by no more than this, radians. */
const STEP_ANGLE = 0.2;
/** Steps are halved at most so often where one does not come to rest. */
const MOST_HALVINGS = 6;
/** On its way a measured size may be off by so many times its doubt; at the end it is told beyond 3.29. */
const MOST_GIVEN = 30;
/** Sizes smaller than this count as it, mm: what all but vanishes would take steps without end. */
const LEAST_SIZE_MM = 1e-3;
/** Nothing moves further at once than this share of the outline while dimensions change step by step. */
const JUMP_SHARE = 0.75;

/**
 * Moves the unknowns of an outline until all relations and dimensions hold, as little as possible. First relations alone, then dimensions from what they are to what
 * they should be, a little at a time where they change much (continuation, after Allgower and Georg, Introduction to Numerical Continuation Methods): so the
 * outline keeps the form in which it was drawn.
 *
 * @param from where it begins; as drawn, if left out.
 */
export function settle(system: System, from: Float64Array = system.unknowns.start): Settled {
  const values = Float64Array.from(from);
  const equations = freeOf(system);
  const parts = partsOf(
    equations.map((equation) => equation.predict(values)),
    values.length,
  );
  let solves = 0;
  for (const part of parts) {
    const settled = settlePart(
      part.equations.map((index) => equations[index]!),
      values,
      system,
    );
    solves += settled.solves;
    values.set(settled.values);
  }
  return { values, ...missedBy(system, values), solves, parts: parts.length };
}

/** How far relations and dimensions are from being met. */
export function missedBy(
  { equations }: Pick<System, 'equations'>,
  values: ArrayLike<number>,
): Pick<Settled, 'offMm' | 'missed'> {
  const missed = new Map<string, number>();
  let offMm = 0;
  for (const { of, predict, target, standard } of equations) {
    const by = Math.abs(predict(values).value - target);
    if (of !== null) missed.set(of, Math.max(missed.get(of) ?? 0, by));
    // Not a number is missed by any measure.
    if (standard === 0 && !(by <= offMm)) offMm = by;
  }
  return { offMm, missed };
}

/** The equations without the unknowns that are held. */
export function freeOf({ equations, unknowns }: System): readonly Asked[] {
  const { held } = unknowns;
  if (held.size === 0) return equations;
  return equations.map((equation) => ({
    ...equation,
    predict: (values) => {
      const { value, at, slopes } = equation.predict(values);
      const kept = [...at.keys()].filter((index) => !held.has(at[index]!));
      return { value, at: kept.map((index) => at[index]!), slopes: kept.map((index) => slopes[index]!) };
    },
  }));
}

interface PartSettled {
  values: Float64Array;
  solves: number;
}

/** One part: dimensions that change little at once, the others by steps. */
function settlePart(equations: readonly Asked[], start: Float64Array, system: System): PartSettled {
  const sized = equations.map(({ of }) => of !== null && system.measures.has(of));
  let solves = 0;
  let values = start;
  const go = (some: readonly Equation[], from: Float64Array) => {
    const met = meet(some, from);
    solves += met.solves;
    return met;
  };
  if (sized.includes(true)) {
    // Without the dimensions first, if what is drawn does not hold its relations.
    const relations = equations.filter((_, index) => !sized[index]);
    if (relations.some(({ predict, target }) => Math.abs(predict(values).value - target) > MISSED_MM))
      values = go(relations, values).values;
    const stepped = byStepsOf(equations, sized, values, system, go);
    if (stepped) return { values: stepped, solves };
  }
  return { values: go(equations, values).values, solves };
}

/** Dimensions brought from what they are to what they should be; null where that does not come to rest. */
function byStepsOf(
  equations: readonly Asked[],
  sized: readonly boolean[],
  start: Float64Array,
  { scaleMm }: System,
  go: (some: readonly Equation[], from: Float64Array) => ReturnType<typeof meet>,
): Float64Array | null {
  const drawn = equations.map(({ predict }) => predict(start).value);
  const changes = equations.map(({ target }, index) => {
    if (!sized[index]) return 0;
    const change = Math.abs(target - drawn[index]!);
    return target === 0
      ? change / (scaleMm * STEP_ANGLE)
      : change / (STEP_SHARE * Math.max(Math.abs(drawn[index]!), Math.abs(target) / 4, LEAST_SIZE_MM));
  });
  let values = start;
  let done = 0;
  let stride = 1 / Math.max(1, Math.ceil(Math.max(...changes)));
  const least = stride / 2 ** MOST_HALVINGS;
  const jumpMm = JUMP_SHARE * 4 * scaleMm;
  while (done < 1) {
    const next = Math.min(1, done + stride);
    const asked = equations.map((equation, index) =>
      sized[index]
        ? { ...equation, target: drawn[index]! + next * (equation.target - drawn[index]!) }
        : equation,
    );
    const met = go(asked, values);
    const isMet = met.residuals.every(
      // Of measured sizes that are more than needed, each gives a little.
      (residual, index) => Math.abs(residual) < Math.max(MISSED_MM, MOST_GIVEN * asked[index]!.standard),
    );
    const moved = met.values.reduce(
      (most, value, index) => Math.max(most, Math.abs(value - values[index]!)),
      0,
    );
    if (isMet && (moved < jumpMm || next - done <= least)) {
      values = met.values;
      done = next;
    } else if (stride / 2 < least) return null;
    else stride /= 2;
  }
  return values;
}
