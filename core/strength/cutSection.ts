import type { Vec3, WeldedMesh } from '@core/part';

/** An upright plane of a part's own frame: square to one of its axes, at a place along it, mm. */
export interface AxisPlane {
  axis: 0 | 1 | 2;
  at: number;
}

/** A section cut out of a mesh: its edge as directed pieces, what it encloses to their left as seen against the axis. mm. */
export interface CutSection {
  /** x y of both ends of each piece, along the two axes after the plane's own. */
  edge: Float64Array;
  areaMm2: number;
  middle: readonly [number, number];
  /** Second moments about the middle: ∫ y² dA, ∫ x² dA, ∫ x y dA, mm⁴. */
  ixx: number;
  iyy: number;
  ixy: number;
  /** Pieces of material that the plane cuts through. */
  pieces: number;
}

/** Less is no material, mm². */
const NOTHING_MM2 = 1e-4;

/** The two axes of a plane, so that the three are right-handed. */
export const axesOf = (axis: 0 | 1 | 2): [0 | 1 | 2, 0 | 1 | 2] =>
  [[1, 2] as const, [2, 0] as const, [0, 1] as const][axis]!.slice() as [0 | 1 | 2, 0 | 1 | 2];

/**
 * Cuts a closed mesh by a plane and adds up area and moments along its edge (Green's theorem: of a piece from (a, b) to (c, d) with k = a d − c b,
 * A += k / 2, ∫ y dA += k (b + d) / 6, ∫ y² dA += k (b² + b d + d²) / 12, ∫ x y dA += k (2 a b + a d + c b + 2 c d) / 24). Null where it meets nothing.
 */
export function cutSection({ positions, indices }: WeldedMesh, { axis, at }: AxisPlane): CutSection | null {
  const [u, v] = axesOf(axis);
  const edge: number[] = [];
  const heights = new Float64Array(3);
  const corner = (index: number, along: number) => positions[3 * index + along]!;
  for (let first = 0; first < indices.length; first += 3) {
    for (let side = 0; side < 3; side += 1) heights[side] = corner(indices[first + side]!, axis) - at;
    // Most triangles lie on one side.
    if (heights[0]! < 0 === heights[1]! < 0 && heights[1]! < 0 === heights[2]! < 0) continue;
    const ends: number[] = [];
    let rises = false;
    for (let side = 0; side < 3; side += 1) {
      const from = indices[first + side]!;
      const to = indices[first + ((side + 1) % 3)]!;
      const [low, high] = [heights[side]!, heights[(side + 1) % 3]!];
      // Half-open, so that a plane through a corner meets two of the three sides.
      if (low < 0 === high < 0) continue;
      const share = low / (low - high);
      const place = [u, v].map((along) => {
        const begin = corner(from, along);
        return begin + share * (corner(to, along) - begin);
      });
      // Anticlockwise seen from outside, a side that rises through the plane is where the edge ends.
      if (ends.length === 0) rises = high >= 0;
      ends.push(...place);
    }
    if (ends.length !== 4) continue;
    const [x0, y0, x1, y1] = ends as [number, number, number, number];
    edge.push(...(rises ? [x1, y1, x0, y0] : [x0, y0, x1, y1]));
  }
  const section = momentsOf(edge);
  return section && { edge: new Float64Array(edge), ...section, pieces: piecesOf(edge) };
}

function momentsOf(edge: readonly number[]): Omit<CutSection, 'edge' | 'pieces'> | null {
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

/** How many outer edges there are: loops of pieces that hang together and enclose something to their left. */
function piecesOf(edge: readonly number[]): number {
  const key = (x: number, y: number) => `${Math.round(x / MEET_MM)} ${Math.round(y / MEET_MM)}`;
  const groups = new Map<string, string>();
  const rootOf = (of: string): string => {
    let root = of;
    while (groups.get(root) !== root) root = groups.get(root)!;
    groups.set(of, root);
    return root;
  };
  const keys: [string, string][] = [];
  for (let at = 0; at < edge.length; at += 4) {
    const ends = [key(edge[at]!, edge[at + 1]!), key(edge[at + 2]!, edge[at + 3]!)] as [string, string];
    for (const end of ends) if (!groups.has(end)) groups.set(end, end);
    groups.set(rootOf(ends[0]), rootOf(ends[1]));
    keys.push(ends);
  }
  const areas = new Map<string, number>();
  for (const [index, [end]] of keys.entries()) {
    const at = 4 * index;
    const k = edge[at]! * edge[at + 3]! - edge[at + 2]! * edge[at + 1]!;
    const root = rootOf(end);
    areas.set(root, (areas.get(root) ?? 0) + k / 2);
  }
  return [...areas.values()].filter((area) => area > NOTHING_MM2).length;
}

/** Ends of a section's edge in the part's frame, six numbers a piece. */
export function edgeInPart({ edge }: CutSection, { axis, at }: AxisPlane): Float32Array {
  const [u, v] = axesOf(axis);
  const segments = new Float32Array((edge.length / 2) * 3);
  for (let end = 0; end < edge.length / 2; end += 1) {
    segments[3 * end + axis] = at;
    segments[3 * end + u] = edge[2 * end]!;
    segments[3 * end + v] = edge[2 * end + 1]!;
  }
  return segments;
}

/** The middle of a section in the part's frame. */
export function middleInPart({ middle }: CutSection, { axis, at }: AxisPlane): Vec3 {
  const [u, v] = axesOf(axis);
  const place: [number, number, number] = [0, 0, 0];
  place[axis] = at;
  place[u] = middle[0];
  place[v] = middle[1];
  return place;
}
