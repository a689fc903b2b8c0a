import type { FaceTag, SolidMesh } from '@core/solid';

/** The thinnest wall that was found: how thick, mm, where, and the face it was looked through. */
export interface ThinWall {
  mm: number;
  at: [number, number, number];
  tag: FaceTag;
}

/** Triangles that are looked through: enough to meet every face of a usual part. */
const SAMPLES = 600;
/** How squarely the far side must face the near one to make a wall with it: the cosine of the angle between them. */
const FACING = 0.7;
/** A ray starts this far inside, so that it does not meet its own triangle, mm. */
const INSIDE_MM = 1e-3;

/**
 * The thinnest wall of a mesh: from the middles of its triangles, square into the material, to the far side. Where two
 * faces meet at an edge there is no wall, however near they are, so the far side must look the other way.
 *
 * Rays against triangles by Möller and Trumbore, 1997. The time grows with samples times triangles.
 */
export function thinnestWall(mesh: SolidMesh): ThinWall | null {
  const { positions, indices } = mesh;
  const count = indices.length / 3;
  const stride = Math.max(1, Math.floor(count / SAMPLES));
  let best: ThinWall | null = null;
  for (const face of mesh.faces) {
    // Every face is looked through at least once.
    for (let at = face.start; at < face.start + face.count; at += 3 * stride) {
      const near = triangle(positions, indices, at);
      if (!near) continue;
      const origin = near.middle.map((mm, axis) => mm - INSIDE_MM * near.normal[axis]!) as Vec;
      const way = near.normal.map((part) => -part) as Vec;
      const hit = nearestHit(mesh, origin, way, best ? best.mm : Infinity);
      if (!hit || dot(hit.normal, near.normal) > -FACING) continue;
      best = { mm: hit.mm + INSIDE_MM, at: near.middle, tag: face.tag };
    }
  }
  return best;
}

type Vec = [number, number, number];
const dot = (a: Vec, b: Vec) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

function corner(positions: Float32Array, index: number): Vec {
  return [positions[3 * index]!, positions[3 * index + 1]!, positions[3 * index + 2]!];
}
const minus = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];

function triangle(positions: Float32Array, indices: Uint32Array, at: number) {
  const [a, b, c] = [0, 1, 2].map((offset) => corner(positions, indices[at + offset]!)) as [Vec, Vec, Vec];
  const normal = cross(minus(b, a), minus(c, a));
  const length = Math.hypot(...normal);
  if (length < 1e-12) return null;
  return {
    middle: [0, 1, 2].map((axis) => (a[axis]! + b[axis]! + c[axis]!) / 3) as Vec,
    normal: normal.map((part) => part / length) as Vec,
  };
}

/** The first triangle that a ray meets, no further than `within`. */
function nearestHit(
  { positions, indices }: SolidMesh,
  origin: Vec,
  way: Vec,
  within: number,
): { mm: number; normal: Vec } | null {
  let nearest = within;
  let found = -1;
  for (let at = 0; at < indices.length; at += 3) {
    const a = corner(positions, indices[at]!);
    const e1 = minus(corner(positions, indices[at + 1]!), a);
    const e2 = minus(corner(positions, indices[at + 2]!), a);
    const p = cross(way, e2);
    const determinant = dot(e1, p);
    if (Math.abs(determinant) < 1e-12) continue;
    const t = minus(origin, a);
    const u = dot(t, p) / determinant;
    if (u < 0 || u > 1) continue;
    const q = cross(t, e1);
    const v = dot(way, q) / determinant;
    if (v < 0 || u + v > 1) continue;
    const mm = dot(e2, q) / determinant;
    if (mm > 0 && mm < nearest) {
      nearest = mm;
      found = at;
    }
  }
  const hit = found < 0 ? null : triangle(positions, indices, found);
  return hit ? { mm: nearest, normal: hit.normal } : null;
}
