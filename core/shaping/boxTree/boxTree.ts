import { BufferAttribute, BufferGeometry, DoubleSide, Ray, Vector3 } from 'three';
import { MeshBVH } from 'three-mesh-bvh';

import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';

const TREES = new WeakMap<WeldedMesh, MeshBVH>();

/**
 * A tree of boxes over the triangles of a mesh, made when it is first asked for: a ray that meets none of a box's sides meets none of
 * what is in it. The mesh stays as it is.
 */
function treeOf(mesh: WeldedMesh): MeshBVH {
  const known = TREES.get(mesh);
  if (known) return known;
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(mesh.positions, 3));
  geometry.setIndex(new BufferAttribute(mesh.indices, 1));
  // Indirect: triangles keep their places, by which their faces are known.
  const tree = new MeshBVH(geometry, { indirect: true });
  TREES.set(mesh, tree);
  return tree;
}

const ray = new Ray();

/**
 * The first triangle that a ray meets, no further than `within`, from either side, and where its corners begin in `indices`.
 *
 * @param direction a unit vector.
 */
export function firstHit(
  mesh: WeldedMesh,
  origin: readonly [number, number, number],
  direction: readonly [number, number, number],
  within: number,
): { mm: number; at: number } | null {
  ray.origin.set(...origin);
  ray.direction.set(...direction);
  const hit = treeOf(mesh).raycastFirst(ray, DoubleSide, 0, within);
  return hit && typeof hit.faceIndex === 'number' ? { mm: hit.distance, at: 3 * hit.faceIndex } : null;
}

const point = new Vector3();

/** The place of a mesh that is nearest to a point: how far it is, mm, where, and where its triangle's corners begin in `indices`. */
export interface Nearest {
  mm: number;
  place: Vec3;
  at: number;
}

/** The nearest place of a mesh to a point, within `within` mm; null if there is none. */
export function nearestTo(mesh: WeldedMesh, [x, y, z]: Vec3, within = Infinity): Nearest | null {
  const found = treeOf(mesh).closestPointToPoint(point.set(x, y, z), undefined, 0, within);
  if (!found) return null;
  return { mm: found.distance, place: found.point.toArray(), at: 3 * found.faceIndex };
}

/** The distance from a point to the nearest place of a mesh, mm. */
export function distanceTo(mesh: WeldedMesh, at: Vec3): number {
  return nearestTo(mesh, at)?.mm ?? Infinity;
}
