import type { LayerPath, PathKind } from '@core/slice';

/** How far a line may come to lie from where it was, mm: outlines stay within 0.01 of the part; what is inside may wander more. */
const WITHIN_MM: Record<PathKind, number> = {
  outerWall: 0.004,
  innerWall: 0.008,
  thinWall: 0.008,
  gap: 0.02,
  skin: 0.008,
  bridge: 0.008,
  fill: 0.03,
  support: 0.05,
  supportFace: 0.02,
  foot: 0.02,
};
/** A breadth that is off by this much counts as a place that is off by a fifth of it. */
const PER_BREADTH = 0.2;

/**
 * Which points of a line are needed (Ramer, 1972; Douglas & Peucker, 1973), their breadth taken as a third coordinate. Places that are said twice are left out: a
 * printer can't go from a place to itself.
 *
 * @returns indices in order, the first point and the last always among them.
 */
export function neededPoints({ points, width, closed, kind }: LayerPath): number[] {
  const count = points.length / 2;
  const withinMm = WITHIN_MM[kind];
  // A closed line ends where it begins.
  const last = closed ? count : count - 1;
  const at = (index: number) => index % count;
  const x = (index: number) => points[2 * at(index)]!;
  const y = (index: number) => points[2 * at(index) + 1]!;
  const z = (index: number) => (typeof width === 'number' ? 0 : PER_BREADTH * width[at(index)]!);
  const kept = new Set([0, last]);
  const spans: [number, number][] = [[0, last]];
  for (let span = spans.pop(); span; span = spans.pop()) {
    const [from, to] = span;
    const [dx, dy, dz] = [x(to) - x(from), y(to) - y(from), z(to) - z(from)];
    const square = dx * dx + dy * dy + dz * dz;
    let [furthest, mm] = [-1, withinMm];
    for (let index = from + 1; index < to; index += 1) {
      const [px, py, pz] = [x(index) - x(from), y(index) - y(from), z(index) - z(from)];
      const share = square === 0 ? 0 : Math.max(0, Math.min(1, (px * dx + py * dy + pz * dz) / square));
      const off = Math.hypot(px - share * dx, py - share * dy, pz - share * dz);
      if (off > mm) [furthest, mm] = [index, off];
    }
    if (furthest < 0) continue;
    kept.add(furthest);
    spans.push([from, furthest], [furthest, to]);
  }
  const order = [...kept].sort((a, b) => a - b);
  return order.filter(
    (index, rank) =>
      rank === 0 || Math.hypot(x(index) - x(order[rank - 1]!), y(index) - y(order[rank - 1]!)) > NO_WAY_MM,
  );
}

/** Places nearer to each other than this are one in a file, mm. */
const NO_WAY_MM = 1e-4;
