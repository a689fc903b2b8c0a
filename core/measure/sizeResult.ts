import type { Fault } from '@core/fault';
import type { Reading, Size, Taken, Workshop } from '@core/model';
import { roundTo } from '@core/quantity';
import { instrumentIn } from '@core/workshop';

import { doubtfulReadings } from './doubtful';
import { extremes, mean, median } from './statistics';
import { uncertaintyOfMean, uncertaintyOfOne, type Uncertainty } from './uncertainty';

/** What is known of a size from its readings. Values in mm, radians or counts. */
export interface MeasuredResult {
  status: 'measured';
  /** Value taken, rounded to the instrument's resolution so that it can be written down. */
  value: number;
  mean: number;
  count: number;
  /** Largest less smallest reading. */
  range: number;
  uncertainty: Uncertainty;
  instrumentName: string;
  taken: Taken;
  /** Ids of readings that look like slips. */
  doubtful: string[];
}

/** A share of a derived size: how much it changes when that size changes by one. */
export interface Sensitivity {
  sizeId: string;
  perUnit: number;
}

export type SizeResult =
  /** Not known yet; `waitsFor` names the size that a derived one needs first. */
  | { status: 'wanted'; count: 0; waitsFor: { tag: string; name: string } | null }
  | MeasuredResult
  | { status: 'given'; value: number; count: 0 }
  | { status: 'derived'; value: number; count: 0; uncertainty: Uncertainty; inputs: Sensitivity[] }
  /** Its formula or construction can't be worked out with these inputs. */
  | { status: 'impossible'; count: 0; fault: Fault };

/** A result that has a value. */
export type KnownResult = Extract<SizeResult, { value: number }>;
export const isKnown = (result: SizeResult): result is KnownResult => 'value' in result;

/** Readings of a size that count: neither removed nor left out. */
export function countedReadings(size: Size, readings: readonly Reading[]): Reading[] {
  return readings.filter(
    (reading) => reading.sizeId === size.id && !reading.removed && reading.leftOut === null,
  );
}

/**
 * Evaluates a size that depends on no other: from its readings, or from the number it was given.
 *
 * Readings of several instruments are taken together with the coarsest of them (largest resolution), which
 * overstates the uncertainty rather than understating it.
 */
export function evaluateSize(size: Size, readings: readonly Reading[], workshop: Workshop): SizeResult {
  const wanted = { status: 'wanted', count: 0, waitsFor: null } as const;
  if (size.kind !== 'measured') {
    return size.given === null ? wanted : { status: 'given', value: size.given, count: 0 };
  }
  const counted = countedReadings(size, readings);
  if (counted.length === 0) return wanted;
  const values = counted.map((reading) => reading.value);
  const instrument = counted
    .map((reading) => instrumentIn(workshop, reading.instrumentId))
    .reduce((coarsest, other) => (other.resolution > coarsest.resolution ? other : coarsest));
  const { smallest, largest } = extremes(values);
  const taken = { mean: mean(values), largest, smallest, median: median(values) }[size.taken];
  const scatter = Math.hypot(instrument.repeatability, instrument.resolution / 2);
  return {
    status: 'measured',
    value: roundTo(taken, instrument.resolution),
    mean: mean(values),
    count: values.length,
    range: largest - smallest,
    uncertainty:
      size.taken === 'mean' || size.taken === 'median'
        ? uncertaintyOfMean(values, instrument)
        : uncertaintyOfOne(values, instrument),
    instrumentName: instrument.name,
    taken: size.taken,
    doubtful: doubtfulReadings(values, scatter).map((index) => counted[index]!.id),
  };
}
