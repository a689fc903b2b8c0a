import { believedAfter, dot, expectedOf, leverage, type Belief, type Observed } from './conjugate';

/** A value that was found, with what it depends on. mm. */
export interface LearnedFrom {
  id: string;
  /** What was made at one time: what went wrong with it went wrong with all of it. */
  trialId: string;
  design: readonly number[];
  value: number;
  /** Standard uncertainty of the value through hand and display. */
  handMm: number;
}

/** What is believed after values were found, some of which may be odd. */
export interface RobustBelief {
  belief: Belief;
  /** How likely each belongs to the rest and is no slip or bad make, 0 to 1, by its id. */
  trust: ReadonlyMap<string, number>;
  /** Those that are taken for odd: they hardly count. */
  odd: readonly string[];
}

/** Share of made sizes that are odd by themselves: misread, or a string of plastic in the hole. */
const ODD_SHARE = 0.03;
/** Where the rest of the same make is odd, this is likely odd as well. */
const ODD_TOGETHER = 0.6;
/** How far off odd ones are, one standard deviation, mm. */
const ODD_MM = 0.4;
const ROUNDS = 12;
const SETTLED = 1e-4;

/**
 * A straight relation from values (Bayesian regression, normal-inverse-gamma). Each value is either one of the rest or odd, off by any amount; how
 * likely it is the one or the other is worked out from what the others say of it, in turns until that stands (a mixture with one part for
 * outliers, by mean field: Box and Tiao, Biometrika 55, 1968).
 *
 * @param statedMm the scatter that is stated, one standard deviation.
 * @param believedBefore what is believed beforehand, for a scatter.
 */
export function robustly(
  found: readonly LearnedFrom[],
  statedMm: number,
  believedBefore: (scatterMm: number) => Belief,
): RobustBelief {
  let scatterMm = statedMm;
  let before = believedBefore(scatterMm);
  let trust = found.map(({ design, value, handMm }) =>
    trustOf(value, expectedOf(before, design, weightOf(handMm, scatterMm)), ODD_SHARE),
  );
  let after = before;
  for (let round = 0; round < ROUNDS; round += 1) {
    const seen = found.map(({ design, value, handMm }, index): Observed => ({
      design,
      value,
      weight: trust[index]! * weightOf(handMm, scatterMm),
      counts: trust[index]!,
    }));
    after = scatterOf(before, believedAfter(before, seen), seen);
    // The doubt of the starting values is in millimetres: it does not grow or shrink with the scatter that is found.
    scatterMm = Math.sqrt(after.rate / (after.shape - 1));
    before = believedBefore(scatterMm);
    const others = oddShares(found, trust);
    const next = found.map(({ value, handMm }, index) => {
      const weight = weightOf(handMm, scatterMm);
      return trustOf(value, expectedOfOthers(after, seen[index]!, weight), others[index]!);
    });
    const change = Math.max(0, ...next.map((one, index) => Math.abs(one - trust[index]!)));
    trust = next;
    if (change < SETTLED) break;
  }
  return {
    belief: after,
    trust: new Map(found.map(({ id }, index) => [id, trust[index]!])),
    odd: found.flatMap(({ id }, index) => (trust[index]! < 0.5 ? [id] : [])),
  };
}

/**
 * The scatter from what the values are off alone, and from what the coefficients may be off: rate b + ½ Σ w (r² + σ² xᵀVx), since the doubt of
 * the starting values does not go by the scatter here (the mean-field form for a normal and an inverse gamma that are independent: Bishop,
 * 10.3). Charged with how far the starting values were off, as the conjugate form is, a machine that is far from what was thought would be
 * taken for one that scatters.
 */
function scatterOf(before: Belief, after: Belief, seen: readonly Observed[]): Belief {
  const variance = before.rate / before.shape;
  const squares = seen.reduce((sum, { design, value, weight }) => {
    return sum + weight * ((value - dot(design, after.mean)) ** 2 + variance * leverage(after, design));
  }, 0);
  return { ...after, rate: before.rate + squares / 2 };
}

/** A made size has the machine's scatter and the hand's; the first alone has weight 1. */
const weightOf = (handMm: number, scatterMm: number) => scatterMm ** 2 / (scatterMm ** 2 + handMm ** 2);

/** How likely a value is one of the rest. */
function trustOf(
  value: number,
  { mean, scale, degrees }: ReturnType<typeof expectedOf>,
  oddShare: number,
): number {
  const off = value - mean;
  const asRest = (1 - oddShare) * studentDensity(off / scale, degrees) * (1 / scale);
  const wide = Math.hypot(scale, ODD_MM);
  const asOdd = (oddShare * Math.exp(-0.5 * (off / wide) ** 2)) / (wide * Math.sqrt(2 * Math.PI));
  // One that is absurdly far off has no density at all in either.
  return asRest + asOdd > 0 ? asRest / (asRest + asOdd) : 0;
}

/**
 * Density of Student's t, without the factor that all t of one number of degrees share with the normal to within a few per cent:
 * Γ((ν+1)/2) / (√ν Γ(ν/2)) ≈ √(½) (1 − 1/(4ν)).
 */
const studentDensity = (t: number, degrees: number) =>
  ((1 - 1 / (4 * degrees)) / Math.sqrt(2 * Math.PI)) * (1 + t ** 2 / degrees) ** (-(degrees + 1) / 2);

/** What the others let one expect of a value that was counted among them: its own pull is taken out (leverage h: r / (1 − h)). */
function expectedOfOthers(after: Belief, { design, value, weight, counts }: Observed, own: number) {
  const pull = weight * leverage(after, design);
  const kept = Math.max(1e-6, 1 - pull);
  const residual = value - dot(design, after.mean);
  const shape = after.shape - counts / 2;
  const rate = Math.max(after.rate * 1e-3, after.rate - (weight * residual ** 2) / (2 * kept));
  const without = leverage(after, design) / kept;
  return {
    mean: value - residual / kept,
    scale: Math.sqrt((rate / shape) * (1 / own + without)),
    degrees: 2 * shape,
  };
}

/** How likely each is odd before it is looked at: more so if the rest of its make is. */
function oddShares(found: readonly LearnedFrom[], trust: readonly number[]): number[] {
  const makes = new Map<string, { odd: number; count: number }>();
  for (const [index, { trialId }] of found.entries()) {
    const make = makes.get(trialId) ?? { odd: 0, count: 0 };
    makes.set(trialId, { odd: make.odd + 1 - trust[index]!, count: make.count + 1 });
  }
  return found.map(({ trialId }, index) => {
    const { odd, count } = makes.get(trialId)!;
    if (count === 1) return ODD_SHARE;
    const others = (odd - (1 - trust[index]!)) / (count - 1);
    return ODD_SHARE + (ODD_TOGETHER - ODD_SHARE) * Math.min(1, Math.max(0, others));
  });
}
