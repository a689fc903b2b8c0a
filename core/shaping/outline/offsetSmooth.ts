import type { Point } from './curves';
import { alongSmooth, smoothLine } from './smoothLine';

/** How far the line through the points that are kept may be off, mm. */
const WITHIN_MM = 2e-4;
/** Points that are tried first, and at most. */
const [FEWEST, MOST] = [48, 400];
/** What is left of a bend's radius, as a share: less, and the line would come to a point. */
const LEAST_SHARE = 0.05;

/**
 * A closed smooth line, anticlockwise, moved out square to itself (in, if negative), as points of a smooth line. Each place p goes to
 * p + n mm, and the line is stretched there by 1 + mm κ, with its curvature κ (do Carmo, Differential Geometry of Curves and
 * Surfaces, 1.5). Null where it bends more sharply than that, or would come too near to itself.
 */
export function offsetSmooth(points: readonly Point[], mm: number): Point[] | null {
  for (let per = Math.ceil(FEWEST / points.length); per * points.length <= MOST; per = Math.ceil(per * 1.4)) {
    const exact = movedOut(points, mm, 2 * per);
    if (!exact) return null;
    const kept = exact.filter((_, index) => index % 2 === 0).map(({ at }) => at);
    const between = alongSmooth(smoothLine(kept, true), 2);
    const off = exact.map(({ at, out }, index) =>
      Math.abs(out[0] * (between[index]![0]! - at[0]) + out[1] * (between[index]![1]! - at[1])),
    );
    if (Math.max(...off) < WITHIN_MM) return keepsAway(points, kept, Math.abs(mm)) ? kept : null;
  }
  return null;
}

/** Places along the line, moved out, with the way out at each; null where it bends too sharply. */
function movedOut(points: readonly Point[], mm: number, per: number): { at: Point; out: Point }[] | null {
  const { knots, slopes } = smoothLine(points, true);
  const found: { at: Point; out: Point }[] = [];
  for (const [piece, from] of points.entries()) {
    const next = (piece + 1) % points.length;
    const step = knots[piece + 1]! - knots[piece]!;
    /** Value and derivatives of Hermite's cubic along one axis, by the share of the piece. */
    const along = (axis: 0 | 1, t: number) => {
      const [p, q] = [from[axis], points[next]![axis]];
      const [m, n] = [step * slopes[piece]![axis]!, step * slopes[next]![axis]!];
      const [a, b] = [2 * p - 2 * q + m + n, -3 * p + 3 * q - 2 * m - n];
      return [((a * t + b) * t + m) * t + p, (3 * a * t + 2 * b) * t + m, 6 * a * t + 2 * b] as const;
    };
    for (let sample = 0; sample < per; sample += 1) {
      const [[x, dx, ddx], [y, dy, ddy]] = [along(0, sample / per), along(1, sample / per)];
      const speed = Math.hypot(dx, dy);
      const curvature = (dx * ddy - dy * ddx) / speed ** 3;
      if (!(1 + mm * curvature > LEAST_SHARE)) return null;
      const out: Point = [dy / speed, -dx / speed];
      found.push({ at: [x + mm * out[0], y + mm * out[1]], out });
    }
  }
  return found;
}

/** Chords of a line lie within it by so much at most, mm. */
const CHORD_MM = 1e-3;

/** Whether a moved line is nowhere nearer to where it came from than it was moved: where it is, it has crossed itself. */
function keepsAway(points: readonly Point[], moved: readonly Point[], mm: number): boolean {
  const line = alongSmooth(smoothLine(points, true), Math.ceil(400 / points.length));
  const nearest = (x: number, y: number) =>
    line.reduce((best, from, index) => {
      const [ax, ay] = from as [number, number];
      const [bx, by] = line[(index + 1) % line.length] as [number, number];
      const [dx, dy] = [bx - ax, by - ay];
      const share = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy)));
      return Math.min(best, Math.hypot(x - ax - share * dx, y - ay - share * dy));
    }, Infinity);
  return moved.every(([x, y]) => nearest(x, y) > mm * 0.995 - CHORD_MM);
}
