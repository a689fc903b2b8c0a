import { useEffect, useRef, useState, useSyncExternalStore } from 'react';

import type { RepairState } from '@core/model';
import type { SolidMesh } from '@core/solid';

import type { BuiltBody } from './protocol';
import { spawnWorker } from './spawnWorker';
import { Workbench, type BenchStatus } from './workbench';

/** One for the app: the kernel is large and takes a moment to start. */
export const workbench = new Workbench(spawnWorker);

/** A body as it is shown: its newest sound solid, and how the newest build went. */
export interface ShownBody extends Omit<BuiltBody, 'mesh'> {
  mesh: SolidMesh | null;
  /** The picture is older than the recipe, because a step failed since. */
  outOfDate: boolean;
}

export interface SolidView {
  status: BenchStatus;
  bodies: ShownBody[];
}

/** Builds the bodies of a repair on the device whenever something changes that they depend on. */
export function useSolid(state: RepairState | undefined): SolidView {
  const status = useSyncExternalStore(workbench.subscribe, () => workbench.status);
  const [bodies, setBodies] = useState<ShownBody[]>([]);
  const shown = useRef(bodies);
  const repairId = state?.head.id;

  useEffect(() => {
    shown.current = [];
    setBodies([]);
  }, [repairId]);

  useEffect(() => {
    if (!state) return;
    let current = true;
    const known = () => Object.fromEntries(shown.current.map((body) => [body.bodyId, body.mesh ? body.build : 0]));
    workbench
      .build(state, known)
      .then((reply) => {
        if (!reply || !current) return;
        shown.current = reply.bodies.map((built) => mergeShown(shown.current, built));
        setBodies(shown.current);
      })
      .catch(() => {
        // The status says what went wrong; the last good solids stay.
      });
    return () => {
      current = false;
    };
    // Only what a solid depends on; the rest of the head may change without a rebuild.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [
    repairId,
    state?.sizes,
    state?.readings,
    state?.fits,
    state?.bodies,
    state?.head.materialId,
    state?.head.machineId,
  ]);

  return { status, bodies };
}

/** Keeps the last sound solid while a step fails, and the old mesh where the worker says it is unchanged. */
export function mergeShown(before: readonly ShownBody[], built: BuiltBody): ShownBody {
  const old = before.find((body) => body.bodyId === built.bodyId);
  const failed = built.steps.some((step) => step.state === 'failed');
  if (failed && old?.mesh) {
    const { mesh, build, annotations, centreLines, figures } = old;
    return { ...built, mesh, build, annotations, centreLines, figures, outOfDate: true };
  }
  const mesh = built.mesh ?? (old?.build === built.build ? old.mesh : null);
  return { ...built, mesh, outOfDate: failed };
}
