import type { Curve, Loop, Point } from './curves';
import { circleThrough } from '@core/foundations/vectors';
import { alongSmooth, smoothLine } from './smoothLine';

/** What lies within this of a line or a circle is one, mm: a tenth of a micrometre, as near as curves of the kernel meet. */
const WITHIN_MM = 1e-4;
/** Arcs flatter than this, mm of radius, are lines. */
const FLATTEST_MM = 1e5;

/**
 * A curve that is known by points of it: a line or an arc where it is one, so that what is made of it stays as few and as plain as
 * what it came from; else smooth through its points.
 *
 * @param points in order, the first and the last its ends; evenly along it.
 */
export function recognised(points: readonly Point[], role: string): Curve {
  const [from, to] = [points[0]!, points.at(-1)!];
  const via = points[Math.floor(points.length / 2)]!;
  if (points.every((at) => offLine(at, from, to) < WITHIN_MM)) return { kind: 'line', from, to, role };
  const { middle, radius } = circleThrough(from, via, to);
  const isRound =
    radius < FLATTEST_MM &&
    points.every(([x, y]) => Math.abs(Math.hypot(x - middle[0], y - middle[1]) - radius) < WITHIN_MM);
  return isRound ? { kind: 'arc', from, via, to, role } : { kind: 'spline', points, role };
}

/** How far a point lies off the line through two others; beyond its ends from those. */
function offLine([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const [dx, dy] = [bx - ax, by - ay];
  const length = Math.hypot(dx, dy);
  if (length < 1e-12) return Math.hypot(x - ax, y - ay);
  const share = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / length ** 2));
  return Math.hypot(x - ax - share * dx, y - ay - share * dy);
}

/** Smooth lines that go on from each other within this are one, radians. */
const STRAIGHT_ON = 0.01;
/** How far a smooth line through fewer points may be off those that are left out, mm. */
const THINNED_MM = 5e-4;

/**
 * A loop in which smooth lines that go on from each other are one, through no more points than it needs, and arcs of one circle
 * are one: what was split on the way is whole again.
 */
export function rejoined(loop: Loop): Curve[] {
  const joined: Curve[] = [];
  for (const curve of loop) {
    const last = joined.at(-1);
    const whole = last && together(last, curve);
    if (whole) joined[joined.length - 1] = whole;
    else joined.push(curve);
  }
  // The first may go on from the last.
  if (joined.length > 1) {
    const whole = together(joined.at(-1)!, joined[0]!);
    if (whole) {
      joined.pop();
      joined[0] = whole;
    }
  }
  return joined.map((curve) =>
    curve.kind === 'spline' && !curve.closed ? thinned(curve, THINNED_MM) : curve,
  );
}

function together(one: Curve, next: Curve): Curve | null {
  if (one.kind === 'spline' && next.kind === 'spline' && !one.closed && !next.closed) {
    const [a, b] = [one.points.at(-2)!, one.points.at(-1)!];
    const c = next.points[1]!;
    const turn = Math.atan2(c[1] - b[1], c[0] - b[0]) - Math.atan2(b[1] - a[1], b[0] - a[0]);
    const bend = Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn)));
    // Chords turn by as much as the curve bends along them, and no more.
    const usual = Math.max(bendAt(one.points), bendAt([...next.points].reverse()));
    if (bend > 2 * usual + STRAIGHT_ON) return null;
    return { ...one, points: [...one.points, ...next.points.slice(1)] };
  }
  if (one.kind === 'arc' && next.kind === 'arc') {
    const [a, b] = [circleThrough(one.from, one.via, one.to), circleThrough(next.from, next.via, next.to)];
    const apart = Math.hypot(a.middle[0] - b.middle[0], a.middle[1] - b.middle[1]);
    const isBack = Math.hypot(one.from[0] - next.to[0], one.from[1] - next.to[1]) < WITHIN_MM;
    if (apart > WITHIN_MM || Math.abs(a.radius - b.radius) > WITHIN_MM || isBack) return null;
    return { ...one, via: one.to, to: next.to };
  }
  if (one.kind === 'line' && next.kind === 'line') {
    return offLine(one.to, one.from, next.to) < WITHIN_MM ? { ...one, to: next.to } : null;
  }
  return null;
}

/** How much the last two chords of a line turn, radians. */
function bendAt(points: readonly Point[]): number {
  const [a, b, c] = points.slice(-3) as [Point, Point, Point];
  if (!c) return 0;
  const turn = Math.atan2(c[1] - b[1], c[0] - b[0]) - Math.atan2(b[1] - a[1], b[0] - a[0]);
  return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn)));
}

/** Through every second, fourth, eighth point of it, as long as it stays where it was. */
export function thinned(curve: Extract<Curve, { kind: 'spline' }>, withinMm: number): Curve {
  const { points } = curve;
  for (let stride = 16; stride > 1; stride /= 2) {
    const kept = points.filter((_, index) => index % stride === 0 || index === points.length - 1);
    if (kept.length < 4) continue;
    const dense = alongSmooth(smoothLine(kept, false), 8 * stride) as unknown as Point[];
    const isNear = points.every((at) =>
      dense.some((_, index) => index > 0 && offLine(at, dense[index - 1]!, dense[index]!) < withinMm),
    );
    if (isNear) return { ...curve, points: kept };
  }
  return curve;
}
