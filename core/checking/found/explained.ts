import { type Matrix4, Vector3 } from 'three';

import { nearestTo } from '@core/shaping/boxTree';
import type { WeldedMesh } from '@core/shaping/part';

import { samplesOf } from './samples';

/** How well a place of a found piece in a spare explains both: shares from 0 to 1. */
export interface Explained {
  /** Of the found piece's surface, what lies on the spare's and faces as it does. */
  onSpare: number;
  /** Of the spare's surface that the found piece should have covered (it lies within what was found), what has it there. */
  covered: number;
  /** Both together. */
  both: number;
}

/** Below this share of both that is explained, it may as well lie elsewhere. */
export const SURE = 0.8;

/** Points of each surface. */
const POINTS = 700;
/** Faces agree that look no further apart than this, by the cosine: 45°. */
const ALIKE = 0.7;
/** The spare's points are looked for in a box of the found piece that is so much smaller than it, as a share of its reach: at a break nothing is expected. */
const MARGIN = 0.03;

/**
 * What a place explains **both ways**: a fragment that lies on a long face somewhere, or through a hole, has much of itself near the spare, but leaves what the spare has
 * there without anything beside it. What of the spare the piece should have covered is what lies deep within the box of the piece, along its own axes.
 *
 * @param withinMm so near is on it.
 */
export function explained(
  found: WeldedMesh,
  spare: WeldedMesh,
  place: Matrix4,
  facing: 1 | -1 | null,
  withinMm: number,
): Explained {
  const [own, other] = [samplesOf(found, POINTS), samplesOf(spare, POINTS)];
  const back = place.clone().invert();
  const onSpare = shareNear(own, spare, place, withinMm, facing);
  const inside = boxOf(own.points);
  const expected: number[] = [];
  const point = new Vector3();
  for (let at = 0; at < other.points.length; at += 3) {
    point.fromArray(other.points, at).applyMatrix4(back);
    if (inside(point)) expected.push(at);
  }
  const covered =
    expected.length < LEAST_EXPECTED
      ? onSpare
      : expected.filter((at) => {
          point.fromArray(other.points, at).applyMatrix4(back);
          return nearestTo(found, point.toArray())!.mm <= withinMm;
        }).length / expected.length;
  return { onSpare, covered, both: onSpare * Math.sqrt(covered) };
}

/** Of fewer points nothing is told. */
const LEAST_EXPECTED = 12;

function shareNear(
  { points, normals }: ReturnType<typeof samplesOf>,
  spare: WeldedMesh,
  place: Matrix4,
  withinMm: number,
  facing: 1 | -1 | null,
): number {
  const [point, normal, out] = [new Vector3(), new Vector3(), new Vector3()];
  let near = 0;
  for (let at = 0; at < points.length; at += 3) {
    point.fromArray(points, at).applyMatrix4(place);
    const found = nearestTo(spare, point.toArray())!;
    if (found.mm > withinMm) continue;
    normal.fromArray(normals, at).transformDirection(place);
    const { positions, indices } = spare;
    const corner = (side: number) => new Vector3().fromArray(positions, 3 * indices[found.at + side]!);
    const a = corner(0);
    out.crossVectors(corner(1).sub(a), corner(2).sub(a)).normalize();
    const cosine = normal.dot(out);
    if ((facing === null ? Math.abs(cosine) : facing * cosine) > ALIKE) near += 1;
  }
  return near / (points.length / 3);
}

function boxOf(points: Float64Array): (point: Vector3) => boolean {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let at = 0; at < points.length; at += 1) {
    low[at % 3] = Math.min(low[at % 3]!, points[at]!);
    high[at % 3] = Math.max(high[at % 3]!, points[at]!);
  }
  const margin = MARGIN * Math.hypot(...low.map((mm, axis) => high[axis]! - mm));
  return (point) =>
    point.toArray().every((mm, axis) => mm > low[axis]! + margin && mm < high[axis]! - margin);
}
