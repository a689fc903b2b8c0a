import { useMemo } from 'react';

import { USUAL_LAYING, type Body } from '@core/model';
import { weld } from '@core/part';
import { heldLoadOf, madeOfMaterial, weakestSection, type HeldLoad, type Weakest } from '@core/strength';
import { machineIn, materialIn } from '@core/workshop';

import { useRepairContext } from '../inRepair/useRepairContext';
import { useSolidView } from '../inRepair/useSolidView';

/**
 * The weakest section of a spare between its load and where it is held, itself null where no plane cuts a single section there; null where the load was
 * not said, or the spare is not built.
 */
export function useWeakest(body: Body): { load: HeldLoad; weakest: Weakest | null } | null {
  const { repair, numbers } = useRepairContext();
  const mesh = useSolidView().bodies.find(({ bodyId }) => bodyId === body.id)?.mesh ?? null;
  const { workshop } = numbers;
  const { materialId, machineId } = repair.head;
  const { laying } = body;
  return useMemo(() => {
    const load = heldLoadOf({ laying });
    if (!load || !mesh) return null;
    const isLaid = machineIn(workshop, machineId).process === 'printing';
    const made = madeOfMaterial(
      materialIn(workshop, materialId),
      isLaid ? (laying ?? USUAL_LAYING).down : null,
    );
    return { load, weakest: weakestSection(weld(mesh), load, made) };
  }, [laying, mesh, workshop, materialId, machineId]);
}
