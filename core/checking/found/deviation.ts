import { Vector3, type Matrix4 } from 'three';

import { nearestTo } from '@core/shaping/boxTree';
import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';

import { offOf } from './off';
import type { Painting } from './paint';
import { crossOf, middleOf, samplesOf } from './samples';
import { scaleOver } from './scale';

/** How a found piece differs from the spare that it is laid over. Outside the spare counts up, inside down; mm. */
export interface Deviation {
  /** Of points spread evenly over the found piece, in order of size. */
  offs: Float64Array;
  /** Where it reaches furthest out of the spare, and furthest into it; null where it does neither. */
  furthestOut: { mm: number; at: Vec3 } | null;
  furthestIn: { mm: number; at: Vec3 } | null;
  /** How far points spread evenly over the spare are from the found piece, in order of size; 0 for what lies under its surface. */
  fromSpare: Float64Array;
  /** By how much it is larger all over, as a share; null where no scale explains what is off. */
  scale: number | null;
}

/** Points on each of both. */
const POINTS = 12_000;

/**
 * Compares a found piece, as it is laid, with the spare. On which side of a face a point lies goes by the face that is nearest to it; beside a
 * corner at which a wall both goes out and comes in that may be the wrong one, by no more than the point is away.
 *
 * @param found in the spare's place, mm.
 * @param painting the same in small triangles, with how far each is off at its middle.
 */
export function deviationOf(found: WeldedMesh, spare: WeldedMesh, painting: Painting): Deviation {
  const own = samplesOf(spare, POINTS).points;
  const fromSpare = Float64Array.from({ length: POINTS }, (_, sample) =>
    gapTo(found, pointAt(own, 3 * sample)),
  );
  const offAt = rememberedOffs(spare);
  return {
    offs: offsOf(found, spare),
    furthestOut: furthest(painting, offAt, 1),
    furthestIn: furthest(painting, offAt, -1),
    fromSpare: fromSpare.sort(),
    scale: scaleOver(found, spare),
  };
}

/** How far points spread evenly over a found piece are out of the spare, in order of size. */
export function offsOf(found: WeldedMesh, spare: WeldedMesh): Float64Array {
  const { points } = samplesOf(found, POINTS);
  return Float64Array.from({ length: POINTS }, (_, sample) =>
    offOf(spare, pointAt(points, 3 * sample)),
  ).sort();
}

/**
 * The middle or corner of a triangle that is furthest out (1) or in (-1). Distances change by no more than one goes: a triangle whose middle is off by less than the
 * furthest yet, less its own reach, holds no corner that is further.
 */
function furthest(
  { corners, offs }: Painting,
  offAt: (at: Vec3) => number,
  way: 1 | -1,
): Deviation['furthestOut'] {
  const order = Uint32Array.from(offs.keys()).sort((a, b) => way * (offs[b]! - offs[a]!));
  const reach = longestSide(corners);
  const [first] = order;
  // Of a worn end both edges lie in faces of the spare: what is furthest in lies between them.
  const mostMm = first === undefined ? 0 : way * offs[first]!;
  let found = mostMm > 0 ? { mm: mostMm, at: middleOf(corners, first!) as Vec3 } : null;
  for (const triangle of order) {
    if (way * offs[triangle]! + reach <= (found?.mm ?? 0)) break;
    for (let corner = 0; corner < 3; corner += 1) {
      const at = pointAt(corners, 9 * triangle + 3 * corner);
      const mm = way * offAt(at);
      if (mm > (found?.mm ?? 0)) found = { mm, at };
    }
  }
  return found;
}

/** How far points are out of the spare, each looked at once: six triangles meet at a corner, and both ways ask for it. */
function rememberedOffs(spare: WeldedMesh): (at: Vec3) => number {
  const known = new Map<string, number>();
  return (at) => {
    const key = at.join();
    const before = known.get(key);
    if (before !== undefined) return before;
    const off = offOf(spare, at);
    known.set(key, off);
    return off;
  };
}

const pointAt = (points: Float64Array | Float32Array, at: number): Vec3 => [
  points[at]!,
  points[at + 1]!,
  points[at + 2]!,
];

/** The longest side of triangles: no corner is further from its middle. */
function longestSide(corners: Float32Array): number {
  let longest = 0;
  for (let at = 0; at < corners.length; at += 9) {
    const three = [0, 3, 6].map((corner) => pointAt(corners, at + corner)) as [Vec3, Vec3, Vec3];
    for (const [a, b] of [
      [0, 1],
      [1, 2],
      [2, 0],
    ] as const) {
      longest = Math.max(longest, Math.hypot(...three[a].map((mm, axis) => mm - three[b][axis]!)));
    }
  }
  return longest;
}

/** How far a point lies from a mesh that may be open, mm; 0 for what lies straight under one of its faces. */
function gapTo(mesh: WeldedMesh, at: Vec3): number {
  const { mm, place, at: triangle } = nearestTo(mesh, at)!;
  const out = crossOf(mesh.positions, mesh.indices, triangle);
  const side = at.reduce((sum, value, axis) => sum + (value - place[axis]!) * out[axis]!, 0);
  // Beside an open edge the way to it lies along its face.
  return side < -UNDER * mm * Math.hypot(...out) ? 0 : mm;
}

/** By the cosine between the way to a point and the way into a face. */
const UNDER = 0.5;

/** A mesh in mm, where it is laid. */
export function meshAligned({ positions, indices }: WeldedMesh, unitMm: number, place: Matrix4): WeldedMesh {
  const laid = new Float32Array(positions.length);
  const corner = new Vector3();
  for (let at = 0; at < positions.length; at += 3) {
    corner.fromArray(positions, at).multiplyScalar(unitMm).applyMatrix4(place).toArray(laid, at);
  }
  return { positions: laid, indices };
}

/** The share of sorted numbers whose size is within a limit. */
export const shareWithin = (sorted: Float64Array, limit: number): number =>
  sorted.reduce((count, mm) => count + (Math.abs(mm) <= limit ? 1 : 0), 0) / sorted.length;

/** What a share of sorted numbers stays below. */
export const quantile = (sorted: Float64Array, share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
