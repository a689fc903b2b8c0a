import type { Trail } from './trail';

/** Two mating sizes as bands to be drawn to scale. Diameters in mm. */
export interface FitBands {
  counterpart: { fromMm: number; toMm: number };
  spare: { fromMm: number; toMm: number };
  /** Clearance on the diameter at its smallest and largest; negative is interference. */
  clearanceMm: { smallest: number; largest: number };
}

/** How far a small workshop machine scatters about its mean, mm, plus or minus on a diameter. */
export const MACHINE_SCATTER_MM = 0.05;

/**
 * Bands of a fit, from its trail. The counterpart lies within its uncertainty; the spare comes out at the
 * working size less the machine correction (which is what the correction is for), give or take its scatter.
 *
 * @param feature 'bore' when the spare goes over the counterpart, 'peg' when it goes into it.
 */
export function bandsOf(trail: Trail, feature: 'bore' | 'peg'): FitBands {
  const origin = trail.entries[0]!;
  const doubt = origin.kind === 'measured' ? origin.plusMinusMm : 0;
  const correction = trail.entries.find((entry) => entry.kind === 'correction')?.mm ?? 0;
  const made = trail.workingMm - correction;
  const counterpart = { fromMm: origin.mm - doubt, toMm: origin.mm + doubt };
  const spare = { fromMm: made - MACHINE_SCATTER_MM, toMm: made + MACHINE_SCATTER_MM };
  const [inner, outer] = feature === 'bore' ? [counterpart, spare] : [spare, counterpart];
  return {
    counterpart,
    spare,
    clearanceMm: { smallest: outer.fromMm - inner.toMm, largest: outer.toMm - inner.fromMm },
  };
}
