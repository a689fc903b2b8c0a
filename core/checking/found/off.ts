import { nearestTo } from '@core/shaping/boxTree';
import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';

import { crossOf } from './samples';

/** How far a point lies out of a mesh, or (below 0) in it, mm. */
export function offOf(mesh: WeldedMesh, at: Vec3): number {
  const near = nearestTo(mesh, at)!;
  const out = crossOf(mesh.positions, mesh.indices, near.at);
  const side = at.reduce((sum, mm, axis) => sum + (mm - near.place[axis]!) * out[axis]!, 0);
  return side < 0 ? -near.mm : near.mm;
}
