import type { Curve, Point } from '@core/shaping/outline';
import { alongArc, recognised } from '@core/shaping/outline';

/** A map of the plane: where its two ways and its origin go, (x, y) → (a x + c y + e, b x + d y + f), as in SVG. */
export type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

/** Shares, sines and angles (radians) below this are rounding. */
export const ROUNDING = 1e-9;

export const IDENTITY: Affine = [1, 0, 0, 1, 0, 0];

/** First the second, then the first. */
export const after = ([a, b, c, d, e, f]: Affine, [p, q, r, s, t, u]: Affine): Affine => [
  a * p + c * q,
  b * p + d * q,
  a * r + c * s,
  b * r + d * s,
  a * t + c * u + e,
  b * t + d * u + f,
];

export const mappedPoint = ([a, b, c, d, e, f]: Affine, [x, y]: readonly number[]): Point => [
  a * x! + c * y! + e,
  b * x! + d * y! + f,
];

/** Whether a map keeps circles round, within rounding. */
function isSimilarity([a, b, c, d]: Affine): boolean {
  const size = Math.hypot(a, b);
  return (
    Math.abs(a * c + b * d) < ROUNDING * size * Math.hypot(c, d) &&
    Math.abs(Math.hypot(c, d) - size) < ROUNDING * size
  );
}

/** Points that a curve of no plain form is followed by, its ends too. */
const FOLLOWED = 17;
/** ... and one that comes back to where it begins. */
const FOLLOWED_ROUND = 32;

/** A curve by a function of its parameter from 0 to 1: a line or an arc where it is one, else smooth through points of it. */
export function followedCurve(at: (t: number) => Point, closed = false): Curve {
  if (closed) {
    const points = Array.from({ length: FOLLOWED_ROUND }, (_, index) => at(index / FOLLOWED_ROUND));
    return { kind: 'spline', points, closed: true, role: '' };
  }
  return recognised(
    Array.from({ length: FOLLOWED }, (_, index) => at(index / (FOLLOWED - 1))),
    '',
  );
}

/** A curve as a map takes it. What is round and does not stay so is an ellipse, or smooth through points of one. */
export function mappedCurve(curve: Curve, map: Affine): Curve {
  const to = (at: Point) => mappedPoint(map, at);
  switch (curve.kind) {
    case 'line':
      return { ...curve, from: to(curve.from), to: to(curve.to) };
    case 'spline':
      return { ...curve, points: curve.points.map(to) };
    case 'circle': {
      const { middle, radius } = curve;
      return ellipseThrough(to(middle), wayOf(map, [radius, 0]), wayOf(map, [0, radius]));
    }
    case 'ellipse': {
      const { middle, alongX, alongY, turn = 0 } = curve;
      const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
      return ellipseThrough(
        to(middle),
        wayOf(map, [alongX * cos, alongX * sin]),
        wayOf(map, [-alongY * sin, alongY * cos]),
      );
    }
    case 'arc': {
      if (isSimilarity(map)) return { ...curve, from: to(curve.from), via: to(curve.via), to: to(curve.to) };
      const at = alongArc(curve);
      return followedCurve((t) => to(at(t)));
    }
  }
}

const wayOf = ([a, b, c, d]: Affine, way: Point): Point => mappedPoint([a, b, c, d, 0, 0], way);

/** The ellipse m + u cos t + v sin t by its own axes; a circle where it is round. */
export function ellipseThrough(middle: Point, [ux, uy]: Point, [vx, vy]: Point): Curve {
  // Its axes are where the distance is largest: tan 2t = 2 u·v / (u·u − v·v).
  const [uu, vv, uv] = [ux * ux + uy * uy, vx * vx + vy * vy, ux * vx + uy * vy];
  if (Math.abs(uv) < ROUNDING * Math.sqrt(uu * vv) && Math.abs(uu - vv) < ROUNDING * uu)
    return { kind: 'circle', middle, radius: Math.sqrt(uu), role: '' };
  const t = Math.atan2(2 * uv, uu - vv) / 2;
  const [cos, sin] = [Math.cos(t), Math.sin(t)];
  const [long, short]: [Point, Point] = [
    [ux * cos + vx * sin, uy * cos + vy * sin],
    [vx * cos - ux * sin, vy * cos - uy * sin],
  ];
  const turn = Math.atan2(long[1], long[0]);
  return {
    kind: 'ellipse',
    middle,
    alongX: Math.hypot(...long),
    alongY: Math.hypot(...short),
    ...(Math.abs(turn) < ROUNDING ? {} : { turn }),
    role: '',
  };
}

/** An arc about a middle, radians from and by how much, anticlockwise if positive; a circle where it goes all the way round. */
export function arcAbout(middle: Point, radius: number, start: number, sweep: number): Curve {
  if (Math.abs(sweep) > 2 * Math.PI - ROUNDING) return { kind: 'circle', middle, radius, role: '' };
  const at = (turn: number): Point => [
    middle[0] + radius * Math.cos(turn),
    middle[1] + radius * Math.sin(turn),
  ];
  return { kind: 'arc', from: at(start), via: at(start + sweep / 2), to: at(start + sweep), role: '' };
}

/** A line, or the arc of a polyline's bulge: the tangent of a quarter of its angle, anticlockwise if positive (DXF reference, LWPOLYLINE, 42). */
export function bulged(from: Point, to: Point, bulge: number): Curve {
  if (Math.abs(bulge) < ROUNDING) return { kind: 'line', from, to, role: '' };
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  // The middle of the arc is off the chord by half of it times the bulge, to the right of an anticlockwise one.
  const via: Point = [(from[0] + to[0]) / 2 + (bulge * dy) / 2, (from[1] + to[1]) / 2 - (bulge * dx) / 2];
  return { kind: 'arc', from, via, to, role: '' };
}
