import { useCallback, useEffect, useMemo, useState } from 'react';

import type { Vec3 } from '@core/foundations/vectors';
import type { CutPlane, OpenedSolid } from '@core/shaping/part';

import { workbench, type ShownBody } from '../solid/useSolid';
import { STANCES, type Stance } from './stances';

export interface CutOpen {
  plane: CutPlane | null;
  /** Where the plane may stand, mm. */
  range: { min: number; max: number };
  /** Area of the cut over all spares, mm²; null while it is worked out. */
  areaMm2: number | null;
  opened: ReadonlyMap<string, OpenedSolid>;
  /** It stands square to an axis, so that `at` is a coordinate. */
  isSquare: boolean;
  toggle(): void;
  close(): void;
  moveTo(at: number): void;
  /** Lays the plane square to a look, wherever it comes from; null lets it follow the stance again. */
  face(towards: Vec3 | null): void;
}

/** Hatch lines across a part's diagonal. */
const HATCH_LINES = 48;

const NOTHING: ReadonlyMap<string, OpenedSolid> = new Map();

/** Cuts the spares open at a plane that faces the viewer, and keeps the cut current while they change. */
export function useCutOpen(spares: readonly ShownBody[], stance: Stance): CutOpen {
  // Where the plane stands along its range, 0 to 1, so that it stays in the part when sizes change.
  const [share, setShare] = useState<number | null>(null);
  const [opened, setOpened] = useState(NOTHING);
  const [look, setLook] = useState<Vec3 | null>(null);
  const towards = look ?? towardsOf(stance);
  const way = towards.join();
  const key = spares.map((body) => `${body.bodyId}:${body.build}`).join();
  const range = useMemo(
    () => rangeOf(spares, towards),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [key, way],
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
        const cut = await workbench.ask.cutOpen(body.bodyId, { towards, at }, hatchStepMm).catch(() => null);
        if (cut) cuts.set(body.bodyId, cut);
      }
      if (current) setOpened(cuts);
    })();
    return () => {
      current = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [at, way, key]);

  const toggle = useCallback(() => {
    setLook(null);
    setShare((now) => (now === null ? 0.5 : null));
  }, []);
  const close = useCallback(() => setShare(null), []);
  const moveTo = useCallback(
    (to: number) => setShare(Math.min(Math.max((to - range.min) / (range.max - range.min || 1), 0), 1)),
    [range],
  );
  const areas = [...opened.values()].map((cut) => cut.cutAreaMm2);
  return {
    plane: at === null ? null : { towards, at },
    isSquare: towards.some((part) => Math.abs(part) === 1),
    range,
    areaMm2: areas.length > 0 ? areas.reduce((sum, area) => sum + area, 0) : null,
    opened,
    toggle,
    close,
    moveTo,
    face: setLook,
  };
}

/** The way to the viewer along the axis that a stance looks along most. */
function towardsOf(stance: Stance): Vec3 {
  // From the corner the front is cut away, so that the cut face is well seen.
  return stance === 'corner' ? STANCES.front.towards : STANCES[stance].towards;
}

function rangeOf(spares: readonly ShownBody[], [tx, ty, tz]: Vec3) {
  let [min, max] = [Infinity, -Infinity];
  let diagonal = 0;
  for (const { mesh, figures } of spares) {
    if (!mesh) continue;
    const { positions } = mesh;
    for (let index = 0; index < positions.length; index += 3) {
      const at = tx * positions[index]! + ty * positions[index + 1]! + tz * positions[index + 2]!;
      min = Math.min(min, at);
      max = Math.max(max, at);
    }
    if (figures) diagonal = Math.max(diagonal, Math.hypot(...figures.bboxMm));
  }
  // Held off the ends, where a cut would leave all or nothing.
  const inset = (max - min) * 0.01;
  return min > max ? { min: 0, max: 1, diagonal: 1 } : { min: min + inset, max: max - inset, diagonal };
}
