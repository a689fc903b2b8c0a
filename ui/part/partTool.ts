import { create } from 'zustand';

import type { CautionPlace } from '@core/checking/inspect';
import type { Vec3 } from '@core/foundations/vectors';
import type { Motion, Picked } from '@core/shaping/part';
import type { PickWanted } from '@core/shaping/sentence';

import type { PickedOn } from '../solid/protocol';
import type { Pickable } from './pickOnMesh';

/** Something is being picked for a step, on its body as it was before the step. */
export interface PickJob {
  /** The body that is picked on. */
  bodyId: string;
  /** The body whose step it is for. */
  forBody: string;
  stepId: string;
  /** Steps before it that are built. */
  steps: number;
  want: PickWanted;
  /** What is picked for, in words. */
  what: string;
}

/** A place on a body, and what is to be said of it. */
export interface Pointing {
  bodyId: string;
  where: CautionPlace;
  words: string;
  /** The body is shown where a motion takes it. */
  moved?: { motion: Motion; far: number } | undefined;
}

interface PartTool {
  job: PickJob | null;
  /** What has been picked so far, for a step or to be measured. */
  picked: PickedOn[];
  measuring: boolean;
  /** The part is shown as it was after a number of its built steps. */
  stage: { bodyId: string; steps: number } | null;
  /** Segments and points to be shown on the part, mm: edges that a rule catches, the ends of a distance. */
  shown: Float32Array | null;
  points: readonly Vec3[];
  /** Something is pointed at, and said in words: it is marked for as long, whatever else is shown. */
  pointing: Pointing | null;
  /** A face that was tapped while nothing else was done: what can be done there is offered. */
  touched: PickedOn | null;
  beginPick(job: PickJob): void;
  setPicked(picked: PickedOn[]): void;
  setMeasuring(on: boolean): void;
  setStage(stage: PartTool['stage']): void;
  show(segments: Float32Array | null, points?: readonly Vec3[]): void;
  pointAt(pointing: Pointing): void;
  touch(face: PickedOn | null): void;
  end(): void;
}

const NOTHING = {
  job: null,
  picked: [],
  measuring: false,
  stage: null,
  shown: null,
  points: [],
  pointing: null,
  touched: null,
};

/** What is being done with the part besides looking at it. One for the app: there is one part view. */
export const usePartTool = create<PartTool>((set) => ({
  ...NOTHING,
  beginPick: (job) => set({ ...NOTHING, job, stage: { bodyId: job.bodyId, steps: job.steps } }),
  setPicked: (picked) => set({ picked }),
  setMeasuring: (measuring) => set({ ...NOTHING, measuring }),
  setStage: (stage) => set({ ...NOTHING, stage }),
  show: (shown, points = []) => set({ shown, points }),
  touch: (touched) => set({ ...NOTHING, touched }),
  pointAt: (pointing) => set({ ...NOTHING, pointing }),
  end: () => set(NOTHING),
}));

/** Kinds of things that a tap may take. */
export function pickableFor({ picks }: PickWanted): Pickable[] {
  return picks === 'edges' ? ['edge'] : ['face'];
}

/** A place where the outline stands that was taken. */
const STAYS = {
  x: { from: 'number', mm: 0 },
  y: { from: 'number', mm: 0 },
  xFrom: 'there',
  yFrom: 'there',
} as const;

/** How a pick changes its step, by the path of what it sets. */
export function patchOfPicks(
  { want, bodyId, forBody }: PickJob,
  picked: readonly PickedOn[],
): Record<string, unknown> | null {
  const faces = picked.flatMap(({ picked: one }) =>
    one.kind === 'face' ? [{ tag: one.tag, near: rounded(one.near) }] : [],
  );
  const edges = picked.flatMap(({ picked: one }) =>
    one.kind === 'edge' ? [{ tags: one.tags, near: rounded(one.near) }] : [],
  );
  switch (want.picks) {
    case 'ground':
      // A place that was measured from elsewhere begins anew in the middle of the face.
      return faces[0]
        ? {
            on: { face: faces[0] },
            x: { from: 'number', mm: 0 },
            y: { from: 'number', mm: 0 },
            xFrom: undefined,
            yFrom: undefined,
          }
        : null;
    case 'rim':
      return faces[0] ? { [want.field]: { edges: 'face', face: faces[0] } } : null;
    case 'outline':
      return faces[0]
        ? {
            [want.field]: {
              shape: 'offset',
              of: { face: faces[0], ...(bodyId === forBody ? {} : { body: bodyId }) },
              by: { from: 'number', mm: 0 },
            },
            ...(want.stays ? STAYS : {}),
          }
        : null;
    case 'face':
      return faces[0] ? { [want.field]: faces[0] } : null;
    case 'faces':
      return faces.length > 0 ? { [want.field]: faces } : null;
    case 'edges':
      return edges.length > 0 ? { [want.field]: { edges: 'picked', picks: edges } } : null;
  }
}

/** To a thousandth of a millimetre: where it was tapped only breaks ties. */
const rounded = (near: Picked['near']): [number, number, number] =>
  near.map((mm) => Math.round(mm * 1000) / 1000) as [number, number, number];

/** Taps on one edge that are nearer than this are taps on the same place of it, mm. */
const SAME_EDGE_MM = 3;

export const samePick = (a: PickedOn, b: PickedOn): boolean =>
  a.bodyId === b.bodyId &&
  a.picked.kind === b.picked.kind &&
  (a.picked.kind === 'face' && b.picked.kind === 'face'
    ? a.picked.tag === b.picked.tag
    : a.picked.kind === 'edge' &&
      b.picked.kind === 'edge' &&
      a.picked.tags.join() === b.picked.tags.join() &&
      Math.hypot(...a.picked.near.map((mm, axis) => mm - b.picked.near[axis]!)) < SAME_EDGE_MM);
