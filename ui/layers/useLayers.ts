import { useCallback, useEffect, useRef, useState } from 'react';

import { USUAL_PRINT_SETUP, type Picture } from '@core/record/model';
import type { Vec3 } from '@core/foundations/vectors';
import {
  type PartPlacement,
  type RequestedSpare,
  type SliceRequest,
  sliceRequestOf,
  type Orientation,
} from '@core/making/printing';
import { programFaultOf, sentenceOf, type ProgramFault } from '@core/reporting/wording';

import { useRepairContext } from '../inRepair/useRepairContext';
import { useSolidView } from '../inRepair/useSolidView';
import { workbench } from '../solid/useSolid';
import { layerWorker } from './layerWorker';
import { sliceWithProgress } from './sliceWithProgress';
import type { SliceReply } from './protocol';

/** A way to lay it, with its picture. */
export interface DrawnWay {
  way: Orientation;
  picture: Picture | null;
}

export type LayersState =
  | { kind: 'working'; share: number }
  | { kind: 'laid'; reply: SliceReply }
  | { kind: 'stopped' }
  | { kind: 'refused'; sentence: string }
  /** Nobody's input: told with a report. */
  | { kind: 'broken'; fault: ProgramFault };

/** What its layers are printed by, whichever way it is made. */
export const settingOf = ({ resin, parts }: SliceRequest): { id: string; name: string } =>
  resin ? resin.set : parts[0]!.settings;

/** How many ways of lying are drawn. */
const DRAWN_WAYS = 4;

/** Lays spares in layers, in one job, whenever the shape of one, or how one is to be printed, has changed. @param onBed the first leads. */
export function useLayers(onBed: readonly RequestedSpare[]) {
  const { repair, numbers } = useRepairContext();
  const solid = useSolidView();
  const { body } = onBed[0]!;
  const laying = body.laying ?? USUAL_PRINT_SETUP;
  const builds = onBed.map((one) => solid.bodies.find(({ bodyId }) => bodyId === one.body.id)?.build ?? null);
  const ready = builds.every((build) => build !== null);
  const buildKey = builds.join();
  const [state, setState] = useState<LayersState>({ kind: 'working', share: 0 });
  const [ways, setWays] = useState<DrawnWay[]>([]);
  /** How each spare stood when it was last laid, by its id: what is put elsewhere is drawn before it is printed again. */
  const [stood, setStood] = useState<ReadonlyMap<string, PartPlacement>>(new Map());
  const [attempt, setAttempt] = useState(0);
  const request = sliceRequestOf(onBed, repair.head, numbers.workshop);
  const requestNow = useRef(request);
  requestNow.current = request;
  const key = JSON.stringify(request);
  /** Of which build of each spare the worker has the mesh. */
  const meshes = useRef(new Map<string, string>());
  const waysFor = useRef<string | null>(null);
  /** What the layers that are shown were printed for. */
  const laidFor = useRef<string | null>(null);
  const loadNow = useRef<Vec3 | null>(null);
  loadNow.current = laying.load ?? null;
  const loadKey = JSON.stringify(laying.load ?? null);

  useEffect(() => {
    if (!ready) return;
    let current = true;
    const show = (next: LayersState) => {
      if (current) setState(next);
    };
    const run = async () => {
      const worker = layerWorker();
      const meshKey = (at: number) => `${buildKey.split(',')[at]}:${repair.head.machineId}`;
      const wanted = `${buildKey} ${repair.head.machineId} ${key} ${attempt}`;
      const isLaid = laidFor.current === wanted;
      if (!isLaid) show({ kind: 'working', share: 0 });
      for (const [at, { bodyId }] of requestNow.current.parts.entries()) {
        if (meshes.current.get(bodyId) === meshKey(at)) continue;
        const fetched = await workbench.ask.layerMesh(bodyId);
        if (!current) return;
        if (!fetched.ok) return show({ kind: 'refused', sentence: sentenceOf(fetched.fault) });
        await worker.setMesh(bodyId, fetched.value);
        meshes.current.set(bodyId, meshKey(at));
        if (!current) return;
      }
      // Another load ranks the ways again; the layers stay as they are.
      const ranked = `${body.id} ${meshKey(0)} ${JSON.stringify(loadNow.current)}`;
      if (waysFor.current !== ranked) {
        waysFor.current = ranked;
        const { machine, resin } = requestNow.current;
        const overhang = (resin ?? machine).printer?.overhang ?? Math.PI / 4;
        const found = await worker.orientations(body.id, overhang, loadNow.current);
        // Ways whose pictures can't be drawn stand there with their reasons alone.
        drawnWays(body.id, found, (drawn) => waysFor.current === ranked && setWays(drawn)).catch(
          () => undefined,
        );
      }
      // A newer request may be printed by now, which laying for this one would end.
      if (isLaid || !current) return;
      laidFor.current = null;
      const reply = await sliceWithProgress(worker, requestNow.current, (share) =>
        show({ kind: 'working', share }),
      );
      if (!reply) return show({ kind: 'stopped' });
      if (reply.ok && current) {
        laidFor.current = wanted;
        setStood(
          new Map(requestNow.current.parts.map(({ bodyId }, at) => [bodyId, reply.value.placements[at]!])),
        );
      }
      show(
        reply.ok
          ? { kind: 'laid', reply: reply.value }
          : { kind: 'refused', sentence: sentenceOf(reply.fault) },
      );
    };
    run().catch((thrown: unknown) => {
      show({ kind: 'broken', fault: programFaultOf(thrown, 'the layers', new Date().toISOString()) });
    });
    return () => {
      current = false;
      void layerWorker().cancel();
    };
  }, [buildKey, ready, key, loadKey, attempt, body.id, repair.head.machineId]);

  useEffect(
    () => () => {
      void layerWorker().forget();
    },
    [],
  );

  const stop = useCallback(() => void layerWorker().cancel(), []);
  const again = useCallback(() => setAttempt((count) => count + 1), []);
  const placements = request.parts.flatMap(({ bodyId, name, at, pieces }): PartPlacement[] => {
    const placement = stood.get(bodyId);
    const places = at ? [...at] : placement?.at;
    return placement && places?.length === pieces ? [{ ...placement, name, at: places }] : [];
  });
  return {
    state,
    ways,
    laying,
    request,
    stop,
    again,
    ready,
    placements: placements.length === request.parts.length ? placements : [],
  };
}

async function drawnWays(
  bodyId: string,
  ways: Orientation[],
  show: (drawn: DrawnWay[]) => void,
): Promise<void> {
  const few = ways.slice(0, DRAWN_WAYS);
  show(few.map((way) => ({ way, picture: null })));
  const pictures = await workbench.ask.lyingPictures(
    bodyId,
    few.map(({ down }) => down),
  );
  show(few.map((way, index) => ({ way, picture: pictures[index] ?? null })));
}
