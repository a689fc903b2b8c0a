import type { WeldedMesh } from '@core/shaping/part';

/** Points on a mesh, spread evenly over its area, each with the way out of its triangle. x y z after each other, mm. */
export interface Samples {
  points: Float64Array;
  normals: Float64Array;
}

/**
 * Spreads points over a mesh by area, always the same ones: one in each equal share of the area, at a place of its triangle from the R2 sequence
 * (Roberts, "The unreasonable effectiveness of quasirandom sequences", 2018). Triangles without area get none.
 */
export function samplesOf({ positions, indices }: WeldedMesh, count: number): Samples {
  const upTo = areasUpTo({ positions, indices });
  const area = upTo.at(-1)!;
  const [points, normals] = [new Float64Array(3 * count), new Float64Array(3 * count)];
  let triangle = 0;
  for (let sample = 0; sample < count; sample += 1) {
    const wanted = ((sample + 0.5) / count) * area;
    while (triangle < upTo.length - 1 && upTo[triangle]! < wanted) triangle += 1;
    let [u, v] = [(0.5 + sample * 0.7548776662466927) % 1, (0.5 + sample * 0.5698402909980532) % 1];
    if (u + v > 1) [u, v] = [1 - u, 1 - v];
    const [a, b, c] = [0, 1, 2].map((side) => 3 * indices[3 * triangle + side]!) as [number, number, number];
    const normal = crossOf(positions, indices, 3 * triangle);
    const length = Math.hypot(...normal);
    for (let axis = 0; axis < 3; axis += 1) {
      const from = positions[a + axis]!;
      points[3 * sample + axis] =
        from + u * (positions[b + axis]! - from) + v * (positions[c + axis]! - from);
      normals[3 * sample + axis] = normal[axis]! / length;
    }
  }
  return { points, normals };
}

/** The middle of a triangle among triangles of nine numbers each. */
export const middleOf = (corners: ArrayLike<number>, triangle: number): [number, number, number] =>
  [0, 1, 2].map(
    (axis) =>
      (corners[9 * triangle + axis]! +
        corners[9 * triangle + 3 + axis]! +
        corners[9 * triangle + 6 + axis]!) /
      3,
  ) as [number, number, number];

/** The area of each triangle and all before it. */
export function areasUpTo({ positions, indices }: WeldedMesh): Float64Array {
  const upTo = new Float64Array(indices.length / 3);
  let area = 0;
  for (let at = 0; at < indices.length; at += 3) {
    area += Math.hypot(...crossOf(positions, indices, at)) / 2;
    upTo[at / 3] = area;
  }
  return upTo;
}

/** Twice the area of a triangle, along the way out of it. */
export function crossOf(positions: Float32Array, indices: Uint32Array, at: number): [number, number, number] {
  const [a, b, c] = [3 * indices[at]!, 3 * indices[at + 1]!, 3 * indices[at + 2]!];
  const [ux, uy, uz] = [0, 1, 2].map((axis) => positions[b + axis]! - positions[a + axis]!) as Three;
  const [vx, vy, vz] = [0, 1, 2].map((axis) => positions[c + axis]! - positions[a + axis]!) as Three;
  return [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
}

type Three = [number, number, number];
