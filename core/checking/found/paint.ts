import { Vector3 } from 'three';

import { joinedFloats } from '@core/foundations/floats';
import { hatch } from '@core/shaping/hatching';
import type { WeldedMesh } from '@core/shaping/part';

import { diagonalOf } from './foundMesh';
import { offOf } from './off';
import { middleOf } from './samples';

/** Triangles of a found piece that are small enough to be painted one by one, and how far each is off. */
export interface Painting {
  /** Three corners of three numbers a triangle, mm. */
  corners: Float32Array;
  /** Out of the spare up, into it down, mm. */
  offs: Float32Array;
}

/** A found piece as it is painted: what lies on the spare, what reaches out of it (hatched) and what stays within (cross-hatched). */
export interface Painted {
  on: Float32Array;
  out: Float32Array;
  within: Float32Array;
  /** Both ends of lines. */
  outHatching: Float32Array;
  withinHatching: Float32Array;
}

/** A triangle as long as this share of the whole is cut in two. */
const FINE_SHARE = 1 / 60;
const MOST_TRIANGLES = 60_000;
/** Between lines of a hatching, as a share of the whole. */
const HATCH_SHARE = 1 / 90;

/** Triangles between two words of how far it is. */
const TOLD_EVERY = 2000;

/**
 * Cuts a mesh into small triangles, and takes how far each of them is off at its middle.
 * @param found as it is laid.
 * @param onShare told how far it is, 0 to 1.
 */
export function paintingOf(
  found: WeldedMesh,
  spare: WeldedMesh,
  onShare: (share: number) => void = () => {},
): Painting {
  let fine = FINE_SHARE * diagonalOf(spare);
  let corners = cutFinely(found, fine);
  // Slivers and scans have more: they are cut less finely, all alike.
  while (!corners) corners = cutFinely(found, (fine *= 1.5));
  const offs = new Float32Array(corners.length / 9);
  for (let triangle = 0; triangle < offs.length; triangle += 1) {
    if (triangle % TOLD_EVERY === 0) onShare(triangle / offs.length);
    offs[triangle] = offOf(spare, middleOf(corners, triangle));
  }
  return { corners: new Float32Array(corners), offs };
}

/** Corners of triangles none of whose sides is longer than `fine` mm; null if they are too many. */
function cutFinely(found: WeldedMesh, fine: number): number[] | null {
  const corners: number[] = [];
  const most = 9 * Math.max(MOST_TRIANGLES, found.indices.length / 3);
  const cut = (a: Vector3, b: Vector3, c: Vector3): void => {
    const [ab, bc, ca] = [a.distanceTo(b), b.distanceTo(c), c.distanceTo(a)];
    const longest = Math.max(ab, bc, ca);
    if (longest <= fine || corners.length > most) {
      corners.push(a.x, a.y, a.z, b.x, b.y, b.z, c.x, c.y, c.z);
      return;
    }
    const [p, q, r] = longest === ab ? [a, b, c] : longest === bc ? [b, c, a] : [c, a, b];
    const middle = p.clone().add(q).multiplyScalar(0.5);
    cut(p, middle, r);
    cut(middle, q, r);
  };
  const corner = (at: number) => new Vector3().fromArray(found.positions, 3 * found.indices[at]!);
  for (let at = 0; at < found.indices.length; at += 3) cut(corner(at), corner(at + 1), corner(at + 2));
  return corners.length > most ? null : corners;
}

/** Sorts a painting by what counts as off, mm. */
export function painted({ corners, offs }: Painting, withinMm: number): Painted {
  const sorted = { on: [] as number[], out: [] as number[], within: [] as number[] };
  for (const [triangle, off] of offs.entries()) {
    const into = Math.abs(off) <= withinMm ? sorted.on : off > 0 ? sorted.out : sorted.within;
    for (let at = 9 * triangle; at < 9 * triangle + 9; at += 1) into.push(corners[at]!);
  }
  const step = HATCH_SHARE * diagonalOf({ positions: corners });
  const [on, out, within] = [sorted.on, sorted.out, sorted.within].map((list) => new Float32Array(list)) as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  return {
    on,
    out,
    within,
    outHatching: hatched(out, step, [SLANTED]),
    withinHatching: hatched(within, step, [SLANTED, COUNTER]),
  };
}

type Plane = Parameters<typeof hatch>[2];
/** Lines are where planes square to (x - y) cut the surface: slanted to each axis, so that no face of a part lies in one. */
const SLANTED: Plane = { x: [0.36, 0.48, 0.8], y: [0.8, -0.6, 0] };
const COUNTER: Plane = { x: [0.48, -0.36, 0.8], y: [-0.6, -0.8, 0] };

function hatched(positions: Float32Array, step: number, planes: readonly Plane[]): Float32Array {
  const indices = Uint32Array.from({ length: positions.length / 3 }, (_, corner) => corner);
  const faces = [{ start: 0, count: indices.length }];
  const lines = planes.map((plane) => hatch({ positions, indices }, faces, plane, step).hatching);
  return joinedFloats(lines);
}
