import jstat from 'jstat';

/** A counterpart of several that one number has to serve. mm. */
export interface Mate {
  /** Expected clearance to it. */
  meanMm: number;
  /** Standard uncertainty of its size alone: what all of them share, as the error of one caliper, is left out. */
  ownMm: number;
}

/** Points that the common error is summed over, and how far out, in standard deviations. */
const POINTS = 240;
const [NORMAL_REACH, STUDENT_REACH] = [6, 14];

/**
 * The chance that what is made goes as wished on every one of several counterparts. What the machine does and what was measured with the same
 * instrument is the same for all, so their chances do not multiply: given that common error they are independent, and it is summed over
 * (P = ∫ f(e) Π P(wish | e) de, by the midpoint rule).
 *
 * @param commonMm standard deviation of what all share, normal, or Student's t where `degrees` is finite.
 */
export function chanceOfAll(
  mates: readonly Mate[],
  commonMm: number,
  degrees: number,
  { fromMm, toMm }: { fromMm: number; toMm: number },
): number {
  const reach = degrees === Infinity ? NORMAL_REACH : STUDENT_REACH;
  let [sum, weights] = [0, 0];
  for (let index = 0; index < POINTS; index += 1) {
    const z = reach * ((2 * index + 1) / POINTS - 1);
    const weight =
      degrees === Infinity ? Math.exp(-0.5 * z * z) : (1 + (z * z) / degrees) ** (-(degrees + 1) / 2);
    const all = mates.reduce((chance, { meanMm, ownMm }) => {
      const mm = meanMm + commonMm * z;
      return chance * (below(toMm, mm, ownMm) - below(fromMm, mm, ownMm));
    }, 1);
    sum += weight * all;
    weights += weight;
  }
  return sum / weights;
}

function below(mm: number, meanMm: number, standardMm: number): number {
  if (standardMm === 0) return mm >= meanMm ? 1 : 0;
  return jstat.normal.cdf(mm, meanMm, standardMm);
}
