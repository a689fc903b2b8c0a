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

/**
 * Uncertainty of the mean of readings of one size with one instrument:
 * - repeatability: s/√n with n - 1 degrees of freedom (GUM 4.2.3); with a single reading, the spread
 *   expected of one hand with that instrument stands in, with its degrees of freedom taken as infinite;
 * - the instrument's permissible error as half width of a rectangle (GUM 4.3.7);
 * - half its resolution as half width of a rectangle (GUM F.2.2.1).
 *
 * Averaging does not make the last two smaller: they are the same in every reading.
 *
 * @param readings at least one, in the instrument's unit.
 */
export function uncertaintyOfMean(readings: readonly number[], instrument: Instrument): Uncertainty {
  return uncertaintyOfReadings(readings, instrument, Math.sqrt(readings.length));
}

/**
 * As uncertaintyOfMean, for one reading picked out of several (the largest of a worn outside, say): its
 * repeatability is that of a single reading, not of a mean.
 */
export function uncertaintyOfOne(readings: readonly number[], instrument: Instrument): Uncertainty {
  return uncertaintyOfReadings(readings, instrument, 1);
}

function uncertaintyOfReadings(
  readings: readonly number[],
  instrument: Instrument,
  shrink: number,
): Uncertainty {
  const count = readings.length;
  return combine([
    count > 1
      ? {
          source: 'repeatability',
          standard: sampleStandardDeviation(readings) / shrink,
          degreesOfFreedom: count - 1,
        }
      : { source: 'repeatability', standard: instrument.repeatability, degreesOfFreedom: Infinity },
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
