import type { Process } from '@core/record/model';

import type { Terms } from './covariance';
import { addOuter, inner, inverseOf, times } from './gaussian';
import { eachLikely, type Hypothesis } from './hypotheses';

/** What made sizes say under one hypothesis. */
export interface Weighed {
  hypothesis: Hypothesis;
  /** Logarithm of how likely it is that they came out as they did, times how likely the hypothesis was. */
  logWeight: number;
  /** Inverse of their covariance, odd ones widened. */
  inverse: Float64Array;
  /** That inverse times what they are off. */
  image: Float64Array;
  /** 1 for those taken for odd. */
  odd: Uint8Array;
}

/** Share of made sizes that are odd by themselves: misread, or a string of plastic in the hole. */
const ODD_ONE = 0.03;
/** Share of makes of which all is odd: warped, badly levelled, printed with the wrong settings. */
const ODD_MAKE = 0.05;
/** How far off odd ones are, one standard deviation, mm. */
const ODD_MM = 0.3;
/** A make can only be odd beside others. */
const LEAST_MAKES = 3;

const logOdds = (share: number) => Math.log(share / (1 - share));
const [ODDS_ONE, ODDS_MAKE] = [logOdds(ODD_ONE), logOdds(ODD_MAKE)];

/**
 * How well a hypothesis explains what was made: the density of a normal vector, with each made size and each make either one of the rest or odd, off
 * by any amount. Which are odd is chosen under each hypothesis by itself, the one that gains most first, as long as one gains (the change of the
 * density by a further variance in one direction: Sherman & Morrison). So a hypothesis that needs no odd ones (a printer that shrinks much) is held
 * against one that does (a usual printer, misread four times), and nothing is thrown out before others had their chance.
 */
export function weigh(hypothesis: Hypothesis, terms: Terms): Weighed {
  const n = terms.count;
  const { inverse, logDeterminant } = inverseOf(terms.covariance(hypothesis), n);
  let image = times(inverse, terms.residuals);
  let logWeight =
    hypothesis.logPrior - 0.5 * (logDeterminant + inner(terms.residuals, image)) + n * Math.log1p(-ODD_ONE);
  const odd = new Uint8Array(n);
  const makesThatMayBeOdd = terms.members.length >= LEAST_MAKES ? terms.members : [];
  const oddMakes = new Uint8Array(makesThatMayBeOdd.length);
  const variance = ODD_MM ** 2;
  for (let round = 0; round < n; round += 1) {
    let bestGain = 0;
    let best: readonly number[] = [];
    for (let at = 0; at < n; at += 1) {
      if (odd[at]) continue;
      const gain = gainOf(inverse[at * n + at]!, image[at]!, variance) + ODDS_ONE;
      if (gain > bestGain) [best, bestGain] = [[at], gain];
    }
    for (const [make, members] of makesThatMayBeOdd.entries()) {
      if (oddMakes[make]) continue;
      let [own, pull] = [0, 0];
      for (const row of members) {
        pull += image[row]!;
        for (const column of members) own += inverse[row * n + column]!;
      }
      const gain = gainOf(own, pull, variance) + ODDS_MAKE;
      if (gain > bestGain) [best, bestGain] = [members, gain];
    }
    if (best.length === 0) break;
    logWeight += bestGain;
    if (best.length > 1) oddMakes[makesThatMayBeOdd.indexOf(best)] = 1;
    const direction = new Float64Array(n);
    for (const at of best) {
      odd[at] = 1;
      direction[at] = 1;
    }
    const moved = times(inverse, direction);
    addOuter(inverse, moved, variance, inner(direction, moved));
    image = times(inverse, terms.residuals);
  }
  return { hypothesis, logWeight, inverse, image, odd };
}

/** By how much the logarithm of the density grows if a direction has a further variance. @param own uᵀA⁻¹u. @param pull uᵀA⁻¹r. */
const gainOf = (own: number, pull: number, variance: number) =>
  -0.5 * Math.log1p(variance * own) + (0.5 * variance * pull ** 2) / (1 + variance * own);

/** What is left out of the weight of all hypotheses: the least likely ones, together. */
const LEFT_OUT = 0.01;

/** All hypotheses with how likely each is now; those that together hardly count left out. Weights add up to 1, the likeliest first. */
export function likely(
  process: Process,
  statedScatterMm: number,
  terms: Terms,
): { weight: number; weighed: Weighed }[] {
  const all = eachLikely(process, statedScatterMm, (hypothesis) => weigh(hypothesis, terms)).sort(
    (a, b) => b.logWeight - a.logWeight,
  );
  const raw = all.map(({ logWeight }) => Math.exp(logWeight - all[0]!.logWeight));
  const sum = raw.reduce((total, one) => total + one, 0);
  const kept: { weight: number; weighed: Weighed }[] = [];
  let share = 0;
  for (const [index, weighed] of all.entries()) {
    if (share >= 1 - LEFT_OUT) break;
    share += raw[index]! / sum;
    kept.push({ weighed, weight: raw[index]! / sum });
  }
  return kept.map((one) => ({ ...one, weight: one.weight / share }));
}
