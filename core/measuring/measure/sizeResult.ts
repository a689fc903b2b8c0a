import type { Fault } from '@core/foundations/fault';
import type { Instrument, Jaw, Reading, Size, Taken, Workshop } from '@core/record/model';
import { roundTo } from '@core/foundations/quantity';
import { instrumentIn } from '@core/record/workshop';

import { doubtfulReadings } from './doubtful';
import { extremes, mean, median } from './statistics';
import { uncertaintyOfLimits, uncertaintyOfReadings, weighTogether, type Uncertainty } from './uncertainty';

/** What is known of a size from its readings. Values in mm, radians or counts. */
export interface MeasuredResult {
  status: 'measured';
  /**
   * Value taken, rounded so that it can be written down: to the resolution of the instrument that counts most, or to a thousandth where
   * readings lie between its steps (those in inches do).
   */
  value: number;
  /** Of all readings alike. */
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
  /** `uncertainty` where limits were stated with it. */
  | { status: 'given'; value: number; count: 0; uncertainty?: Uncertainty }
  | { status: 'derived'; value: number; count: 0; uncertainty: Uncertainty; inputs: Sensitivity[] }
  /** Its formula or construction can't be worked out with these inputs. */
  | { status: 'impossible'; count: 0; fault: Fault };

/** A result that has a value. */
export type KnownResult = Extract<SizeResult, { value: number }>;
/** What is unsure of a result; null for what is known exactly, or not at all. */
export const uncertaintyOf = (result: SizeResult): Uncertainty | null =>
  'uncertainty' in result ? (result.uncertainty ?? null) : null;
export const isKnown = (result: SizeResult): result is KnownResult => 'value' in result;

/** Readings of a size that count: neither removed nor left out. */
export function countedReadings(size: Size, readings: readonly Reading[]): Reading[] {
  return readings.filter(
    (reading) => reading.sizeId === size.id && !reading.removed && reading.leftOut === null,
  );
}

/**
 * Evaluates a size that depends on no other: from its readings, or from the number it was given. Readings of several
 * instruments are weighted by how well each is known; one that is picked out (the largest, the smallest) has the doubt of its own.
 */
export function evaluateSize(size: Size, readings: readonly Reading[], workshop: Workshop): SizeResult {
  const wanted = { status: 'wanted', count: 0, waitsFor: null } as const;
  if (size.kind !== 'measured') {
    if (size.given === null) return wanted;
    const given = { status: 'given', value: size.given, count: 0 } as const;
    const { givenPlusMinus } = size;
    return givenPlusMinus ? { ...given, uncertainty: uncertaintyOfLimits(givenPlusMinus) } : given;
  }
  const counted = countedReadings(size, readings);
  if (counted.length === 0) return wanted;
  const values = counted.map((reading) => reading.value);
  const { smallest, largest } = extremes(values);
  const { value, instrument, uncertainty } =
    size.taken === 'mean' || size.taken === 'median'
      ? weighed(counted, size.taken, size.jaw, workshop)
      : pickedOut(counted, size.taken === 'largest' ? largest : smallest, size.jaw, workshop);
  const spreads = counted.map((reading) => {
    const { repeatability, resolution } = instrumentIn(workshop, reading.instrumentId);
    return Math.hypot(repeatability, resolution / 2);
  });
  return {
    status: 'measured',
    value: roundTo(value, stepOf(values, instrument)),
    mean: mean(values),
    count: values.length,
    range: largest - smallest,
    uncertainty,
    instrumentName: instrument.name,
    taken: size.taken,
    doubtful: doubtfulReadings(values, spreads).map((index) => counted[index]!.id),
  };
}

/** A value with nothing of its own below this is written down whole, mm. */
const FINE_STEP = 0.001;
/** Readings nearer than this to a step of the display are on it, as a share of the step. */
const ON_STEP = 1e-6;

/** To what a value is rounded: 2 3/8 in is 60.325 mm, and stays so on a display in hundredths. */
function stepOf(values: readonly number[], { resolution, quantity }: Instrument): number {
  const isOnSteps = values.every((value) => {
    const steps = value / resolution;
    return Math.abs(steps - Math.round(steps)) < ON_STEP * Math.max(1, steps);
  });
  return isOnSteps || quantity !== 'length' ? resolution : Math.min(resolution, FINE_STEP);
}

/** The instrument that counts most, and what all of them together come to. */
interface Taking {
  value: number;
  instrument: Instrument;
  uncertainty: Uncertainty;
}

function weighed(
  counted: readonly Reading[],
  taken: 'mean' | 'median',
  jaw: Jaw,
  workshop: Workshop,
): Taking {
  const ids = [...new Set(counted.map(({ instrumentId }) => instrumentId))];
  const groups = ids.map((id) => {
    const values = counted.filter(({ instrumentId }) => instrumentId === id).map(({ value }) => value);
    const instrument = instrumentIn(workshop, id);
    return {
      instrument,
      value: taken === 'mean' ? mean(values) : median(values),
      uncertainty: uncertaintyOfReadings(values, instrument, taken, jaw),
    };
  });
  if (groups.length === 1) return groups[0]!;
  const { value, uncertainty, weights } = weighTogether(groups);
  return { value, uncertainty, instrument: groups[weights.indexOf(Math.max(...weights))]!.instrument };
}

function pickedOut(counted: readonly Reading[], value: number, jaw: Jaw, workshop: Workshop): Taking {
  const picked = counted.find((reading) => reading.value === value)!;
  const instrument = instrumentIn(workshop, picked.instrumentId);
  const values = counted.filter(({ instrumentId }) => instrumentId === picked.instrumentId);
  return {
    value,
    instrument,
    uncertainty: uncertaintyOfReadings(
      values.map((reading) => reading.value),
      instrument,
      'one',
      jaw,
    ),
  };
}
