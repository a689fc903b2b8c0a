import jstat from 'jstat';

/** Share of cases that an expanded uncertainty is to hold. */
const COVERAGE = 0.95;

/** Two-sided 95 % quantile of the normal distribution. */
const NORMAL_95 = jstat.normal.inv((1 + COVERAGE) / 2, 0, 1);
/** More degrees of freedom than this are as good as any number. */
const MANY = 1e6;

/** Two-sided 95 % quantile of Student's t. */
function studentT(degreesOfFreedom: number): number {
  return degreesOfFreedom > MANY ? NORMAL_95 : jstat.studentt.inv((1 + COVERAGE) / 2, degreesOfFreedom);
}

const cumulative = (at: number, degreesOfFreedom: number) =>
  degreesOfFreedom > MANY ? jstat.normal.cdf(at, 0, 1) : jstat.studentt.cdf(at, degreesOfFreedom);

/** Strips across half a rectangle, and halvings of the interval in which a factor lies. */
const [STRIPS, HALVINGS] = [12, 24];

/**
 * Factor that holds 95 % of a rectangle and a spread after Student together, of variances `share` and 1 − `share`: the
 * integral of the latter's distribution across the rectangle, solved for it.
 */
function factorOf(share: number, degreesOfFreedom: number): number {
  const half = Math.sqrt(3 * share);
  const spread = Math.sqrt(1 - share);
  if (spread < 1e-6) return COVERAGE * half;
  const held = (factor: number) => {
    let sum = 0;
    for (let strip = 0; strip < STRIPS; strip += 1) {
      const x = (half * (strip + 0.5)) / STRIPS;
      sum += cumulative((factor - x) / spread, degreesOfFreedom);
      sum -= cumulative((-factor - x) / spread, degreesOfFreedom);
    }
    return sum / STRIPS;
  };
  let [low, high] = [1, studentT(degreesOfFreedom)];
  for (let halving = 0; halving < HALVINGS; halving += 1) {
    const middle = (low + high) / 2;
    if (held(middle) < COVERAGE) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Places at which factors are worked out, once each; between them they are interpolated. */
const SHARES = Array.from({ length: 11 }, (_, step) => step / 10);
const ONE_OVER_DEGREES = [0, 0.03, 0.07, 0.14, 0.2, 0.3, 0.5, 1];
const worked = new Map<number, number>();

/** The factor at one of those places, against Student's t alone. */
function ratioAt(share: number, freedom: number): number {
  const key = share * ONE_OVER_DEGREES.length + freedom;
  const known = worked.get(key);
  if (known !== undefined) return known;
  const degreesOfFreedom = 1 / ONE_OVER_DEGREES[freedom]!;
  const ratio = factorOf(SHARES[share]!, degreesOfFreedom) / studentT(degreesOfFreedom);
  worked.set(key, ratio);
  return ratio;
}

/** Between which places of a list a number lies, and how far. */
function between(list: readonly number[], value: number): { below: number; part: number } {
  const above = list.findIndex((place) => place >= value);
  const below = Math.max(0, (above === -1 ? list.length - 1 : above) - 1);
  const part = (value - list[below]!) / (list[below + 1]! - list[below]!);
  return { below, part: Math.min(1, Math.max(0, part)) };
}

/**
 * Coverage factor for 95 % both sides (GUM G.6.4): Student's t, less where one rectangular contribution makes up much of the
 * variance, down to 1.645 for one alone (GUM G.1.3). Within a fiftieth of what the two together hold.
 *
 * @param share of the largest rectangular contribution in the variance, 0 to 1; @param degreesOfFreedom of the rest.
 */
export function coverageFactor(degreesOfFreedom: number, share: number): number {
  const student = studentT(degreesOfFreedom);
  if (share <= 0) return student;
  const across = between(SHARES, share);
  const along = between(ONE_OVER_DEGREES, Math.min(1, 1 / degreesOfFreedom));
  const row = (step: number) =>
    ratioAt(step, along.below) * (1 - along.part) + ratioAt(step, along.below + 1) * along.part;
  return student * (row(across.below) * (1 - across.part) + row(across.below + 1) * across.part);
}
