import { combine, type Contribution, type Uncertainty } from './uncertainty';

/**
 * How much a number changes with each measured size it rests on, as two lists side by side in rising order of
 * `leaves`. Sparse, because a size rests on a handful of thousands.
 */
export interface Sensitivities {
  /** Numbers of measured sizes. */
  leaves: readonly number[];
  perUnit: readonly number[];
}

export const NO_SENSITIVITIES: Sensitivities = { leaves: [], perUnit: [] };

/** Chain rule: sensitivities of a result whose own slopes by its inputs are given. */
export function chainSensitivities(
  inputs: readonly Sensitivities[],
  slopes: ArrayLike<number>,
): Sensitivities {
  let sum = NO_SENSITIVITIES;
  for (let index = 0; index < inputs.length; index += 1) {
    const slope = slopes[index]!;
    if (slope !== 0) sum = addScaled(sum, inputs[index]!, slope);
  }
  return sum;
}

/** Merges two sparse lists: a + slope × b. */
function addScaled(a: Sensitivities, b: Sensitivities, slope: number): Sensitivities {
  const leaves: number[] = [];
  const perUnit: number[] = [];
  const [aLeaves, bLeaves] = [a.leaves, b.leaves];
  let [i, j] = [0, 0];
  while (i < aLeaves.length || j < bLeaves.length) {
    const left = i < aLeaves.length ? aLeaves[i]! : Infinity;
    const right = j < bLeaves.length ? bLeaves[j]! : Infinity;
    if (left < right) {
      leaves.push(left);
      perUnit.push(a.perUnit[i]!);
      i += 1;
    } else if (right < left) {
      leaves.push(right);
      perUnit.push(slope * b.perUnit[j]!);
      j += 1;
    } else {
      leaves.push(left);
      perUnit.push(a.perUnit[i]! + slope * b.perUnit[j]!);
      i += 1;
      j += 1;
    }
  }
  return { leaves, perUnit };
}

/**
 * Combined uncertainty by the law of propagation (GUM 5.1.2, equation 10): u² = Σ (cᵢ uᵢ)², each measured size
 * counted once with its whole sensitivity, so that one that enters twice is not taken for two. Sizes are taken
 * as uncorrelated with each other, though one caliper's error is the same in all it measures: that overstates
 * differences and understates sums a little.
 */
export function propagate(
  { leaves, perUnit }: Sensitivities,
  leafOf: (leaf: number) => { sizeId: string; uncertainty: Uncertainty } | null,
): Uncertainty {
  const contributions: Contribution[] = [];
  for (const [index, leaf] of leaves.entries()) {
    const found = leafOf(leaf);
    if (!found) continue;
    contributions.push({
      source: 'size',
      sizeId: found.sizeId,
      standard: Math.abs(perUnit[index]!) * found.uncertainty.standard,
      degreesOfFreedom: found.uncertainty.degreesOfFreedom,
    });
  }
  return combine(contributions);
}

/** Share of a value by which it is moved to find a slope; the cube root of the machine's precision is best. */
const NUDGE = Math.cbrt(Number.EPSILON);

/** Slopes of a function by central differences (GUM 5.1.3, note 2). NaN where the function gives none. */
export function numericSlopes(
  compute: (inputs: readonly number[]) => number,
  at: readonly number[],
): number[] {
  return at.map((value, index) => {
    const step = NUDGE * Math.max(Math.abs(value), 1e-3);
    const moved = (by: number) => compute(at.map((other, place) => (place === index ? other + by : other)));
    return (moved(step) - moved(-step)) / (2 * step);
  });
}
