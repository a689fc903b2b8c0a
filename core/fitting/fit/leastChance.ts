import type { RepairState, Workshop } from '@core/record/model';

import { evaluateRepair } from './evaluateRepair';
import { fitsOfBody } from './fitsOfBody';

/** What a body would be made on and of. */
export interface MakeChoice {
  machineId: string;
  materialId: string;
}

/**
 * The chance of the fit of a body that is least likely to go as wished on the first make, were it made so; null where the body has no
 * fits, or a size of one is missing.
 */
export function leastChance(
  bodyId: string,
  state: RepairState,
  workshop: Workshop,
  choice: MakeChoice,
): number | null {
  const so = { ...state, head: { ...state.head, ...choice } };
  const { fits } = evaluateRepair(so, workshop);
  const chances = [...fitsOfBody(bodyId, so)].map((id) => fits.get(id)?.chance?.probability);
  return chances.length === 0 || chances.includes(undefined) ? null : Math.min(...(chances as number[]));
}
