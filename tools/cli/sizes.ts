import { evaluateRepair, type Worked } from '@core/fitting/fit';
import { uncertaintyOf } from '@core/measuring/measure';
import type { RepairFileContent } from '@core/record/model';
import { sentenceOf } from '@core/reporting/wording';

/**
 * All working sizes of a repair with their trails, as data to be printed. Lengths in mm, angles in radians, as
 * `quantity` says.
 */
export function sizes({ repair, workshop }: RepairFileContent): object {
  const numbers = evaluateRepair(repair, workshop);
  return {
    sizes: [...numbers.sizes.values()].map(({ size, result, worked }) => ({
      tag: size.tag,
      name: size.name,
      quantity: size.quantity,
      kind: size.kind,
      of: size.of,
      readings: result.count,
      uncertainty: uncertaintyOf(result)?.expanded ?? null,
      ...trailOf(worked),
    })),
    fits: [...numbers.fits.values()].map(({ fit, worked, chance }) => ({
      name: fit.name,
      fitClass: fit.fitClass,
      feature: fit.feature,
      chance: chance?.probability ?? null,
      ...trailOf(worked),
    })),
    layouts: [...numbers.layouts.values()].map(({ layout, solved }) => ({
      name: layout.name,
      points: solved.points.map(({ label, x, y, standard }) => ({ label, x, y, standard })),
      problem: solved.fault && sentenceOf(solved.fault),
    })),
    chains: [...numbers.chains.values()].map(({ chain, stack }) => ({ name: chain.name, ...stack })),
  };
}

function trailOf(worked: Worked): object {
  if (worked.ok) return { working: worked.trail.working, trail: worked.trail.entries };
  return {
    working: null,
    wanted: worked.tag,
    ...(worked.fault ? { problem: sentenceOf(worked.fault) } : {}),
  };
}
