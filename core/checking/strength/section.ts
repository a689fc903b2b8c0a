import type { Vec3 } from '@core/foundations/vectors';
import { dot, minus } from '@core/foundations/vectors';

/** A flat section in its own plane, mm: three corners a triangle. */
export interface FlatSection {
  /** x and y of the corners, two numbers each. */
  points: readonly (readonly [x: number, y: number])[];
  /** Three a triangle, among the points. */
  triangles: readonly (readonly [number, number, number])[];
}

/** What a section has against being pulled, bent and twisted, about its own middle and axes of its plane. */
export interface SectionProperties {
  areaMm2: number;
  /** Middle of its area, mm. */
  middle: readonly [x: number, y: number];
  /** Second moments of area, mm⁴: ∫ y² dA, ∫ x² dA and ∫ x y dA about the middle. */
  ixx: number;
  iyy: number;
  ixy: number;
  /** Second moments about the principal axes, mm⁴, and the turn of the axis that has the larger one, radians. */
  largest: number;
  least: number;
  turn: number;
  /** How far it goes along x and y, mm. */
  breadth: number;
  height: number;
}

/**
 * Area, middle and second moments of a section. Of a triangle the second moments about the origin are A / 12 times the sums over its corners
 * and their middle (exact for quadratics); axes are then moved to the middle (Steiner) and turned to the principal ones (Mohr).
 *
 * @returns null of a section without area.
 */
export function sectionProperties({ points, triangles }: FlatSection): SectionProperties | null {
  let [area, sx, sy, sxx, syy, sxy] = [0, 0, 0, 0, 0, 0];
  for (const corners of triangles) {
    const [[ax, ay], [bx, by], [cx, cy]] = corners.map((corner) => points[corner]!) as [
      readonly [number, number],
      readonly [number, number],
      readonly [number, number],
    ];
    const own = Math.abs((bx - ax) * (cy - ay) - (by - ay) * (cx - ax)) / 2;
    const [mx, my] = [ax + bx + cx, ay + by + cy];
    area += own;
    sx += (own * mx) / 3;
    sy += (own * my) / 3;
    sxx += (own / 12) * (ax * ax + bx * bx + cx * cx + mx * mx);
    syy += (own / 12) * (ay * ay + by * by + cy * cy + my * my);
    sxy += (own / 12) * (ax * ay + bx * by + cx * cy + mx * my);
  }
  if (!(area > 0)) return null;
  const [x, y] = [sx / area, sy / area];
  const [ixx, iyy, ixy] = [syy - area * y * y, sxx - area * x * x, sxy - area * x * y];
  const [mean, half] = [(ixx + iyy) / 2, Math.hypot((ixx - iyy) / 2, ixy)];
  const reach = (axis: 0 | 1) => {
    const all = points.map((point) => point[axis]);
    return Math.max(...all) - Math.min(...all);
  };
  return {
    areaMm2: area,
    middle: [x, y],
    ixx,
    iyy,
    ixy,
    largest: mean + half,
    least: mean - half,
    turn: Math.atan2(-2 * ixy, ixx - iyy) / 2,
    breadth: reach(0),
    height: reach(1),
  };
}

/**
 * The section that some triangles of a mesh make in a plane.
 * @param faces runs of the mesh's indices that lie in the plane.
 * @param ways two ways along the plane, square to each other; unit vectors.
 */
export function sectionOfMesh(
  { positions, indices }: { positions: Float32Array; indices: Uint32Array },
  faces: readonly { start: number; count: number }[],
  origin: Vec3,
  { x, y }: { x: Vec3; y: Vec3 },
): FlatSection {
  const points: [number, number][] = [];
  const triangles: [number, number, number][] = [];
  for (const { start, count } of faces) {
    for (let at = start; at < start + count; at += 3) {
      const first = points.length;
      for (const offset of [0, 1, 2]) {
        const corner = 3 * indices[at + offset]!;
        const from = minus([positions[corner]!, positions[corner + 1]!, positions[corner + 2]!], origin);
        points.push([dot(from, x), dot(from, y)]);
      }
      triangles.push([first, first + 1, first + 2]);
    }
  }
  return { points, triangles };
}
