import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';

import { rotationDown } from './rotationDown';

/** Corners turned so that a direction lies straight down, and how far they go, mm. */
export interface RotatedDown {
  /** Nine numbers, row by row. */
  turn: number[];
  positions: Float32Array;
  low: Vec3;
  high: Vec3;
}

export function rotatedDown({ positions }: Pick<WeldedMesh, 'positions'>, down: Vec3): RotatedDown {
  const turn = rotationDown(down);
  const turned = new Float32Array(positions.length);
  const low: [number, number, number] = [Infinity, Infinity, Infinity];
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (let at = 0; at < positions.length; at += 3) {
    for (const axis of [0, 1, 2] as const) {
      const value =
        turn[3 * axis]! * positions[at]! +
        turn[3 * axis + 1]! * positions[at + 1]! +
        turn[3 * axis + 2]! * positions[at + 2]!;
      turned[at + axis] = value;
      low[axis] = Math.min(low[axis], value);
      high[axis] = Math.max(high[axis], value);
    }
  }
  return { turn, positions: turned, low, high };
}
