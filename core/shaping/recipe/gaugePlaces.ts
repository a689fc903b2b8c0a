import type { Body, Fit } from '@core/record/model';

import { GAUGE_STEPS_MM } from './gaugeRow';

/** A place of a gauge row: how much looser than the working size, and its diameter in the model, mm. */
export interface GaugePlace {
  looserMm: number;
  mm: number;
}

/**
 * The places of a gauge row, from its recipe; null for a body that is none, or whose places were changed so that nobody could tell which is
 * which.
 */
export function gaugePlaces(
  { name, steps }: Pick<Body, 'name' | 'steps'>,
  fits: readonly Fit[],
): { fit: Fit; places: GaugePlace[] } | null {
  const fit = fits.find((one) => !one.removed && name === `Gauge row, ${one.name}`.slice(0, 80));
  if (!fit) return null;
  const isHole = fit.feature === 'bore';
  const diameters = steps.flatMap((step) => {
    const isPlace = isHole ? step.kind === 'hole' && step.depth === 'through' : step.kind === 'peg';
    return isPlace && 'diameter' in step && step.diameter.from === 'number' ? [step.diameter.mm] : [];
  });
  if (diameters.length !== GAUGE_STEPS_MM.length) return null;
  return { fit, places: GAUGE_STEPS_MM.map((looserMm, index) => ({ looserMm, mm: diameters[index]! })) };
}
