import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';

import type { RepairState, Workshop } from '@core/model';
import type { SolidMesh } from '@core/part';

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
  bodies: ShownBody[];
  /** Builds once more what was stopped. */
  rebuild(): void;
}

/** What the workbench is doing: changes with every step, so it is asked for only where it is shown. */
export const useBenchStatus = (): BenchStatus =>
  useSyncExternalStore(workbench.subscribe, () => workbench.status);

const NO_BODIES: ShownBody[] = [];

/** Builds the bodies of a repair on the device whenever something changes that they depend on. */
export function useSolid(state: RepairState | undefined, workshop: Workshop): SolidView {
  const [bodies, setBodies] = useState(NO_BODIES);
  const [attempt, setAttempt] = useState(0);
  const shown = useRef(bodies);
  const repairId = state?.head.id;
  const shownRepair = useRef<string | undefined>(undefined);

  useEffect(() => {
    shownRepair.current = repairId;
    shown.current = NO_BODIES;
    setBodies(NO_BODIES);
    return () => {
      shownRepair.current = undefined;
    };
  }, [repairId]);

  useEffect(() => {
    if (!state) return;
    const known = () =>
      Object.fromEntries(shown.current.map((body) => [body.bodyId, body.mesh ? body.build : 0]));
    workbench
      .build(state, workshop, known)
      .then((reply) => {
        // Replies come in the order of the builds, so the last one stands.
        if (!reply || shownRepair.current !== repairId) return;
        shown.current = reply.bodies.map((built) => mergeShown(shown.current, built));
        setBodies(shown.current);
      })
      .catch(() => {
        // The status says what went wrong, with its report; the last good solids stay.
      });
    // Only what a solid depends on; the rest of the head may change without a rebuild.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [
    attempt,
    repairId,
    state?.sizes,
    state?.readings,
    state?.layouts,
    workshop,
    state?.fits,
    state?.bodies,
    state?.head.materialId,
    state?.head.machineId,
  ]);

  const rebuild = useCallback(() => setAttempt((count) => count + 1), []);
  return useMemo(() => ({ bodies, rebuild }), [bodies, rebuild]);
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
