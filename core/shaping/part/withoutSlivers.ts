import type { WeldedMesh } from './weld';

/** Lower triangles than this are slivers, mm: a thousandth of what anything is made to. */
export const SLIVER_MM = 1e-4;
/** Rounds after which what is left is left. */
const ROUNDS = 8;

/**
 * A closed mesh without triangles that are next to lines. Such a one has a corner on its longest side: it and its neighbour there are divided
 * the other way (Dyer, Zhang & Möller's edge flip, "Delaunay mesh construction", SGP 2007), which moves no corner and opens nothing. The surface
 * changes by less than the sliver was high. Needles with two corners in one place are welded before.
 */
export function withoutSlivers(mesh: WeldedMesh): WeldedMesh {
  const { positions } = mesh;
  const indices = mesh.indices.slice();
  let slivers = sliversIn(positions, indices);
  if (slivers.length === 0) return mesh;
  const corners = positions.length / 3;
  const keyOf = (from: number, to: number) => from * corners + to;
  /** The triangle on the left of each edge, by where it begins among the indices. */
  const leftOf = new Map<number, number>();
  const enter = (at: number) => {
    for (let side = 0; side < 3; side += 1)
      leftOf.set(keyOf(indices[at + side]!, indices[at + ((side + 1) % 3)]!), at);
  };
  for (let at = 0; at < indices.length; at += 3) enter(at);
  for (let round = 0; round < ROUNDS && slivers.length > 0; round += 1) {
    for (const at of slivers) {
      const side = longestSide(positions, indices, at);
      const [a, b, c] = [0, 1, 2].map((step) => indices[at + ((side + step) % 3)]!) as [
        number,
        number,
        number,
      ];
      const beside = leftOf.get(keyOf(b, a));
      if (beside === undefined) continue;
      const d = [0, 1, 2]
        .map((step) => indices[beside + step]!)
        .find((corner) => corner !== a && corner !== b)!;
      // They have that edge already: two flaps that lie on each other.
      if (leftOf.has(keyOf(c, d)) || leftOf.has(keyOf(d, c))) continue;
      leftOf.delete(keyOf(a, b));
      leftOf.delete(keyOf(b, a));
      indices.set([a, d, c], at);
      indices.set([d, b, c], beside);
      enter(at);
      enter(beside);
    }
    slivers = sliversIn(positions, indices);
  }
  return { positions, indices };
}

/** Where the triangles begin that are lower than a sliver may be. */
export function sliversIn(positions: Float32Array, indices: Uint32Array): number[] {
  const slivers: number[] = [];
  for (let at = 0; at < indices.length; at += 3) {
    const side = longestSide(positions, indices, at);
    const [a, b, c] = [0, 1, 2].map((step) => 3 * indices[at + ((side + step) % 3)]!) as [
      number,
      number,
      number,
    ];
    const [ux, uy, uz] = [0, 1, 2].map((axis) => positions[b + axis]! - positions[a + axis]!) as Three;
    const [vx, vy, vz] = [0, 1, 2].map((axis) => positions[c + axis]! - positions[a + axis]!) as Three;
    const twice = Math.hypot(uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx);
    if (twice < SLIVER_MM * Math.hypot(ux, uy, uz)) slivers.push(at);
  }
  return slivers;
}

type Three = [number, number, number];

function longestSide(positions: Float32Array, indices: Uint32Array, at: number): number {
  const lengthOf = (side: number) => {
    const [a, b] = [3 * indices[at + side]!, 3 * indices[at + ((side + 1) % 3)]!];
    return Math.hypot(
      positions[b]! - positions[a]!,
      positions[b + 1]! - positions[a + 1]!,
      positions[b + 2]! - positions[a + 2]!,
    );
  };
  const [first, second, third] = [lengthOf(0), lengthOf(1), lengthOf(2)];
  if (first >= second && first >= third) return 0;
  return second >= third ? 1 : 2;
}
