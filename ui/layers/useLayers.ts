import { useCallback, useEffect, useRef, useState } from 'react';

import {
  USUAL_LAYING,
  type Body,
  type Laying,
  type Picture,
  type RepairState,
  type Workshop,
} from '@core/model';
import type { Vec3 } from '@core/part';
import { settingsFor, type WayUp } from '@core/printing';
import { materialOf } from '@core/standards';
import { programFaultOf, sentenceOf, type ProgramFault } from '@core/wording';
import { filamentIn, layerPrinterIn, LAYER_PRINTERS, layerSetIn, machineIn } from '@core/workshop';

import { useRepairContext } from '../inRepair/useRepairContext';
import { useSolidView } from '../inRepair/useSolidView';
import { workbench } from '../solid/useSolid';
import { layerWorker } from './layerWorker';
import { layWithProgress } from './layWithProgress';
import type { LaidReply, LayWish } from './protocol';

/** A way to lay it, with its picture. */
export interface DrawnWay {
  way: WayUp;
  picture: Picture | null;
}

export type LayersState =
  | { kind: 'working'; share: number }
  | { kind: 'laid'; reply: LaidReply }
  | { kind: 'stopped' }
  | { kind: 'refused'; sentence: string }
  /** Nobody's input: told with a report. */
  | { kind: 'broken'; fault: ProgramFault };

/** How a body is laid on a machine of a workshop, as it is chosen for it. @param pieces how many at once. */
export function wishOf(laying: Laying, { head }: RepairState, workshop: Workshop, pieces: number): LayWish {
  const { id, name } = machineIn(workshop, head.machineId);
  const material = materialOf(head.materialId);
  const printer = layerPrinterIn(workshop, id);
  return {
    down: laying.down,
    machine: { id, name, printer },
    material: {
      id: material.id,
      name: material.name,
      density: material.density,
      filament: filamentIn(workshop, material.id),
    },
    // Where nobody said what the machine can do it is refused before it is laid.
    settings: settingsFor(layerSetIn(workshop, laying.settings), laying, printer ?? LAYER_PRINTERS[0]!),
    pieces,
  };
}

/** How many ways of lying are drawn. */
const DRAWN_WAYS = 4;

/** Lays a spare, or several pieces of it, in layers whenever its shape, or how it is to be laid, has changed. */
export function useLayers(body: Body, pieces = 1) {
  const { repair, numbers } = useRepairContext();
  const solid = useSolidView();
  const laying = body.laying ?? USUAL_LAYING;
  const shown = solid.bodies.find(({ bodyId }) => bodyId === body.id);
  const build = shown?.build ?? null;
  const [state, setState] = useState<LayersState>({ kind: 'working', share: 0 });
  const [ways, setWays] = useState<DrawnWay[]>([]);
  const [attempt, setAttempt] = useState(0);
  const wish = wishOf(laying, repair, numbers.workshop, pieces);
  const wishNow = useRef(wish);
  wishNow.current = wish;
  const key = JSON.stringify(wish);
  const meshOf = useRef<string | null>(null);
  const waysFor = useRef<string | null>(null);
  /** What the layers that are shown were laid for. */
  const laidFor = useRef<string | null>(null);
  const loadNow = useRef<Vec3 | null>(null);
  loadNow.current = laying.load ?? null;
  const loadKey = JSON.stringify(laying.load ?? null);

  useEffect(() => {
    if (build === null) return;
    let current = true;
    const show = (next: LayersState) => {
      if (current) setState(next);
    };
    const run = async () => {
      const worker = layerWorker();
      const mesh = `${body.id}:${build}:${repair.head.machineId}`;
      const wanted = `${mesh} ${key} ${attempt}`;
      const isLaid = laidFor.current === wanted;
      if (!isLaid) show({ kind: 'working', share: 0 });
      if (meshOf.current !== mesh) {
        const fetched = await workbench.ask.layerMesh(body.id);
        if (!current) return;
        if (!fetched.ok) return show({ kind: 'refused', sentence: sentenceOf(fetched.fault) });
        await worker.setMesh(fetched.value);
        meshOf.current = mesh;
        waysFor.current = null;
        if (!current) return;
      }
      // Another load ranks the ways anew; the layers stay as they are.
      const ranked = `${mesh} ${JSON.stringify(loadNow.current)}`;
      if (waysFor.current !== ranked) {
        waysFor.current = ranked;
        const overhang = wishNow.current.machine.printer?.overhang ?? Math.PI / 4;
        const found = await worker.waysUp(overhang, loadNow.current);
        // Ways whose pictures can't be drawn stand there with their reasons alone.
        drawnWays(body.id, found, (drawn) => waysFor.current === ranked && setWays(drawn)).catch(
          () => undefined,
        );
      }
      // A newer wish may be laid by now, which laying for this one would end.
      if (isLaid || !current) return;
      laidFor.current = null;
      const reply = await layWithProgress(worker, wishNow.current, (share) =>
        show({ kind: 'working', share }),
      );
      if (!reply) return show({ kind: 'stopped' });
      if (reply.ok && current) laidFor.current = wanted;
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
  }, [build, key, loadKey, attempt, body.id, repair.head.machineId]);

  const stop = useCallback(() => void layerWorker().cancel(), []);
  const again = useCallback(() => setAttempt((count) => count + 1), []);
  return { state, ways, laying, wish, stop, again, ready: build !== null };
}

async function drawnWays(bodyId: string, ways: WayUp[], show: (drawn: DrawnWay[]) => void): Promise<void> {
  const few = ways.slice(0, DRAWN_WAYS);
  show(few.map((way) => ({ way, picture: null })));
  const pictures = await workbench.ask.lyingPictures(
    bodyId,
    few.map(({ down }) => down),
  );
  show(few.map((way, index) => ({ way, picture: pictures[index] ?? null })));
}
