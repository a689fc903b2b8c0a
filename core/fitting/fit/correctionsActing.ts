import type { RepairState } from '@core/record/model';
import { machineIn } from '@core/record/workshop';

import type { EvaluatedRepair } from './evaluateRepair';
import { fitsOfBody } from './fitsOfBody';

/** A correction of the machine, and the one place where it acts. Lengths mm, shares of the size. */
export type ActingCorrection =
  | { acts: 'workingSize'; fitName: string; mm: number; learnedFrom: string }
  | { acts: 'firstLayer'; mm: number }
  | { acts: 'file'; axis: 'x' | 'y' | 'z'; share: number };

/**
 * Every correction that goes into a body when it is made, each with where it acts: in the working sizes of its fits, in the outline of the first layer, or in
 * the file that is larger for what shrinks. None acts twice.
 *
 * @param firstLayerSpreadMm how far the printer's first layer spreads on each side; 0 where it is not laid in layers.
 */
export function correctionsActing(
  bodyId: string,
  state: RepairState,
  numbers: EvaluatedRepair,
  firstLayerSpreadMm: number,
): ActingCorrection[] {
  const own = fitsOfBody(bodyId, state);
  const sizes = [...numbers.fits.values()].flatMap(({ fit, worked }): ActingCorrection[] => {
    const entry = worked.ok ? worked.trail.entries.find(({ kind }) => kind === 'correction') : undefined;
    if (!own.has(fit.id) || entry?.kind !== 'correction' || entry.value === 0) return [];
    return [{ acts: 'workingSize', fitName: fit.name, mm: entry.value, learnedFrom: entry.learnedFrom }];
  });
  const { shrinkage } = machineIn(numbers.workshop, state.head.machineId);
  const files = (['x', 'y', 'z'] as const).flatMap((axis): ActingCorrection[] =>
    shrinkage && shrinkage[axis] !== 0 ? [{ acts: 'file', axis, share: shrinkage[axis] }] : [],
  );
  const first: ActingCorrection[] =
    firstLayerSpreadMm === 0 ? [] : [{ acts: 'firstLayer', mm: firstLayerSpreadMm }];
  return [...sizes, ...first, ...files];
}
