import type { SolidMesh } from '@core/shaping/part';

import { along, cross, minus, type Vec3 } from '@core/foundations/vectors';
import { corner } from './rays';

/** A face so narrow that nothing can make it. Lengths in mm. */
export interface Sliver {
  tag: string;
  at: Vec3;
  /** About how wide it is: its area over its greatest reach. */
  breadthMm: number;
}

/** Faces narrower than this are slivers, mm, if they are at least so many times as long. */
const NARROW_MM = 0.03;
const LONGER = 10;
/** Narrower ones than this are no misfit of anybody's but the seam of a full round, mm. */
const SEAM_MM = 1e-4;

/** The sliver faces of a mesh, which mostly come from edges that miss each other by a hair. */
export function sliversOf(mesh: SolidMesh): Sliver[] {
  return mesh.faces.flatMap(({ start, count, tag }): Sliver[] => {
    let area = 0;
    const low: [number, number, number] = [Infinity, Infinity, Infinity];
    const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
    for (let at = start; at < start + count; at += 3) {
      const corners = [0, 1, 2].map((offset) => corner(mesh.positions, mesh.indices[at + offset]!)) as [
        Vec3,
        Vec3,
        Vec3,
      ];
      area += Math.hypot(...cross(minus(corners[1], corners[0]), minus(corners[2], corners[0]))) / 2;
      for (const point of corners) {
        for (const axis of [0, 1, 2]) {
          low[axis] = Math.min(low[axis]!, point[axis]!);
          high[axis] = Math.max(high[axis]!, point[axis]!);
        }
      }
    }
    const reach = Math.hypot(...minus(high, low));
    const breadthMm = reach > 0 ? area / reach : 0;
    if (reach === 0 || breadthMm < SEAM_MM || breadthMm >= NARROW_MM || reach < LONGER * breadthMm) return [];
    return [{ tag, breadthMm, at: along([0, 0, 0], along(low, high, 1), 1 / 2) }];
  });
}
