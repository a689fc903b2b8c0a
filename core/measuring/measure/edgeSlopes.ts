import type { Sheet } from '@core/foundations/formula';

/** A size is moved by at least so much to see what a value does beside it, mm or radians. */
const LEAST_DOUBT = 2e-3;
/** Changes to either side that differ by more than this share of each other are no straight line's. */
const BENDS = 0.5;
/** Slopes hold where a change over the doubts differs from what they say by less than this share of it. */
const HOLDS = 0.25;
/** Most sizes of a formula that are moved at once without more room. */
const USUAL_NEEDS = 16;

/**
 * Slopes of formulas at their edges. At the edge of a root, an arc or an amount a first-order slope is infinite or nothing: √(A² − B²), acos(A / B)
 * and |A − B| at A = B. There each slope is taken over the doubt instead.
 */
export class EdgeSlopes {
  /** Of the size that is being tried: values of its needs, and how far each is moved. */
  #unmoved = new Float64Array(USUAL_NEEDS);
  #steps = new Float64Array(USUAL_NEEDS);

  /**
   * @param sheet its first values are those of the sizes, by rank.
   * @param needs by need, the rank of the size that is used.
   * @param slopes by need; written to.
   * @param variances squared standard uncertainties, by rank.
   */
  constructor(
    private readonly sheet: Sheet,
    private readonly needs: ArrayLike<number>,
    private readonly slopes: Float64Array,
    private readonly variances: Float64Array,
  ) {}

  /** Puts right the slopes of a size by the sizes that it uses, from the first of them up to before the last. */
  correct(rank: number, formula: number, from: number, to: number): void {
    if (!this.#hold(rank, formula, from, to)) {
      for (let at = from; at < to; at += 1) this.slopes[at] = this.#overDoubt(rank, formula, at);
    }
    // Slopes are taken at the sheet's last evaluation.
    this.sheet.evaluate(formula);
  }

  /**
   * Whether first-order slopes hold as far as the doubts reach. All needs are moved at once, each the way that makes
   * the result larger, then the other way: both changes are what the slopes say. Two evaluations, however many needs.
   */
  #hold(rank: number, formula: number, from: number, to: number): boolean {
    const { sheet, needs, slopes } = this;
    const values = sheet.values;
    if (to - from > this.#steps.length) {
      this.#unmoved = new Float64Array(2 * (to - from));
      this.#steps = new Float64Array(2 * (to - from));
    }
    const before = this.#unmoved;
    const steps = this.#steps;
    let expected = 0;
    for (let at = from; at < to; at += 1) {
      const slope = slopes[at]!;
      // An infinite slope less itself is no number.
      if (slope === 0 || slope - slope !== 0) return false;
      const need = needs[at]!;
      const doubt = this.#doubtOf(need);
      expected += Math.abs(slope) * doubt;
      before[at - from] = values[need]!;
      steps[at - from] = slope < 0 ? -doubt : doubt;
    }
    const here = values[rank]!;
    for (let at = from; at < to; at += 1) values[needs[at]!] = before[at - from]! + steps[at - from]!;
    const up = sheet.evaluate(formula) - here;
    for (let at = from; at < to; at += 1) values[needs[at]!] = before[at - from]! - steps[at - from]!;
    const down = sheet.evaluate(formula) - here;
    for (let at = from; at < to; at += 1) values[needs[at]!] = before[at - from]!;
    // A change that is no number is not near anything.
    return Math.abs(up - expected) < HOLDS * expected && Math.abs(down + expected) < HOLDS * expected;
  }

  /** What the value changes by when a need is off by its doubt, either way (root of the mean square), by that doubt. */
  #overDoubt(rank: number, formula: number, at: number): number {
    const { values } = this.sheet;
    const need = this.needs[at]!;
    const slope = this.slopes[at]!;
    const here = values[rank]!;
    const value = values[need]!;
    const doubt = this.#doubtOf(need);
    const moved = (by: number) => {
      values[need] = value + by;
      const change = this.sheet.evaluate(formula) - here;
      // A way that leads nowhere changes nothing.
      return Number.isFinite(change) ? change : 0;
    };
    const [up, down] = [moved(doubt), moved(-doubt)];
    values[need] = value;
    const bends = Math.abs(up + down) > BENDS * Math.abs(up - down);
    if (Number.isFinite(slope) && !bends) return slope;
    return ((up < down ? -1 : 1) * Math.sqrt((up ** 2 + down ** 2) / 2)) / doubt;
  }

  #doubtOf(need: number): number {
    return Math.max(Math.sqrt(this.variances[need]!), LEAST_DOUBT);
  }
}
