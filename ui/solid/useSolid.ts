import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';

import type { Body, RepairState, Workshop } from '@core/record/model';
import type { SolidMesh, StepOutcome } from '@core/shaping/part';

import { keepPicture, keptPicture } from './keptPictures';
import type { BuiltBody, UncheckedBody } from './protocol';
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
  /** The recipes that they were built from. */
  of: readonly Body[];
  /** Bodies that are to be looked at in place of those, until they are looked over too. */
  unchecked: readonly UncheckedBody[];
  /** Builds once more what was stopped. */
  rebuild(): void;
}

/** What the workbench is doing: changes with every step, so it is asked for only where it is shown. */
export const useBenchStatus = (): BenchStatus =>
  useSyncExternalStore(workbench.subscribe, () => workbench.status);

const NO_BODIES: ShownBody[] = [];
const NO_RECIPES: readonly Body[] = [];
const NONE_UNCHECKED: readonly UncheckedBody[] = [];

/** The picture of a part is kept once it has stood for so long, ms. */
const SETTLED_MS = 1000;

/** A build that somebody stopped: until it is asked for again, or something changes, it stays so. */
interface StoppedBuild {
  attempt: number;
  state: RepairState;
  workshop: Workshop;
}

const isStopped = (step: StepOutcome): boolean =>
  step.state === 'failed' && step.fault.code === 'step.stopped';

/** Whether two states build alike: all that solids depend on is the same but for the versions of rows. */
function isSameBuild(stopped: StoppedBuild, asked: StoppedBuild): boolean {
  if (stopped.attempt !== asked.attempt || stopped.workshop !== asked.workshop) return false;
  const [one, other] = [stopped.state, asked.state];
  const text = (data: unknown) =>
    JSON.stringify(data, (key, value: unknown) => (key === 'version' ? undefined : value));
  return (
    one.head.id === other.head.id &&
    one.head.materialId === other.head.materialId &&
    one.head.machineId === other.head.machineId &&
    (['sizes', 'readings', 'layouts', 'fits', 'bodies'] as const).every(
      (list) => one[list] === other[list] || text(one[list]) === text(other[list]),
    )
  );
}

/**
 * Builds the bodies of a repair on the device whenever something changes that they depend on.
 *
 * @param isKept the state is what is kept; a draft leaves no picture behind.
 */
export function useSolid(
  state: RepairState | undefined,
  workshop: Workshop,
  { isKept = true }: { isKept?: boolean } = {},
): SolidView {
  const [bodies, setBodies] = useState(NO_BODIES);
  const [of, setOf] = useState(NO_RECIPES);
  const [unchecked, setUnchecked] = useState(NONE_UNCHECKED);
  const [attempt, setAttempt] = useState(0);
  const shown = useRef(bodies);
  const repairId = state?.head.id;
  const shownRepair = useRef<string | undefined>(undefined);
  const stopped = useRef<StoppedBuild | null>(null);

  useEffect(() => {
    shownRepair.current = repairId;
    shown.current = NO_BODIES;
    setBodies(NO_BODIES);
    setOf(NO_RECIPES);
    setUnchecked(NONE_UNCHECKED);
    const isWaitedFor = () => shownRepair.current === repairId && shown.current === NO_BODIES;
    if (repairId) {
      keptPicture(repairId).then(
        // What stands by now is newer.
        (kept) => isWaitedFor() && setUnchecked((now) => (now === NONE_UNCHECKED ? kept : now)),
        // Then it is seen when it is built.
        () => undefined,
      );
    }
    return () => {
      shownRepair.current = undefined;
    };
  }, [repairId]);

  useEffect(() => {
    if (!state) return;
    // The server's answer to a change is the same under new versions: what was stopped is not begun again by it.
    if (stopped.current && isSameBuild(stopped.current, { attempt, state, workshop })) return;
    stopped.current = null;
    const known = () =>
      Object.fromEntries(shown.current.map((body) => [body.bodyId, body.mesh ? body.build : 0]));
    workbench
      .build(state, workshop, known, (body) => {
        if (shownRepair.current === repairId) setUnchecked((all) => withOne(all, body));
      })
      .then((reply) => {
        // Replies come in the order of the builds, so the last one stands.
        if (!reply || shownRepair.current !== repairId) return;
        if (reply.bodies.some(({ steps }) => steps.some(isStopped)))
          stopped.current = { attempt, state, workshop };
        shown.current = reply.bodies.map((built) => mergeShown(shown.current, built));
        setBodies(shown.current);
        setOf(state.bodies);
        setUnchecked(NONE_UNCHECKED);
      })
      .catch(() => {
        // The status says what went wrong, with its report; the last good solids stay.
        if (shown.current !== NO_BODIES) setUnchecked(NONE_UNCHECKED);
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

  useEffect(() => {
    if (!isKept || !repairId || bodies === NO_BODIES || bodies.some(({ outOfDate }) => outOfDate)) return;
    const drawn = bodies.flatMap(({ bodyId, mesh, annotations, centreLines }) =>
      mesh ? [{ bodyId, mesh, annotations, centreLines }] : [],
    );
    const timer = setTimeout(() => {
      // Nothing is lost without it: it only takes longer until the part is seen.
      keepPicture(repairId, drawn, Date.now()).catch(() => undefined);
    }, SETTLED_MS);
    return () => clearTimeout(timer);
  }, [isKept, repairId, bodies]);

  const rebuild = useCallback(() => setAttempt((count) => count + 1), []);
  return useMemo(() => ({ bodies, of, unchecked, rebuild }), [bodies, of, unchecked, rebuild]);
}

const withOne = (all: readonly UncheckedBody[], body: UncheckedBody): readonly UncheckedBody[] => [
  ...all.filter(({ bodyId }) => bodyId !== body.bodyId),
  body,
];

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
