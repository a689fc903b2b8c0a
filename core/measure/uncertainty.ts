import jstat from 'jstat';

import type { Instrument } from '@core/model';
import { permissibleError } from '@core/workshop';

import { extremes, sampleStandardDeviation } from './statistics';

/** Where a share of an uncertainty comes from: the readings of a size themselves, or a size it is worked out from. */
export type UncertaintySource = 'repeatability' | 'instrument' | 'resolution' | 'size';

export interface Contribution {
  source: UncertaintySource;
  /** The size meant, when `source` is 'size'. */
  sizeId?: string;
  /** Standard uncertainty of the result through this source: sensitivity times its own; mm or radians. */
  standard: number;
  /** Degrees of freedom; Infinity where the limits are taken as known (type B). */
  degreesOfFreedom: number;
}

/** An uncertainty budget in the sense of JCGM 100:2008 (the GUM). In the unit of the size: mm, radians or 1. */
export interface Uncertainty {
  contributions: Contribution[];
  /** Combined standard uncertainty, equation 10 (uncorrelated). */
  standard: number;
  /** Effective degrees of freedom after Welch and Satterthwaite, equation G.2b; t is interpolated (G.4.2). */
  degreesOfFreedom: number;
  /** Student's t for 95 % both sides. */
  coverageFactor: number;
  /** Half width of the interval that holds the size in about 95 % of cases. */
  expanded: number;
}

const COVERAGE = 0.95;

/** Standard deviation of a rectangular distribution of half width `a` (GUM 4.3.7). */
export const rectangular = (a: number) => a / Math.sqrt(3);

/** What is taken of several readings: their mean, the middle one, or one picked out (the largest of a worn outside, say). */
export type Statistic = 'mean' | 'median' | 'one';

/**
 * Uncertainty of what is taken of readings of one size with one instrument:
 * - repeatability: the scatter of a single reading, of the mean over √n (GUM 4.2.3), of the median somewhat more. The scatter
 *   is pooled from what is known of hands with that instrument and what these readings show (GUM 4.2.4, F.2.4.5);
 * - the instrument's permissible error as half width of a rectangle (GUM 4.3.7);
 * - half its resolution as half width of a rectangle (GUM F.2.2.1).
 *
 * Averaging does not make the last two smaller: they are the same in every reading.
 *
 * @param readings at least one, in the instrument's unit.
 */
export function uncertaintyOfReadings(
  readings: readonly number[],
  instrument: Instrument,
  statistic: Statistic = 'mean',
): Uncertainty {
  const count = readings.length;
  const scatter = scatterOfOne(readings, instrument);
  const shrink = { mean: 1 / Math.sqrt(count), median: medianSpread(count) / Math.sqrt(count), one: 1 }[
    statistic
  ];
  return combine([
    {
      source: 'repeatability',
      standard: scatter.standard * shrink,
      degreesOfFreedom: scatter.degreesOfFreedom,
    },
    {
      source: 'instrument',
      standard: rectangular(permissibleError(instrument, extremes(readings).largest)),
      degreesOfFreedom: Infinity,
    },
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
/** Readings that scatter more than a hand would once in a hundred times are not of that hand: they speak for themselves. */
const NOT_THAT_HAND = 0.99;

/**
 * Scatter of a single reading: the stated one of a hand and that of the readings, pooled by their degrees of freedom. Two
 * readings alone would say next to nothing, and three equal ones that there is no scatter at all. Readings that scatter far more than a
 * hand does (F test) are taken by themselves.
 */
function scatterOfOne(readings: readonly number[], { repeatability }: Instrument) {
  const shown = readings.length - 1;
  if (shown < 1) return { standard: repeatability, degreesOfFreedom: HAND_DEGREES };
  const own = sampleStandardDeviation(readings);
  const limit = jstat.centralF.inv(NOT_THAT_HAND, shown, HAND_DEGREES);
  if ((own / repeatability) ** 2 > limit) return { standard: own, degreesOfFreedom: shown };
  const degreesOfFreedom = HAND_DEGREES + shown;
  const variance = (HAND_DEGREES * repeatability ** 2 + shown * own ** 2) / degreesOfFreedom;
  return { standard: Math.sqrt(variance), degreesOfFreedom };
}

/** Standard deviation of the median of n normal readings against that of their mean (order statistics, n = 1 to 10). */
const MEDIAN_SPREAD = [1, 1, 1.1602, 1.0922, 1.1976, 1.135, 1.2137, 1.1601, 1.2227, 1.1762];
/** Of many: √(π/2). */
const MEDIAN_SPREAD_OF_MANY = Math.sqrt(Math.PI / 2);
const medianSpread = (count: number) => MEDIAN_SPREAD[count - 1] ?? MEDIAN_SPREAD_OF_MANY;

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

/** Root sum square of uncorrelated contributions, with effective degrees of freedom and coverage. */
export function combine(contributions: Contribution[]): Uncertainty {
  let [variance, spent] = [0, 0];
  for (const { standard, degreesOfFreedom } of contributions) {
    const square = standard * standard;
    variance += square;
    if (degreesOfFreedom !== Infinity) spent += (square * square) / degreesOfFreedom;
  }
  const degreesOfFreedom = spent === 0 ? Infinity : (variance * variance) / spent;
  const coverageFactor = studentT(degreesOfFreedom);
  const standard = Math.sqrt(variance);
  return { contributions, standard, degreesOfFreedom, coverageFactor, expanded: coverageFactor * standard };
}

/** The contribution that counts most, or null where there is none. */
export function largestContribution({ contributions }: Uncertainty): Contribution | null {
  return contributions.reduce<Contribution | null>(
    (largest, other) => (largest && largest.standard >= other.standard ? largest : other),
    null,
  );
}

/** Two-sided 95 % quantile of the normal distribution. */
const NORMAL_95 = jstat.normal.inv((1 + COVERAGE) / 2, 0, 1);

/** Two-sided 95 % quantile of Student's t. Beyond a million degrees of freedom it is the normal one, 1.960. */
function studentT(degreesOfFreedom: number): number {
  return degreesOfFreedom > 1e6 ? NORMAL_95 : jstat.studentt.inv((1 + COVERAGE) / 2, degreesOfFreedom);
}
