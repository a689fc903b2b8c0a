import { Vector3, type Matrix4 } from 'three';

import { nearestTo } from '@core/boxTree';
import type { Vec3, WeldedMesh } from '@core/part';

import { crossOf, samplesOf } from './samples';

/** How a found piece differs from the spare that it is laid over. Outside the spare counts up, inside down; mm. */
export interface Deviation {
  /** Of points spread evenly over the found piece, in order of size. */
  offs: Float64Array;
  /** Where it reaches furthest out of the spare, and furthest into it; null where it does neither. */
  furthestOut: { mm: number; at: Vec3 } | null;
  furthestIn: { mm: number; at: Vec3 } | null;
  /** How far points spread evenly over the spare are from the found piece, in order of size; 0 for what lies under its surface. */
  fromSpare: Float64Array;
}

/** Points on each of both. */
const POINTS = 12_000;

/**
 * Compares a found piece, as it is laid, with the spare. On which side of a face a point lies goes by the face that is nearest to it; beside a
 * corner at which a wall both goes out and comes in that may be the wrong one, by no more than the point is away.
 *
 * @param found in the spare's place, mm.
 */
export function deviationOf(found: WeldedMesh, spare: WeldedMesh): Deviation {
  const { points } = samplesOf(found, POINTS);
  const offs = new Float64Array(POINTS);
  let furthestOut: Deviation['furthestOut'] = null;
  let furthestIn: Deviation['furthestIn'] = null;
  const meet = (at: Vec3, mm: number) => {
    if (mm > (furthestOut?.mm ?? 0)) furthestOut = { mm, at };
    if (mm < -(furthestIn?.mm ?? 0)) furthestIn = { mm: -mm, at };
  };
  for (let sample = 0; sample < POINTS; sample += 1) {
    const at = [points[3 * sample]!, points[3 * sample + 1]!, points[3 * sample + 2]!] as const;
    offs[sample] = offOf(spare, at);
    meet(at, offs[sample]!);
  }
  // What is furthest is a corner: of a mesh with few triangles no point may lie near it.
  for (let corner = 0; corner < found.positions.length; corner += 3) {
    const at = [
      found.positions[corner]!,
      found.positions[corner + 1]!,
      found.positions[corner + 2]!,
    ] as const;
    meet(at, offOf(spare, at));
  }
  const own = samplesOf(spare, POINTS).points;
  const fromSpare = Float64Array.from({ length: POINTS }, (_, sample) => {
    const at = [own[3 * sample]!, own[3 * sample + 1]!, own[3 * sample + 2]!] as const;
    return gapTo(found, at);
  });
  return { offs: offs.sort(), furthestOut, furthestIn, fromSpare: fromSpare.sort() };
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

/** How far a point lies out of a mesh, or (below 0) in it, mm. */
export function offOf(mesh: WeldedMesh, at: Vec3): number {
  const near = nearestTo(mesh, at)!;
  const out = crossOf(mesh.positions, mesh.indices, near.at);
  const side = at.reduce((sum, mm, axis) => sum + (mm - near.place[axis]!) * out[axis]!, 0);
  return side < 0 ? -near.mm : near.mm;
}

/** A mesh in mm, where it is laid. */
export function meshLaid({ positions, indices }: WeldedMesh, unitMm: number, place: Matrix4): WeldedMesh {
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
