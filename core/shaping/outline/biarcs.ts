import type { Curve, Loop, Point } from './curves';
import { circleThrough } from '@core/foundations/vectors';

/** Chords that a tangent is told by, on either side. */
const REACH = 2;
/** An arc that rises by less over its chord is a line, mm. */
const FLAT_MM = 1e-6;

/**
 * A loop whose smooth lines are arcs that go on from each other without a corner, each two of them a biarc between points of the line (Bolton, "Biarc curves", 1975):
 * what is offset stays arcs, where smooth lines would come to cross themselves.
 *
 * @param withinMm how far a smooth line's points may lie from the arcs.
 */
export const withArcs = (loop: Loop, withinMm: number): Curve[] =>
  loop
    .flatMap((curve): Curve[] =>
      curve.kind === 'spline' && !curve.closed ? arcsAlong(curve.points, withinMm) : [curve],
    )
    .map((curve, index) => ({ ...curve, role: `side${index}` }));

function arcsAlong(points: readonly Point[], withinMm: number): Curve[] {
  const tangents = points.map((_, index) => tangentAt(points, index));
  const arcs: Curve[] = [];
  const last = points.length - 1;
  for (let from = 0; from < last;) {
    let [to, best] = [from + 1, biarc(points, tangents, from, from + 1)];
    // Further on as long as all between are near; from one point to the next they always are.
    for (let end = from + 2; end <= last; end += 1) {
      const tried = biarc(points, tangents, from, end);
      if (points.slice(from + 1, end).some((point) => offArcs(point, tried) > withinMm)) break;
      [to, best] = [end, tried];
    }
    arcs.push(...best);
    from = to;
  }
  return arcs;
}

/** The direction of the circle through a point and those beside it; at an end that of the circle through the three there. */
function tangentAt(points: readonly Point[], index: number): Point {
  const last = points.length - 1;
  const middle = Math.min(Math.max(index, Math.min(REACH, last >> 1)), last - Math.min(REACH, last >> 1));
  const reach = Math.min(REACH, middle, last - middle);
  if (reach === 0) return unit(minus(points[last]!, points[0]!));
  const [a, b, c] = [points[middle - reach]!, points[middle]!, points[middle + reach]!];
  const chord = unit(minus(c, a));
  const rise = Math.abs(cross(minus(b, a), chord));
  if (rise < FLAT_MM) return chord;
  const { middle: centre } = circleThrough(a, b, c);
  const [x, y] = unit(minus(points[index]!, centre));
  // Square to the radius, the way the points go.
  return dot([-y, x], chord) > 0 ? [-y, x] : [y, -x];
}

/** Two arcs from a point to another, with the tangents of both, as long as each other where they meet. */
function biarc(points: readonly Point[], tangents: readonly Point[], from: number, to: number): Curve[] {
  const [p, q, s, t] = [points[from]!, points[to]!, tangents[from]!, tangents[to]!];
  const way = minus(q, p);
  const [along, square, open] = [dot(way, [s[0] + t[0], s[1] + t[1]]), dot(way, way), 2 * (1 - dot(s, t))];
  const d = open < 1e-12 ? square / (2 * along) : (Math.sqrt(along ** 2 + open * square) - along) / open;
  const joint: Point = [(p[0] + q[0] + d * (s[0] - t[0])) / 2, (p[1] + q[1] + d * (s[1] - t[1])) / 2];
  const before = arcFrom(p, s, joint);
  // Run back from its end it begins with the tangent there.
  const after = arcFrom(q, [-t[0], -t[1]], joint);
  return [before, { ...after, from: joint, to: q }];
}

/** The arc that leaves a point in a direction and comes to another. */
function arcFrom(from: Point, direction: Point, to: Point): Extract<Curve, { kind: 'line' | 'arc' }> {
  const chord = minus(to, from);
  const length = Math.hypot(...chord);
  const angle = Math.atan2(cross(direction, chord), dot(direction, chord));
  const rise = (length / 2) * Math.tan(angle / 2);
  if (Math.abs(rise) < FLAT_MM) return { kind: 'line', from, to, role: '' };
  // It bulges to the side that it leaves its chord to.
  const via: Point = [
    (from[0] + to[0]) / 2 + (chord[1] / length) * rise,
    (from[1] + to[1]) / 2 - (chord[0] / length) * rise,
  ];
  return { kind: 'arc', from, via, to, role: '' };
}

/** How far a point lies from the nearer of some arcs and lines, as far as they are round, mm. */
const offArcs = (point: Point, curves: readonly Curve[]): number =>
  Math.min(
    ...curves.map((curve) => {
      if (curve.kind === 'line')
        return Math.abs(cross(minus(point, curve.from), unit(minus(curve.to, curve.from))));
      if (curve.kind !== 'arc') return Infinity;
      const { middle, radius } = circleThrough(curve.from, curve.via, curve.to);
      return Math.abs(Math.hypot(point[0] - middle[0], point[1] - middle[1]) - radius);
    }),
  );

const minus = ([ax, ay]: Point, [bx, by]: Point): Point => [ax - bx, ay - by];
const dot = ([ax, ay]: Point, [bx, by]: Point) => ax * bx + ay * by;
const cross = ([ax, ay]: Point, [bx, by]: Point) => ax * by - ay * bx;
function unit([x, y]: Point): Point {
  const length = Math.hypot(x, y);
  return [x / length, y / length];
}
