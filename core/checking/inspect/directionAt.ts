import { Line3, Triangle, Vector3 } from 'three';

import { unit, type Vec3 } from '@core/foundations/vectors';
import type { Picked, SolidMesh } from '@core/shaping/part';

/**
 * Which way something that was tapped points, of length 1: a face along its normal where it was tapped, out of the part; an edge along
 * itself there. Null for a corner, and for what the mesh has not.
 */
export function directionAt(mesh: SolidMesh, picked: Picked): Vec3 | null {
  if (picked.kind === 'corner') return null;
  const near = new Vector3(...picked.near);
  return picked.kind === 'face' ? normalAt(mesh, picked.tag, near) : alongEdge(mesh, picked.tags, near);
}

/** Of the triangle that is nearest. */
function normalAt(mesh: SolidMesh, tag: string, near: Vector3): Vec3 | null {
  const triangle = new Triangle();
  const closest = new Vector3();
  let [best, normal] = [Infinity, null as Vec3 | null];
  for (const face of mesh.faces.filter((one) => one.tag === tag)) {
    for (let at = face.start; at < face.start + face.count; at += 3) {
      triangle.set(...cornersAt(mesh, at));
      const far = triangle.closestPointToPoint(near, closest).distanceToSquared(near);
      // What has no area has no normal.
      if (far >= best || triangle.getArea() === 0) continue;
      best = far;
      normal = triangle.getNormal(new Vector3()).toArray();
    }
  }
  return normal;
}

const cornersAt = ({ indices, positions }: SolidMesh, at: number): [Vector3, Vector3, Vector3] =>
  [0, 1, 2].map((corner) => new Vector3().fromArray(positions, 3 * indices[at + corner]!)) as [
    Vector3,
    Vector3,
    Vector3,
  ];

/** Of the segment that is nearest. */
function alongEdge(mesh: SolidMesh, [a, b]: readonly [string, string], near: Vector3): Vec3 | null {
  const segment = new Line3();
  const closest = new Vector3();
  let [best, direction] = [Infinity, null as Vec3 | null];
  for (const { start, count, tags } of mesh.edgeRuns) {
    const isIt = (tags[0] === a && tags[1] === b) || (tags[0] === b && tags[1] === a);
    for (let index = start; isIt && index < start + count; index += 1) {
      segment.start.fromArray(mesh.edges, 6 * index);
      segment.end.fromArray(mesh.edges, 6 * index + 3);
      const far = segment.closestPointToPoint(near, true, closest).distanceToSquared(near);
      if (far >= best || segment.distance() === 0) continue;
      best = far;
      direction = unit(segment.delta(new Vector3()).toArray());
    }
  }
  return direction;
}
