import type { FitFeature, Jaw, RepairState } from '@core/record/model';

import type { EvaluatedRepair } from './evaluateRepair';
import { usesOf } from './usedBy';

/** A size of the piece that much hangs on, as it is to come out. mm. */
export interface CriticalSize {
  id: string;
  name: string;
  jaw: Jaw;
  /** The kind of feature that the machine makes of it. */
  feature: FitFeature;
  mm: number;
}

/** What a machine makes of a size, by how it is taken. */
const FEATURE_OF: Record<Jaw, FitFeature> = {
  outside: 'tab',
  inside: 'slot',
  depth: 'recess',
  step: 'recess',
};

/**
 * Sizes of the piece that are marked as critical and that steps of a body take as they are, without a fit.
 *
 * @param bodyId of one body alone; of any spare if left out.
 */
export function criticalSizes(state: RepairState, numbers: EvaluatedRepair, bodyId?: string): CriticalSize[] {
  return [...numbers.sizes.values()].flatMap(({ size, worked }): CriticalSize[] => {
    const { id, name, jaw, of, quantity, importance } = size;
    if (importance !== 'critical' || of !== 'piece' || quantity !== 'length' || !worked.ok) return [];
    const isUsed = usesOf(state, { from: 'size', id }).some(
      (use) => use.kind === 'step' && (bodyId === undefined || use.id === bodyId),
    );
    return isUsed ? [{ id, name, jaw, feature: FEATURE_OF[jaw], mm: worked.trail.working }] : [];
  });
}
