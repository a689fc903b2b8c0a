import type { SolidMesh } from '@core/shaping/part';

import { along, cross, minus, type Vec3 } from '@core/foundations/vectors';
import { corner } from './rays';

/** Overhanging faces of the part as modelled, mm², and where most of it is. */
export interface Overhang {
  areaMm2: number;
  at: Vec3;
  tag: string;
}

/** Faces that look down more steeply than this from level can't be printed in mid-air: the sine of 45°, and a hair. */
const TOO_FLAT = Math.SQRT1_2 + 0.01;
/** What lies this near to the ground stands on it, mm. */
const GROUND_MM = 0.02;

/**
 * The faces that would be made in air; null if there are none.
 *
 * @param up 1 as the part stands, -1 turned over.
 */
export function overhangOf({ faces, positions, indices }: SolidMesh, up: 1 | -1 = 1): Overhang | null {
  let ground = Infinity;
  for (let at = 2; at < positions.length; at += 3) ground = Math.min(ground, up * positions[at]!);
  const found = faces.flatMap(({ start, count, tag }): Overhang[] => {
    let areaMm2 = 0;
    const moment: [number, number, number] = [0, 0, 0];
    for (let at = start; at < start + count; at += 3) {
      const [a, b, c] = [0, 1, 2].map((offset) => corner(positions, indices[at + offset]!)) as [
        Vec3,
        Vec3,
        Vec3,
      ];
      const normal = cross(minus(b, a), minus(c, a));
      const twice = Math.hypot(...normal);
      if (twice < 1e-12 || (up * normal[2]) / twice > -TOO_FLAT) continue;
      if (Math.max(up * a[2], up * b[2], up * c[2]) < ground + GROUND_MM) continue;
      areaMm2 += twice / 2;
      for (const axis of [0, 1, 2]) moment[axis]! += (twice / 6) * (a[axis]! + b[axis]! + c[axis]!);
    }
    if (areaMm2 === 0) return [];
    return [{ areaMm2, tag, at: along([0, 0, 0], moment, 1 / areaMm2) }];
  });
  if (found.length === 0) return null;
  const largest = found.reduce((best, next) => (next.areaMm2 > best.areaMm2 ? next : best));
  return { ...largest, areaMm2: found.reduce((sum, one) => sum + one.areaMm2, 0) };
}
