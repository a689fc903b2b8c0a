import { useCallback, useEffect, useMemo, useState } from 'react';

import type { CutPlane, OpenedSolid } from '@core/solid';

import { workbench, type ShownBody } from '../solid/useSolid';
import { STANCES, type Stance } from './stances';

export interface CutOpen {
  plane: CutPlane | null;
  /** Where the plane may stand, mm. */
  range: { min: number; max: number };
  /** Area of the cut over all spares, mm²; null while it is worked out. */
  areaMm2: number | null;
  opened: ReadonlyMap<string, OpenedSolid>;
  toggle(): void;
  close(): void;
  moveTo(at: number): void;
}

/** Hatch lines across a part's diagonal. */
const HATCH_LINES = 48;

const NOTHING: ReadonlyMap<string, OpenedSolid> = new Map();

/** Cuts the spares open at a plane that faces the viewer, and keeps the cut current while they change. */
export function useCutOpen(spares: readonly ShownBody[], stance: Stance): CutOpen {
  // Where the plane stands along its range, 0 to 1, so that it stays in the part when sizes change.
  const [share, setShare] = useState<number | null>(null);
  const [opened, setOpened] = useState(NOTHING);
  const { axis, remove } = planeFacing(stance);
  const key = spares.map((body) => `${body.bodyId}:${body.build}`).join();
  const range = useMemo(
    () => rangeOf(spares, axis),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [key, axis],
  );
  const at = share === null ? null : range.min + share * (range.max - range.min);

  useEffect(() => {
    if (at === null) {
      setOpened(NOTHING);
      return;
    }
    let current = true;
    const hatchStepMm = Math.max(range.diagonal / HATCH_LINES, 0.2);
    void (async () => {
      const cuts = new Map<string, OpenedSolid>();
      for (const body of spares) {
        // A body whose newest build failed is not on the worker's bench as it is shown.
        if (!body.mesh || body.outOfDate || !current) continue;
        const cut = await workbench.cutOpen(body.bodyId, { axis, at, remove }, hatchStepMm).catch(() => null);
        if (cut) cuts.set(body.bodyId, cut);
      }
      if (current) setOpened(cuts);
    })();
    return () => {
      current = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [at, axis, remove, key]);

  const toggle = useCallback(() => setShare((now) => (now === null ? 0.5 : null)), []);
  const close = useCallback(() => setShare(null), []);
  const moveTo = useCallback(
    (to: number) => setShare(Math.min(Math.max((to - range.min) / (range.max - range.min || 1), 0), 1)),
    [range],
  );
  const areas = [...opened.values()].map((cut) => cut.cutAreaMm2);
  return {
    plane: at === null ? null : { axis, at, remove },
    range,
    areaMm2: areas.length > 0 ? areas.reduce((sum, area) => sum + area, 0) : null,
    opened,
    toggle,
    close,
    moveTo,
  };
}

/** The plane square to the axis that the viewer looks along most, its near side taken away. */
function planeFacing(stance: Stance): Pick<CutPlane, 'axis' | 'remove'> {
  // From the corner the front is cut away, so that the cut face is well seen.
  if (stance === 'corner') return { axis: 'y', remove: -1 };
  const { towards } = STANCES[stance];
  const along = towards.findIndex((part) => Math.abs(part) === 1);
  return { axis: (['x', 'y', 'z'] as const)[along]!, remove: towards[along]! > 0 ? 1 : -1 };
}

function rangeOf(spares: readonly ShownBody[], axis: CutPlane['axis']) {
  const index = ['x', 'y', 'z'].indexOf(axis);
  let [min, max] = [Infinity, -Infinity];
  let diagonal = 0;
  for (const { mesh, figures } of spares) {
    if (!mesh) continue;
    for (let at = index; at < mesh.positions.length; at += 3) {
      min = Math.min(min, mesh.positions[at]!);
      max = Math.max(max, mesh.positions[at]!);
    }
    if (figures) diagonal = Math.max(diagonal, Math.hypot(...figures.bboxMm));
  }
  // Held off the ends, where a cut would leave all or nothing.
  const inset = (max - min) * 0.01;
  return min > max ? { min: 0, max: 1, diagonal: 1 } : { min: min + inset, max: max - inset, diagonal };
}
