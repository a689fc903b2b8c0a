import jstat from 'jstat';

import type { Instrument, Jaw } from '@core/record/model';
import { jawError, leastShared, permissibleError } from '@core/record/workshop';

import { coverageFactor } from './coverage';
import { extremes, sampleStandardDeviation } from './statistics';

/**
 * Where a share of an uncertainty comes from: the readings of a size themselves, the limits that were stated of it, or a size
 * it is worked out from.
 */
export type UncertaintySource =
  'repeatability' | 'instrument' | 'alongScale' | 'jaws' | 'resolution' | 'limits' | 'size';

export interface Contribution {
  source: UncertaintySource;
  /** The size meant, when `source` is 'size'. */
  sizeId?: string;
  /** The instrument meant, when `source` is 'instrument' or 'alongScale', where what it has in several sizes is counted as errors of each. */
  instrumentId?: string;
  /** What of the instrument it was taken with. */
  jaw?: Jaw;
  /** Of the variance of the instrument's error, the share that is at least the same in all that it measures with these jaws. */
  leastShared?: number;
  /** Standard uncertainty of the result through this source: sensitivity times its own; mm or radians. */
  standard: number;
  /** Degrees of freedom; Infinity where the limits are taken as known (type B). */
  degreesOfFreedom: number;
  /** Of those, the share that rests on prior knowledge of hand measurement and not on these readings, 0 to 1. */
  foreknown?: number;
}

/** An uncertainty budget in the sense of JCGM 100:2008 (the GUM). In the unit of the size: mm, radians or 1. */
export interface Uncertainty {
  contributions: Contribution[];
  /** Combined standard uncertainty: equation 10 of its contributions, which are uncorrelated. */
  standard: number;
  /** Effective degrees of freedom after Welch and Satterthwaite, equation G.2b; t is interpolated (G.4.2). */
  degreesOfFreedom: number;
  /** For 95 % both sides. */
  coverageFactor: number;
  /** Half width of the interval that holds the size in about 95 % of cases. */
  expanded: number;
}

/** Standard deviation of a rectangular distribution of half width `a` (GUM 4.3.7). */
export const rectangular = (a: number) => a / Math.sqrt(3);

/** What is taken of several readings: their mean, the middle one, or one picked out (the largest of a worn outside, say). */
export type Statistic = 'mean' | 'median' | 'one';

/**
 * Uncertainty of what is taken of readings of one size with one instrument:
 * - repeatability: the scatter of a single reading, of the mean over √n (GUM 4.2.3), of the median somewhat more. The scatter
 *   is pooled from prior knowledge of that instrument in the hand and what these readings show (GUM 4.2.4, F.2.4.5);
 * - the instrument's permissible error as half width of a rectangle (GUM 4.3.7);
 * - what its jaws may add where they touch, likewise;
 * - half its resolution as half width of a rectangle (GUM F.2.2.1).
 *
 * Averaging makes only the first smaller: the others are the same in every reading.
 *
 * @param readings at least one, in the instrument's unit.
 */
export function uncertaintyOfReadings(
  readings: readonly number[],
  instrument: Instrument,
  statistic: Statistic = 'mean',
  jaw: Jaw = 'outside',
): Uncertainty {
  const count = readings.length;
  const { smallest, largest } = extremes(readings);
  const jaws = jawError(instrument, jaw, smallest);
  const scatter = scatterOfOne(readings, instrument);
  const shrink = { mean: 1 / Math.sqrt(count), median: medianSpread(count) / Math.sqrt(count), one: 1 }[
    statistic
  ];
  return combine([
    {
      source: 'repeatability',
      standard: scatter.standard * shrink,
      degreesOfFreedom: scatter.degreesOfFreedom,
      foreknown: scatter.foreknown,
    },
    {
      source: 'instrument',
      instrumentId: instrument.id,
      jaw,
      leastShared: leastShared(instrument),
      standard: rectangular(permissibleError(instrument, largest)),
      degreesOfFreedom: Infinity,
    },
    ...(jaws > 0
      ? [{ source: 'jaws' as const, standard: rectangular(jaws), degreesOfFreedom: Infinity }]
      : []),
    {
      source: 'resolution',
      standard: rectangular(instrument.resolution / 2),
      degreesOfFreedom: Infinity,
    },
  ]);
}

/**
 * How surely the scatter of a hand is known beforehand, as degrees of freedom: five say that it may well be half or twice
 * what is stated of it (GUM G.4.2, note 1: a relative doubt of 1/√(2 · 5), a third).
 */
const HAND_DEGREES = 5;
/** Readings that scatter more than is stated speak against it, so that it counts for less: hands are oftener rougher than stated than smoother. */
const ROUGHER_DEGREES = 2;
/** Readings that scatter more than a hand would once in a hundred times are not of that hand: they speak for themselves. */
const NOT_THAT_HAND = 0.99;

/**
 * Scatter of a single reading: the stated one of a hand and that of the readings, pooled by their degrees of freedom. Two
 * readings alone would say next to nothing, and three equal ones that there is no scatter at all. Readings that scatter far more than a
 * hand does (F test) are taken by themselves.
 */
function scatterOfOne(readings: readonly number[], { repeatability }: Instrument) {
  const shown = readings.length - 1;
  if (shown < 1) return { standard: repeatability, degreesOfFreedom: HAND_DEGREES, foreknown: 1 };
  const own = sampleStandardDeviation(readings);
  const limit = jstat.centralF.inv(NOT_THAT_HAND, shown, HAND_DEGREES);
  if ((own / repeatability) ** 2 > limit) return { standard: own, degreesOfFreedom: shown, foreknown: 0 };
  const known = own > repeatability ? ROUGHER_DEGREES : HAND_DEGREES;
  const degreesOfFreedom = known + shown;
  const variance = (known * repeatability ** 2 + shown * own ** 2) / degreesOfFreedom;
  return { standard: Math.sqrt(variance), degreesOfFreedom, foreknown: known / degreesOfFreedom };
}

/** Standard deviation of the median of n normal readings against that of their mean (order statistics, n = 1 to 10). */
const MEDIAN_SPREAD = [1, 1, 1.1602, 1.0922, 1.1976, 1.135, 1.2137, 1.1601, 1.2227, 1.1762];
/** Of many: √(π/2). */
const MEDIAN_SPREAD_OF_MANY = Math.sqrt(Math.PI / 2);
const medianSpread = (count: number) => MEDIAN_SPREAD[count - 1] ?? MEDIAN_SPREAD_OF_MANY;

/**
 * Uncertainty of a number that was stated with limits: anywhere within half a width of it, alike (GUM 4.3.7); 95 of 100 lie
 * within 0.95 of that (GUM G.1.3).
 */
export function uncertaintyOfLimits(plusMinus: number): Uncertainty {
  return combine([{ source: 'limits', standard: rectangular(plusMinus), degreesOfFreedom: Infinity }]);
}

/** What readings with one instrument come to. */
export interface Group {
  value: number;
  uncertainty: Uncertainty;
}

/**
 * Values of one size from several instruments, weighted by the inverse of their variances (GUM 5.1, H.5; the best
 * estimate of unequal ones): a rule beside a caliper takes hardly anything away from it. Where they differ by more than their
 * doubts allow, the doubt is widened by the Birge ratio.
 */
export function weighTogether(groups: readonly Group[]): Group & { weights: number[] } {
  const inverse = groups.map(({ uncertainty }) => 1 / uncertainty.standard ** 2);
  const total = inverse.reduce((sum, weight) => sum + weight, 0);
  const weights = inverse.map((weight) => weight / total);
  const first = groups[0]!.value;
  const value =
    first + groups.reduce((sum, group, index) => sum + weights[index]! * (group.value - first), 0);
  const square = groups.reduce((sum, group, index) => sum + inverse[index]! * (group.value - value) ** 2, 0);
  const birge = groups.length > 1 ? Math.max(1, Math.sqrt(square / (groups.length - 1))) : 1;
  const contributions = groups.flatMap(({ uncertainty }, index) =>
    uncertainty.contributions.map((part) => ({ ...part, standard: part.standard * weights[index]! * birge })),
  );
  return { value, uncertainty: combine(contributions), weights };
}

/** Sources whose limits are taken as the half width of a rectangle. */
const RECTANGULAR: readonly UncertaintySource[] = ['instrument', 'jaws', 'resolution', 'limits'];

/**
 * Root sum square of uncorrelated contributions, with effective degrees of freedom and coverage. What is known
 * beforehand of a hand is the same in all that it took: estimates of scatter that rest on it err together, and their
 * degrees of freedom do not add up (GUM G.4.1 with covariances of the estimates).
 */
export function combine(contributions: readonly Contribution[]): Uncertainty {
  const { variance, spent } = spentOf(contributions);
  let widest = 0;
  for (const { source, standard, degreesOfFreedom } of contributions) {
    if (degreesOfFreedom === Infinity && RECTANGULAR.includes(source)) widest = Math.max(widest, standard);
  }
  const freedomOf = (part: number) => (spent === 0 ? Infinity : (part * part) / spent);
  const degreesOfFreedom = freedomOf(variance);
  const share = variance === 0 ? 0 : widest ** 2 / variance;
  const factor = coverageFactor(freedomOf(variance - widest ** 2), share);
  const standard = Math.sqrt(variance);
  return {
    contributions: [...contributions],
    standard,
    degreesOfFreedom,
    coverageFactor: factor,
    expanded: factor * standard,
  };
}

/** Variance of a sum, and by how much that is unsure: the denominator of Welch and Satterthwaite. */
function spentOf(contributions: readonly Contribution[]) {
  let [variance, alone, together] = [0, 0, 0];
  for (const { standard, degreesOfFreedom, foreknown = 0 } of contributions) {
    const square = standard * standard;
    variance += square;
    if (degreesOfFreedom === Infinity) continue;
    const unsure = square / Math.sqrt(degreesOfFreedom);
    alone += (1 - foreknown) * unsure * unsure;
    together += Math.sqrt(foreknown) * unsure;
  }
  return { variance, spent: alone + together * together, together };
}

/** Of what is unsure of a scatter, the share that rests on prior knowledge of hand measurement. */
export function foreknownOf(contributions: readonly Contribution[]): number {
  const { spent, together } = spentOf(contributions);
  return spent === 0 ? 0 : Math.min(1, (together * together) / spent);
}

/** The contribution that counts most, or null where there is none. */
export function largestContribution({ contributions }: Uncertainty): Contribution | null {
  return contributions.reduce<Contribution | null>(
    (largest, other) => (largest && largest.standard >= other.standard ? largest : other),
    null,
  );
}
