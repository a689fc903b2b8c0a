import type { Loop } from '@core/shaping/outline';
import { type Vec3, cross, dot, minus, rotated, unit } from '@core/foundations/vectors';

import type { PathPiece } from './swept';

/** A path that leaves its plane by less than this lies in it, mm. */
const FLAT_MM = 1e-6;

/** A turn below this is none, radians. */
const NO_TURN = 1e-6;

/** Whether an outline is a circle about its path: the same, however it is turned. */
export const isRoundAbout = (loop: Loop): boolean =>
  loop.length === 1 && loop[0]!.kind === 'circle' && Math.hypot(...loop[0]!.middle) < FLAT_MM;

/** Whether points lie in one plane. */
export function isFlat(points: readonly Vec3[]): boolean {
  const from = points[0]!;
  const off = points.map((point) => minus(point, from));
  const furthest = off.reduce((most, one) => (Math.hypot(...one) > Math.hypot(...most) ? one : most));
  const normal = off
    .map((one) => cross(furthest, one))
    .reduce((most, one) => (Math.hypot(...one) > Math.hypot(...most) ? one : most));
  const length = Math.hypot(...normal);
  return length === 0 || off.every((one) => Math.abs(dot(one, normal)) / length < FLAT_MM);
}

/** A closed path as two that go on from each other. A smooth one is halved at the middle of its parameter. */
export function halvesOf(path: readonly PathPiece[]): [PathPiece[], PathPiece[]] {
  const [only] = path;
  if (path.length === 1 && only?.kind === 'smooth') {
    return [[{ ...only, part: [0, 0.5] }], [{ ...only, part: [0.5, 1] }]];
  }
  const half = Math.ceil(path.length / 2);
  return [path.slice(0, half), path.slice(half)];
}

/**
 * By how much an outline that is carried once round a closed path, turned about it as little as can be, comes back turned, radians:
 * from corner to corner, where bends turn it as their corners would (parallel transport). 0 for a path in a plane.
 */
export function turnOnComingBack(points: readonly Vec3[]): number {
  const ways = points.map((at, index) => unit(minus(points[(index + 1) % points.length]!, at)));
  const first = ways[0]!;
  const right = unit(cross(Math.abs(first[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0], first));
  let carried = right;
  for (const [index, direction] of ways.entries()) {
    const next = ways[(index + 1) % ways.length]!;
    const axis = cross(direction, next);
    const sine = Math.hypot(...axis);
    if (sine > 1e-12) carried = rotated(carried, unit(axis), dot(direction, next), sine);
  }
  const turn = Math.atan2(dot(carried, cross(first, right)), dot(carried, right));
  return Math.abs(turn) < NO_TURN ? 0 : turn;
}
