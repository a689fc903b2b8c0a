import earcut from 'earcut';

import { withEveryPoint } from './everyPoint';

/** Triangles miss an area by more than this share of it where a hole was lost. */
const LOST = 1e-6;

type Point = readonly [x: number, y: number];

/** A flat area in triangles. */
interface FlatTriangles {
  /** Which point of which loop each corner is. */
  corners: [loop: number, point: number][];
  /** Three a triangle, anticlockwise, counted among the corners. */
  indices: readonly number[];
}

/**
 * An area within the largest of some loops and outside the others, in triangles between the points of the loops, each of which is a corner.
 * Null where that does not fill it.
 */
export function flatArea(loops: readonly (readonly Point[])[]): FlatTriangles | null {
  const areas = loops.map(areaOf);
  const order = loops.map((_, index) => index).sort((a, b) => Math.abs(areas[b]!) - Math.abs(areas[a]!));
  const corners = order.flatMap((loop) => loops[loop]!.map((_, point): [number, number] => [loop, point]));
  const flat = corners.flatMap(([loop, point]) => [...loops[loop]![point]!]);
  const holes: number[] = [];
  /** The corners of each loop, the area to the left of its edges. */
  const rims: number[][] = [];
  let begins = 0;
  for (const [place, loop] of order.entries()) {
    const rim = loops[loop]!.map((_, point) => begins + point);
    if (place > 0) holes.push(begins);
    rims.push(areas[loop]! > 0 === (place === 0) ? rim : rim.reverse());
    begins += rim.length;
  }
  const found = earcut(flat, holes, 2);
  const area = order.reduce((rest, loop, place) => rest + Math.abs(areas[loop]!) * (place === 0 ? 1 : -1), 0);
  if (!(area > 0) || earcut.deviation(flat, holes, 2, found) > LOST) return null;
  const indices = withEveryPoint(flat, rims, isAnticlockwise(flat, found) ? found : found.reverse());
  return indices && { corners, indices };
}

/** By the shoelace formula, positive anticlockwise. */
function areaOf(loop: readonly Point[]): number {
  let twice = 0;
  for (const [index, [x, y]] of loop.entries()) {
    const [nextX, nextY] = loop[(index + 1) % loop.length]!;
    twice += x * nextY - nextX * y;
  }
  return twice / 2;
}

/** All triangles go the same way round. */
function isAnticlockwise(flat: readonly number[], indices: readonly number[]): boolean {
  let twice = 0;
  for (let at = 0; at < indices.length; at += 3) {
    const [a, b, c] = [2 * indices[at]!, 2 * indices[at + 1]!, 2 * indices[at + 2]!];
    const [ax, ay] = [flat[a]!, flat[a + 1]!];
    twice += (flat[b]! - ax) * (flat[c + 1]! - ay) - (flat[b + 1]! - ay) * (flat[c]! - ax);
  }
  return twice > 0;
}
