import { useEffect, useState } from 'react';

import type { Caution } from '@core/checking/inspect';

import { useRepairContext } from '../../inRepair/useRepairContext';
import { useSolidView } from '../../inRepair/useSolidView';
import { workbench } from '../../solid/useSolid';

const NONE: Caution[] = [];
/** Worked out when nothing has changed for so long, ms: it takes a while, and nobody waits for it. */
const AFTER_MS = 600;

/** What is to be said of the room between a spare and the other bodies. */
export function useBetween(bodyId: string): Caution[] {
  const { repair } = useRepairContext();
  const solid = useSolidView();
  const [cautions, setCautions] = useState(NONE);
  const role = repair.bodies.find(({ id }) => id === bodyId)?.role;
  const key = solid.bodies.map(({ bodyId: id, build, outOfDate }) => `${id}${build}${outOfDate}`).join();
  const isWhole = solid.bodies.every(({ outOfDate }) => !outOfDate);
  useEffect(() => {
    setCautions(NONE);
    if (role !== 'spare' || !isWhole || solid.bodies.length < 2) return;
    let current = true;
    const timer = setTimeout(() => {
      workbench.ask
        .clearances(bodyId)
        .then((found) => {
          if (current) setCautions(found.flatMap((one) => one.cautions));
        })
        .catch(() => undefined);
    }, AFTER_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [bodyId, role, isWhole, key]);
  return cautions;
}
