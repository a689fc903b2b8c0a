/** A measuring instrument and what it promises. Lengths in mm. */
export interface Instrument {
  id: string;
  name: string;
  /** Smallest step of its display. */
  resolutionMm: number;
  /** Largest reading it can give. */
  reachMm: number;
  /** Permissible error of indication, plus or minus, for readings up to a length. */
  permissibleErrors: readonly { upToMm: number; plusMinusMm: number }[];
  /** Spread (one standard deviation) expected of one hand's repeat readings; used while there is only one. */
  handRepeatabilityMm: number;
}

/**
 * The digital caliper on the bench. Permissible errors are those commonly stated by makers of 0.01 mm
 * digital calipers, in the manner of ISO 13385-1:2019 (maximum permissible error of indication).
 */
export const BENCH_CALIPER: Instrument = {
  id: 'bench-caliper',
  name: 'Bench caliper',
  resolutionMm: 0.01,
  reachMm: 200,
  permissibleErrors: [
    { upToMm: 100, plusMinusMm: 0.02 },
    { upToMm: 200, plusMinusMm: 0.03 },
  ],
  handRepeatabilityMm: 0.015,
};

export const INSTRUMENTS: readonly Instrument[] = [BENCH_CALIPER];

/** The instrument of that id, or the bench caliper if nobody knows it any more. */
export function instrumentOf(id: string): Instrument {
  return INSTRUMENTS.find((instrument) => instrument.id === id) ?? BENCH_CALIPER;
}

/** Permissible error of a reading, mm, plus or minus. */
export function permissibleErrorMm(instrument: Instrument, readingMm: number): number {
  const band = instrument.permissibleErrors.find(({ upToMm }) => readingMm <= upToMm);
  return (band ?? instrument.permissibleErrors.at(-1)!).plusMinusMm;
}
