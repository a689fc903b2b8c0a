import type { Vec3 } from '@core/foundations/vectors';
import type { SolidMesh } from '@core/shaping/part';

/**
 * Hatches the flat faces of one plane at 45°, as ISO 128-3 shows cut faces, and adds up their area.
 *
 * Each triangle is crossed by the lines x' = k · step of a frame turned by 45°; lines of neighbouring
 * triangles meet because k counts from the origin. For step → 0 the total length of the lines is
 * area / step, which the test uses.
 *
 * @param plane two ways along the plane, square to each other; unit vectors.
 */
export function hatch(
  mesh: Pick<SolidMesh, 'positions' | 'indices'>,
  faces: readonly { start: number; count: number }[],
  { x, y }: { x: Vec3; y: Vec3 },
  stepMm: number,
): { hatching: Float32Array; cutAreaMm2: number } {
  const segments: number[] = [];
  let area = 0;
  for (const face of faces) {
    for (let at = face.start; at < face.start + face.count; at += 3) {
      const corners = [0, 1, 2].map((offset) => {
        const index = 3 * mesh.indices[at + offset]!;
        return mesh.positions.subarray(index, index + 3);
      });
      const [a, b, c] = corners as [Float32Array, Float32Array, Float32Array];
      const [one, other] = [b, c].map((corner) => corner.map((mm, axis) => mm - a[axis]!)) as [
        Float32Array,
        Float32Array,
      ];
      area += Math.abs(along(one, x) * along(other, y) - along(one, y) * along(other, x)) / 2;
      hatchTriangle(corners as [Float32Array, Float32Array, Float32Array], x, y, stepMm, segments);
    }
  }
  return { hatching: new Float32Array(segments), cutAreaMm2: area };
}

const along = (point: Float32Array, direction: Vec3) =>
  point[0]! * direction[0] + point[1]! * direction[1] + point[2]! * direction[2];

/** Appends the pieces of the hatch lines inside one triangle. */
function hatchTriangle(
  corners: readonly [Float32Array, Float32Array, Float32Array],
  x: Vec3,
  y: Vec3,
  stepMm: number,
  segments: number[],
): void {
  // Distance of each corner from the hatch line through the origin.
  const across = corners.map((corner) => (along(corner, x) - along(corner, y)) * Math.SQRT1_2);
  const first = Math.ceil(Math.min(...across) / stepMm);
  const last = Math.floor(Math.max(...across) / stepMm);
  for (let line = first; line <= last; line += 1) {
    const ends: number[][] = [];
    for (let side = 0; side < 3; side += 1) {
      const [from, to] = [corners[side]!, corners[(side + 1) % 3]!];
      const [start, end] = [across[side]! - line * stepMm, across[(side + 1) % 3]! - line * stepMm];
      // Half-open, so that a line through a corner is found on one of its two sides only.
      if (start < 0 === end < 0) continue;
      const share = start / (start - end);
      ends.push([0, 1, 2].map((k) => from[k]! + share * (to[k]! - from[k]!)));
    }
    if (ends.length === 2) segments.push(...ends[0]!, ...ends[1]!);
  }
}
