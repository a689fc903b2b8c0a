import type { SolidMesh } from '@core/shaping/part';

type Vec = readonly [number, number, number];
const dot = (a: Vec, b: Vec) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const minus = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const corner = (positions: Float32Array, index: number): Vec => [
  positions[3 * index]!,
  positions[3 * index + 1]!,
  positions[3 * index + 2]!,
];

/**
 * The first triangle that a ray meets, no further than `within`, and where its corners begin; by Möller and Trumbore,
 * 1997. The time grows with the number of triangles.
 */
export function slowFirstHit(
  { positions, indices }: SolidMesh,
  origin: Vec,
  way: Vec,
  within: number,
): { mm: number; at: number } | null {
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
  return found < 0 ? null : { mm: nearest, at: found };
}

/** A ring of round section as so many triangles, its sides in a grid: mm, about the upright axis. */
export function ringMesh(round: number, across: number, radius: number, thick: number): SolidMesh {
  const positions = new Float32Array(3 * round * across);
  const indices = new Uint32Array(6 * round * across);
  for (let i = 0; i < round; i += 1) {
    for (let j = 0; j < across; j += 1) {
      const [u, v] = [(2 * Math.PI * i) / round, (2 * Math.PI * j) / across];
      const away = radius + (thick / 2) * Math.cos(v);
      const at = i * across + j;
      positions.set([away * Math.cos(u), away * Math.sin(u), (thick / 2) * Math.sin(v)], 3 * at);
      const [next, up] = [((i + 1) % round) * across + j, i * across + ((j + 1) % across)];
      const both = ((i + 1) % round) * across + ((j + 1) % across);
      indices.set([at, next, both, at, both, up], 6 * at);
    }
  }
  return {
    positions,
    normals: new Float32Array(positions.length),
    indices,
    faces: [{ start: 0, count: indices.length, tag: 'ring:wall' }],
    edges: new Float32Array(),
    edgeRuns: [],
  };
}
