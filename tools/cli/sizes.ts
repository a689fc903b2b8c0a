import { evaluateRepair } from '@core/fit';
import type { Repair } from '@core/model';

/** All working sizes of a repair with their trails, as data to be printed. Lengths in mm. */
export function sizes(repair: Repair): object {
  const numbers = evaluateRepair(repair);
  const trailOf = (worked: (typeof numbers.fits extends Map<string, infer F> ? F : never)['worked']) =>
    worked.ok
      ? { workingMm: worked.trail.workingMm, trail: worked.trail.entries }
      : { workingMm: null, wanted: worked.tag };
  return {
    sizes: [...numbers.sizes.values()].map(({ size, result, worked }) => ({
      tag: size.tag,
      name: size.name,
      kind: size.kind,
      of: size.of,
      readings: result.count,
      uncertaintyMm: result.status === 'measured' ? result.uncertainty.expandedMm : null,
      ...trailOf(worked),
    })),
    fits: [...numbers.fits.values()].map(({ fit, worked }) => ({
      name: fit.name,
      fitClass: fit.fitClass,
      feature: fit.feature,
      ...trailOf(worked),
    })),
  };
}
