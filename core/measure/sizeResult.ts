import type { Reading, Size } from '@core/model';
import { roundTo } from '@core/quantity';
import { instrumentOf } from '@core/standards';

import { mean } from './statistics';
import { uncertaintyOfMean, type Uncertainty } from './uncertainty';

/** What is known of a size. Lengths in mm. */
export type SizeResult =
  | { status: 'wanted'; count: 0 }
  | {
      status: 'measured';
      /** Value taken: the mean, rounded to the instrument's resolution so that it can be written down. */
      mm: number;
      meanMm: number;
      count: number;
      /** Largest less smallest reading. */
      rangeMm: number;
      uncertainty: Uncertainty;
      instrumentName: string;
    }
  | { status: 'given'; mm: number; count: 0 };

/** Readings of a size that count: neither removed nor left out. */
export function countedReadings(size: Size, readings: readonly Reading[]): Reading[] {
  return readings.filter(
    (reading) => reading.sizeId === size.id && !reading.removed && reading.leftOut === null,
  );
}

/**
 * Evaluates one size from its readings, or from the number it was given.
 *
 * Readings of several instruments are taken together with the coarsest of them (largest resolution), which
 * overstates the uncertainty rather than understating it.
 */
export function evaluateSize(size: Size, readings: readonly Reading[]): SizeResult {
  if (size.kind !== 'measured') {
    return size.givenMm === null
      ? { status: 'wanted', count: 0 }
      : { status: 'given', mm: size.givenMm, count: 0 };
  }
  const counted = countedReadings(size, readings);
  if (counted.length === 0) return { status: 'wanted', count: 0 };
  const values = counted.map((reading) => reading.mm);
  const instrument = counted
    .map((reading) => instrumentOf(reading.instrumentId))
    .reduce((coarsest, other) => (other.resolutionMm > coarsest.resolutionMm ? other : coarsest));
  const meanMm = mean(values);
  return {
    status: 'measured',
    mm: roundTo(meanMm, instrument.resolutionMm),
    meanMm,
    count: values.length,
    rangeMm: Math.max(...values) - Math.min(...values),
    uncertainty: uncertaintyOfMean(values, instrument),
    instrumentName: instrument.name,
  };
}
