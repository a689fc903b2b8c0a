import { cross, type Vec3 } from '@core/foundations/vectors';
import type { SettledOutline } from '@core/record/model';
import { toWorld, wayToWorld, type Frame, type OutlineNumbers } from '@core/shaping/part';

import type { StepNumbers } from './stepKind';

/** The plane of an outline in space: where it begins, to its right, and up in it. */
export interface OutlinePlane {
  frame: Frame;
  /** The outline is held at its own low (-1) or high (1) edge along the ways of its place, not where it begins. */
  flush: readonly [number, number];
  /** How far the outline's ways are turned against those of its place, radians. */
  turn: number;
}

/** Where a step holds a drawing whose place is known. */
export type DrawingField = 'outline' | 'path.drawn';

/** A drawing of a step, its numbers, and where it is. */
export interface PlacedDrawing {
  field: DrawingField;
  drawing: Extract<SettledOutline, { shape: 'drawn' }>;
  lengths: OutlineNumbers;
  plane: OutlinePlane;
}

/** The drawing of a step that has a place of its own; null where there is none, as between two outlines that a run goes through. */
export function drawingOf({ step, lengths, stand }: StepNumbers): PlacedDrawing | null {
  const { frame, at, level } = stand;
  const ways = (origin: Vec3, x: Vec3, y: Vec3): Frame => {
    const [right, up] = [wayToWorld(frame, x), wayToWorld(frame, y)];
    return { origin: toWorld(frame, origin), x: right, y: up, z: cross(right, up) };
  };
  const along = (turn: number): Vec3 => [Math.cos(turn), Math.sin(turn), 0];
  if (step.kind === 'extrude' && step.outline.shape === 'drawn') {
    const [x, y] = [along(step.turn), along(step.turn + Math.PI / 2)];
    const plane = { frame: ways([...at, level], x, y), flush: stand.flush, turn: step.turn };
    return { field: 'outline', drawing: step.outline, lengths: lengthsIn(lengths, 'outline'), plane };
  }
  if (step.kind === 'revolve' && step.outline.shape === 'drawn') {
    const { away, up } = lengths as Extract<StepNumbers, { kind: 'revolve' }>['lengths'];
    const out = along(step.turn);
    const middle: Vec3 = [at[0] + away.mm * out[0], at[1] + away.mm * out[1], level + up.mm];
    const plane: OutlinePlane = { frame: ways(middle, out, [0, 0, 1]), flush: [0, 0], turn: 0 };
    return { field: 'outline', drawing: step.outline, lengths: lengthsIn(lengths, 'outline'), plane };
  }
  if (step.kind === 'sweep' && !Array.isArray(step.path) && 'drawn' in step.path) {
    const { drawn, lies } = step.path;
    const [x, y] = PATH_WAYS[lies];
    const plane: OutlinePlane = { frame: ways([...at, level], x, y), flush: [0, 0], turn: 0 };
    return { field: 'path.drawn', drawing: drawn, lengths: lengthsIn(lengths, 'drawnPath'), plane };
  }
  return null;
}

/** How a drawn path lies in its place: what is to its right and up on the board. */
const PATH_WAYS: Readonly<Record<'level' | 'right' | 'back', readonly [Vec3, Vec3]>> = {
  level: [
    [1, 0, 0],
    [0, 1, 0],
  ],
  right: [
    [1, 0, 0],
    [0, 0, 1],
  ],
  back: [
    [0, 1, 0],
    [0, 0, 1],
  ],
};

/** A place of a drawn path along the axes of the step's place, from where that begins, mm. */
export function onPath(lies: 'level' | 'right' | 'back', [x, y]: readonly [number, number]): Vec3 {
  const [right, up] = PATH_WAYS[lies];
  return [0, 1, 2].map((axis) => x * right[axis]! + y * up[axis]!) as [number, number, number];
}

const lengthsIn = (lengths: StepNumbers['lengths'], key: 'outline' | 'drawnPath'): OutlineNumbers =>
  (lengths as Partial<Record<'outline' | 'drawnPath', OutlineNumbers>>)[key] ?? {};
