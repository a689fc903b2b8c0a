import type { FaceTag, SolidMesh } from '@core/shaping/part';

import { along, cross, dot, minus, type Vec3 } from '@core/foundations/vectors';
import { firstHit } from '@core/shaping/boxTree';

export function corner(positions: Float32Array, index: number): Vec3 {
  return [positions[3 * index]!, positions[3 * index + 1]!, positions[3 * index + 2]!];
}

/** Middle and outward normal of the triangle whose corners begin at an index; null for one without area. */
export function triangle(positions: Float32Array, indices: Uint32Array, at: number) {
  const [a, b, c] = [0, 1, 2].map((offset) => corner(positions, indices[at + offset]!)) as [Vec3, Vec3, Vec3];
  const normal = cross(minus(b, a), minus(c, a));
  const length = Math.hypot(...normal);
  if (length < 1e-12) return null;
  return {
    middle: along([0, 0, 0], along(along(a, b, 1), c, 1), 1 / 3),
    normal: along([0, 0, 0], normal, 1 / length),
  };
}

/** What looks for the first triangle that a ray meets, no further than `within`, and where its corners begin. */
export type FindHit = (
  mesh: SolidMesh,
  origin: Vec3,
  way: Vec3,
  within: number,
) => { mm: number; at: number } | null;

/** A ray starts this far inside, so that it does not meet its own triangle, mm. */
const INSIDE_MM = 1e-3;
/** How squarely the far side must face the near one to make a wall with it: the cosine of the angle between them. */
const FACING = 0.7;

/** How thick the material is behind a triangle, square to it; null where it is not within `within`, or no wall. */
export function wallBehind(
  mesh: SolidMesh,
  at: number,
  within = Infinity,
  find: FindHit = firstHit,
): { mm: number; at: Vec3; behind: FaceTag } | null {
  const near = triangle(mesh.positions, mesh.indices, at);
  if (!near) return null;
  const origin = along(near.middle, near.normal, -INSIDE_MM);
  const way = along([0, 0, 0], near.normal, -1);
  const hit = find(mesh, origin, way, within);
  const far = hit && triangle(mesh.positions, mesh.indices, hit.at);
  if (!far || dot(far.normal, near.normal) > -FACING) return null;
  const behind = mesh.faces.find(({ start, count }) => hit.at >= start && hit.at < start + count)!.tag;
  return { mm: hit.mm + INSIDE_MM, at: near.middle, behind };
}
