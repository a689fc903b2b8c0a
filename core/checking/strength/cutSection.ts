import { along, cross, dot, minus, unit, type Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';

/** A plane with two directions in it, square to each other and to the normal, so that the three are right-handed. Unit vectors; mm. */
export interface SectionPlane {
  origin: Vec3;
  normal: Vec3;
  u: Vec3;
  v: Vec3;
}

/** A single piece of material that a plane cuts out of a mesh: its edge as directed sides, what it encloses to their left as seen against the normal. mm. */
export interface CutSection {
  /** u v of both ends of each side, from the plane's origin. */
  edge: Float64Array;
  areaMm2: number;
  middle: readonly [number, number];
  /** Second moments about the middle: ∫ v² dA, ∫ u² dA, ∫ u v dA, mm⁴. */
  ixx: number;
  iyy: number;
  ixy: number;
}

/** Less is no material, mm². */
const NOTHING_MM2 = 1e-4;

/** The plane through a place, square to a direction. */
export function planeThrough(origin: Vec3, towards: Vec3): SectionPlane {
  const normal = unit(towards);
  // The axis that is furthest from the normal.
  const least = [0, 1, 2].reduce(
    (best, axis) => (Math.abs(normal[axis]!) < Math.abs(normal[best]!) - 1e-12 ? axis : best),
    0,
  );
  const axis: Vec3 = [least === 0 ? 1 : 0, least === 1 ? 1 : 0, least === 2 ? 1 : 0];
  const raw = cross(axis, normal);
  const scale = Math.hypot(...raw);
  const u: Vec3 = [raw[0] / scale, raw[1] / scale, raw[2] / scale];
  return { origin, normal, u, v: cross(normal, u) };
}

/**
 * Cuts a closed mesh by a plane; each piece of material by itself, with the holes in it. Area and moments are added up along its edge (Green's theorem: of a side
 * from (a, b) to (c, d) with k = a d − c b, A += k / 2, ∫ y dA += k (b + d) / 6, ∫ y² dA += k (b² + b d + d²) / 12, ∫ x y dA += k (2 a b + a d + c b + 2 c d) / 24).
 */
export function cutSections(mesh: WeldedMesh, plane: SectionPlane): CutSection[] {
  const edge = edgesIn(mesh, plane);
  return pieces(edge).flatMap((sides) => {
    const moments = momentsOf(sides);
    return moments ? [{ edge: Float64Array.from(sides), ...moments }] : [];
  });
}

function edgesIn({ positions, indices }: WeldedMesh, { origin, normal, u, v }: SectionPlane): number[] {
  const count = positions.length / 3;
  const heights = new Float64Array(count);
  const base = dot(origin, normal);
  for (let corner = 0; corner < count; corner += 1) {
    heights[corner] =
      positions[3 * corner]! * normal[0] +
      positions[3 * corner + 1]! * normal[1] +
      positions[3 * corner + 2]! * normal[2] -
      base;
  }
  const [u0, v0] = [dot(origin, u), dot(origin, v)];
  const onPlane = (corner: number, axis: Vec3, from: number) =>
    positions[3 * corner]! * axis[0] +
    positions[3 * corner + 1]! * axis[1] +
    positions[3 * corner + 2]! * axis[2] -
    from;
  const edge: number[] = [];
  for (let first = 0; first < indices.length; first += 3) {
    const corners = [indices[first]!, indices[first + 1]!, indices[first + 2]!] as const;
    const below = corners.map((corner) => heights[corner]! < 0);
    // Most triangles lie on one side.
    if (below[0] === below[1] && below[1] === below[2]) continue;
    const ends: number[] = [];
    let rises = false;
    for (let side = 0; side < 3; side += 1) {
      const [from, to] = [corners[side]!, corners[(side + 1) % 3]!];
      const [low, high] = [heights[from]!, heights[to]!];
      // Half-open, so that a plane through a corner meets two of the three sides.
      if (low < 0 === high < 0) continue;
      const share = low / (low - high);
      // Anticlockwise seen from outside, a side that rises through the plane is where the edge ends.
      if (ends.length === 0) rises = high >= 0;
      const [fu, fv] = [onPlane(from, u, u0), onPlane(from, v, v0)];
      ends.push(fu + share * (onPlane(to, u, u0) - fu), fv + share * (onPlane(to, v, v0) - fv));
    }
    if (ends.length !== 4) continue;
    const [x0, y0, x1, y1] = ends as [number, number, number, number];
    edge.push(...(rises ? [x1, y1, x0, y0] : [x0, y0, x1, y1]));
  }
  return edge;
}

function momentsOf(edge: ArrayLike<number>): Omit<CutSection, 'edge'> | null {
  let [area, sx, sy, xx, yy, xy] = [0, 0, 0, 0, 0, 0];
  for (let at = 0; at < edge.length; at += 4) {
    const [a, b, c, d] = [edge[at]!, edge[at + 1]!, edge[at + 2]!, edge[at + 3]!];
    const k = a * d - c * b;
    area += k / 2;
    sx += (k * (a + c)) / 6;
    sy += (k * (b + d)) / 6;
    xx += (k * (a * a + a * c + c * c)) / 12;
    yy += (k * (b * b + b * d + d * d)) / 12;
    xy += (k * (2 * a * b + a * d + c * b + 2 * c * d)) / 24;
  }
  if (!(area > NOTHING_MM2)) return null;
  const [x, y] = [sx / area, sy / area];
  return {
    areaMm2: area,
    middle: [x, y],
    ixx: yy - area * y * y,
    iyy: xx - area * x * x,
    ixy: xy - area * x * y,
  };
}

/** Of what is one to three decimals: ends that meet differ by a rounding. */
const MEET_MM = 1e-3;

/** Sides that hang together, a loop each; loops that run the other way round are holes of the loop that holds them. */
function pieces(edge: readonly number[]): number[][] {
  const key = (x: number, y: number) => `${Math.round(x / MEET_MM)} ${Math.round(y / MEET_MM)}`;
  const parents = new Map<string, string>();
  const rootOf = (of: string): string => {
    let root = of;
    while (parents.get(root) !== root) root = parents.get(root)!;
    parents.set(of, root);
    return root;
  };
  const starts: string[] = [];
  for (let at = 0; at < edge.length; at += 4) {
    const ends = [key(edge[at]!, edge[at + 1]!), key(edge[at + 2]!, edge[at + 3]!)] as const;
    for (const end of ends) if (!parents.has(end)) parents.set(end, end);
    parents.set(rootOf(ends[0]), rootOf(ends[1]));
    starts.push(ends[0]);
  }
  const loops = new Map<string, number[]>();
  for (const [index, start] of starts.entries()) {
    const root = rootOf(start);
    const loop = loops.get(root) ?? [];
    loops.set(root, loop);
    for (let at = 4 * index; at < 4 * index + 4; at += 1) loop.push(edge[at]!);
  }
  const areaOf = (loop: readonly number[]) => {
    let area = 0;
    for (let at = 0; at < loop.length; at += 4)
      area += (loop[at]! * loop[at + 3]! - loop[at + 2]! * loop[at + 1]!) / 2;
    return area;
  };
  const all = [...loops.values()].map((sides) => ({ sides, area: areaOf(sides) }));
  const outer = all.filter(({ area }) => area > NOTHING_MM2).sort((a, b) => a.area - b.area);
  const whole = outer.map(({ sides }) => [...sides]);
  for (const { sides, area } of all) {
    if (area >= -NOTHING_MM2) continue;
    // The smallest that holds it.
    const holder = outer.findIndex((one) => isInside(one.sides, sides[0]!, sides[1]!));
    if (holder >= 0) for (const one of sides) whole[holder]!.push(one);
  }
  return whole;
}

/** Whether a place lies within an edge, by how often a line from it crosses that. */
export function isInside(edge: ArrayLike<number>, x: number, y: number): boolean {
  let inside = false;
  for (let at = 0; at < edge.length; at += 4) {
    const [a, b, c, d] = [edge[at]!, edge[at + 1]!, edge[at + 2]!, edge[at + 3]!];
    if (b > y !== d > y && x < ((c - a) * (y - b)) / (d - b) + a) inside = !inside;
  }
  return inside;
}

/** A place of a plane in the part's frame, mm. */
export const inPart = ({ origin, u, v }: SectionPlane, [x, y]: readonly [number, number]): Vec3 =>
  along(along(origin, u, x), v, y);

/** A place of the part in the plane's own two directions, mm. */
export function inPlane({ origin, u, v }: SectionPlane, place: Vec3): [number, number] {
  const from = minus(place, origin);
  return [dot(from, u), dot(from, v)];
}

/** Ends of a section's edge in the part's frame, six numbers a side. */
export function edgeInPart({ edge }: CutSection, plane: SectionPlane): Float32Array {
  const segments = new Float32Array((edge.length / 2) * 3);
  for (let end = 0; end < edge.length / 2; end += 1) {
    segments.set(inPart(plane, [edge[2 * end]!, edge[2 * end + 1]!]), 3 * end);
  }
  return segments;
}
