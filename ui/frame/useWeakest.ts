import { useMemo } from 'react';

import type { Body } from '@core/record/model';
import { weld } from '@core/shaping/part';
import {
  heldLoadOf,
  madeOf,
  serviceOf,
  weakestSection,
  type HeldLoad,
  type Service,
  type Weakest,
} from '@core/checking/strength';

import { useRepairContext } from '../inRepair/useRepairContext';
import { useSolidView } from '../inRepair/useSolidView';

/**
 * The weakest section of a spare between its load and where it is held, itself null where no plane cuts a single section there; null where the load was
 * not said, or the spare is not built.
 */
export function useWeakest(body: Body): { load: HeldLoad; service: Service; weakest: Weakest | null } | null {
  const { repair, numbers } = useRepairContext();
  const mesh = useSolidView().bodies.find(({ bodyId }) => bodyId === body.id)?.mesh ?? null;
  const { workshop } = numbers;
  const { head } = repair;
  const { laying } = body;
  return useMemo(() => {
    const load = heldLoadOf({ laying });
    if (!load || !mesh) return null;
    const made = madeOf({ laying }, head, workshop);
    return { load, service: serviceOf({ laying }, head), weakest: weakestSection(weld(mesh), load, made) };
  }, [laying, mesh, workshop, head]);
}
