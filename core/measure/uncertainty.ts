import jstat from 'jstat';

import { permissibleErrorMm, type Instrument } from '@core/standards';

import { sampleStandardDeviation } from './statistics';

export type UncertaintySource = 'repeatability' | 'instrument' | 'resolution';

export interface Contribution {
  source: UncertaintySource;
  /** Standard uncertainty, mm. */
  standardMm: number;
  /** Degrees of freedom; Infinity where the limits are taken as known (type B). */
  degreesOfFreedom: number;
}

/** An uncertainty budget in the sense of JCGM 100:2008 (the GUM). Lengths in mm. */
export interface Uncertainty {
  contributions: Contribution[];
  /** Combined standard uncertainty, equation 10 (uncorrelated, sensitivity 1). */
  standardMm: number;
  /** Effective degrees of freedom after Welch and Satterthwaite, equation G.2b; t is interpolated (G.4.2). */
  degreesOfFreedom: number;
  /** Student's t for 95 % both sides. */
  coverageFactor: number;
  /** Half width of the interval that holds the size in about 95 % of cases. */
  expandedMm: number;
}

const COVERAGE = 0.95;

/** Standard deviation of a rectangular distribution of half width `a` (GUM 4.3.7). */
export const rectangular = (a: number) => a / Math.sqrt(3);

/**
 * Uncertainty of the mean of readings of one length with one instrument:
 * - repeatability: s/√n with n - 1 degrees of freedom (GUM 4.2.3); with a single reading, the spread
 *   expected of one hand with that instrument stands in, with its degrees of freedom taken as infinite;
 * - the instrument's permissible error as half width of a rectangle (GUM 4.3.7);
 * - half its resolution as half width of a rectangle (GUM F.2.2.1).
 *
 * Averaging does not make the last two smaller: they are the same in every reading.
 *
 * @param readingsMm at least one reading.
 */
export function uncertaintyOfMean(readingsMm: readonly number[], instrument: Instrument): Uncertainty {
  const count = readingsMm.length;
  const largest = Math.max(...readingsMm);
  return combine([
    count > 1
      ? {
          source: 'repeatability',
          standardMm: sampleStandardDeviation(readingsMm) / Math.sqrt(count),
          degreesOfFreedom: count - 1,
        }
      : {
          source: 'repeatability',
          standardMm: instrument.handRepeatabilityMm,
          degreesOfFreedom: Infinity,
        },
    {
      source: 'instrument',
      standardMm: rectangular(permissibleErrorMm(instrument, largest)),
      degreesOfFreedom: Infinity,
    },
    {
      source: 'resolution',
      standardMm: rectangular(instrument.resolutionMm / 2),
      degreesOfFreedom: Infinity,
    },
  ]);
}

/** Root sum square of uncorrelated contributions, with effective degrees of freedom and coverage. */
export function combine(contributions: Contribution[]): Uncertainty {
  const variance = contributions.reduce((sum, part) => sum + part.standardMm ** 2, 0);
  const spent = contributions.reduce(
    (sum, part) =>
      sum + (part.degreesOfFreedom === Infinity ? 0 : part.standardMm ** 4 / part.degreesOfFreedom),
    0,
  );
  const degreesOfFreedom = spent === 0 ? Infinity : variance ** 2 / spent;
  const coverageFactor = studentT(degreesOfFreedom);
  const standardMm = Math.sqrt(variance);
  return {
    contributions,
    standardMm,
    degreesOfFreedom,
    coverageFactor,
    expandedMm: coverageFactor * standardMm,
  };
}

/** Two-sided 95 % quantile of Student's t. Beyond a thousand degrees of freedom it is the normal one, 1.960. */
function studentT(degreesOfFreedom: number): number {
  return jstat.studentt.inv((1 + COVERAGE) / 2, Math.min(degreesOfFreedom, 1e6));
}
