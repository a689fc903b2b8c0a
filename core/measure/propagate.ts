import { combine, type Uncertainty } from './uncertainty';

/** A measured size that a result rests on, and how much the result changes with it. */
export interface Root {
  sizeId: string;
  perUnit: number;
  uncertainty: Uncertainty;
}

/**
 * Combined uncertainty by the law of propagation (GUM 5.1.2, equation 10): u² = Σ (cᵢ uᵢ)², each measured size
 * counted once with its whole sensitivity, so that one that enters twice is not taken for two. Sizes are taken
 * as uncorrelated with each other, though one caliper's error is the same in all it measures: that overstates
 * differences and understates sums a little.
 */
export function propagate(roots: readonly Root[]): Uncertainty {
  return combine(
    roots.map(({ sizeId, perUnit, uncertainty }) => ({
      source: 'size',
      sizeId,
      standard: Math.abs(perUnit) * uncertainty.standard,
      degreesOfFreedom: uncertainty.degreesOfFreedom,
    })),
  );
}

/** Share of a value by which it is moved to find a slope; the cube root of the machine's precision is best. */
const NUDGE = Math.cbrt(Number.EPSILON);

/** At the edge of what goes together a slope is taken to the side that gives something, over about what a caliper doubts. */
const EDGE_NUDGE = 1e-3;

/**
 * Slopes of a function by central differences (GUM 5.1.3, note 2). At the edge of where it gives anything (three holes
 * in one line) to one side, over a step as large as the doubt of a reading.
 */
export function numericSlopes(
  compute: (inputs: readonly number[]) => number,
  at: readonly number[],
): number[] {
  return at.map((value, index) => {
    const step = NUDGE * Math.max(Math.abs(value), 1e-3);
    const moved = (by: number) => compute(at.map((other, place) => (place === index ? other + by : other)));
    const central = (moved(step) - moved(-step)) / (2 * step);
    if (!Number.isNaN(central)) return central;
    const here = compute(at);
    const wide = EDGE_NUDGE * Math.max(Math.abs(value), 1);
    const oneSided = [wide, -wide]
      .map((by) => (moved(by) - here) / by)
      .filter((slope) => !Number.isNaN(slope));
    return oneSided[0] ?? 0;
  });
}
