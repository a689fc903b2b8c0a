import { evaluateSize, type SizeResult } from '@core/measure';
import type { Fit, RepairState, Size } from '@core/model';
import { machineOf } from '@core/standards';

import { trailOfFit, trailOfSize, type Worked } from './trail';

/** Every number of a repair, worked out. Maps are by row id and hold no removed rows. */
export interface EvaluatedRepair {
  sizes: Map<string, { size: Size; result: SizeResult; worked: Worked }>;
  fits: Map<string, { fit: Fit; worked: Worked }>;
}

/** Evaluates all sizes and fits of a repair. Cheap enough to repeat at every change. */
export function evaluateRepair(state: RepairState): EvaluatedRepair {
  const machine = machineOf(state.head.machineId);
  const sizes: EvaluatedRepair['sizes'] = new Map();
  const readingsOf = groupBySize(state.readings);
  for (const size of state.sizes) {
    if (size.removed) continue;
    const result = evaluateSize(size, readingsOf.get(size.id) ?? []);
    sizes.set(size.id, { size, result, worked: trailOfSize(size, result) });
  }
  const fits: EvaluatedRepair['fits'] = new Map();
  for (const fit of state.fits) {
    const counterpart = sizes.get(fit.counterpartSizeId);
    if (fit.removed || !counterpart) continue;
    fits.set(fit.id, { fit, worked: trailOfFit(fit, counterpart.size, counterpart.result, machine) });
  }
  return { sizes, fits };
}

function groupBySize(readings: RepairState['readings']): Map<string, RepairState['readings']> {
  const groups = new Map<string, RepairState['readings']>();
  for (const reading of readings) {
    const group = groups.get(reading.sizeId);
    if (group) group.push(reading);
    else groups.set(reading.sizeId, [reading]);
  }
  return groups;
}
