import { isNothing } from '@core/foundations/tolerance';
import type { Place, SolvedCurve } from '@core/shaping/drawn';

/** Curves whose crossings are worked out in closed form. */
export type PlainCurve = Extract<SolvedCurve, { kind: 'line' | 'arc' | 'circle' }>;

export const isPlain = (curve: SolvedCurve): curve is PlainCurve =>
  curve.kind === 'line' || curve.kind === 'arc' || curve.kind === 'circle';

/** Ends and crossings nearer than this are one, mm, as in a loop of curves. */
export const MEET_MM = 1e-4;

/** Where a curve ends, mm; nowhere, if it is closed. */
export function endsOf(curve: SolvedCurve): readonly Place[] {
  if (curve.kind === 'line' || curve.kind === 'arc') return [curve.from, curve.to];
  return curve.kind === 'spline' && !curve.closed ? [curve.points[0]!, curve.points.at(-1)!] : [];
}

const FULL = 2 * Math.PI;
const turnAt = ([mx, my]: Place, [x, y]: Place) => Math.atan2(y - my, x - mx);
const positive = (angle: number) => ((angle % FULL) + FULL) % FULL;

/** How far an arc goes round from its first end, radians; negative clockwise. */
export function sweepOf({ from, via, to, middle }: Extract<SolvedCurve, { kind: 'arc' }>): number {
  const isLeft = (via[0] - from[0]) * (to[1] - from[1]) - (via[1] - from[1]) * (to[0] - from[0]) > 0;
  const turn = turnAt(middle, to) - turnAt(middle, from);
  return isLeft ? positive(turn) : -positive(-turn);
}

/** Where a place is along a curve and its continuation: 0 at the first end, 1 at the other; of a circle, a share of a turn. */
export function shareAt(curve: PlainCurve, at: Place): number {
  if (curve.kind === 'line') {
    const [dx, dy] = [curve.to[0] - curve.from[0], curve.to[1] - curve.from[1]];
    return ((at[0] - curve.from[0]) * dx + (at[1] - curve.from[1]) * dy) / (dx * dx + dy * dy);
  }
  const turn = turnAt(curve.middle, at);
  if (curve.kind === 'circle') return positive(turn) / FULL;
  const sweep = sweepOf(curve);
  return positive((turn - turnAt(curve.middle, curve.from)) * Math.sign(sweep)) / Math.abs(sweep);
}

/** The place at such a share of a curve, mm. */
export function placeAt(curve: PlainCurve, share: number): Place {
  if (curve.kind === 'line')
    return [
      curve.from[0] + share * (curve.to[0] - curve.from[0]),
      curve.from[1] + share * (curve.to[1] - curve.from[1]),
    ];
  const turn =
    curve.kind === 'circle' ? share * FULL : turnAt(curve.middle, curve.from) + share * sweepOf(curve);
  const [x, y] = curve.middle;
  return [x + curve.radius * Math.cos(turn), y + curve.radius * Math.sin(turn)];
}

/** The share at which a curve that is continued comes back to its beginning. */
export const wholeShare = (curve: PlainCurve): number =>
  curve.kind === 'line' ? Infinity : curve.kind === 'circle' ? 1 : FULL / Math.abs(sweepOf(curve));

/** Places that a curve, continued, has in common with another as far as that goes, mm. */
export function crossingsWith(curve: PlainCurve, other: PlainCurve): Place[] {
  const places =
    curve.kind === 'line'
      ? other.kind === 'line'
        ? lineAndLine(curve, other)
        : lineAndCircle(curve, other)
      : other.kind === 'line'
        ? lineAndCircle(other, curve)
        : circleAndCircle(curve, other);
  return places.filter((at) => isWithin(other, at));
}

/** Whether a place of the whole line or circle is on the curve itself, its ends too. */
export function isWithin(curve: PlainCurve, at: Place): boolean {
  if (curve.kind === 'circle') return true;
  const share = shareAt(curve, at);
  const isNear = (end: Place) => isNothing(Math.hypot(at[0] - end[0], at[1] - end[1]));
  return (share > 0 && share < 1) || isNear(curve.from) || isNear(curve.to);
}

type Line = Extract<SolvedCurve, { kind: 'line' }>;
type Round = Extract<SolvedCurve, { kind: 'arc' | 'circle' }>;

function lineAndLine(one: Line, other: Line): Place[] {
  const [ax, ay] = [one.to[0] - one.from[0], one.to[1] - one.from[1]];
  const [bx, by] = [other.to[0] - other.from[0], other.to[1] - other.from[1]];
  const across = ax * by - ay * bx;
  if (isNothing(across / (Math.hypot(ax, ay) * Math.hypot(bx, by) || 1))) return [];
  const share = ((other.from[0] - one.from[0]) * by - (other.from[1] - one.from[1]) * bx) / across;
  return [[one.from[0] + share * ax, one.from[1] + share * ay]];
}

function lineAndCircle(line: Line, { middle, radius }: Round): Place[] {
  const length = Math.hypot(line.to[0] - line.from[0], line.to[1] - line.from[1]);
  const way: Place = [(line.to[0] - line.from[0]) / length, (line.to[1] - line.from[1]) / length];
  const along = (middle[0] - line.from[0]) * way[0] + (middle[1] - line.from[1]) * way[1];
  const off = (middle[0] - line.from[0]) * way[1] - (middle[1] - line.from[1]) * way[0];
  return halves(radius * radius - off * off, radius).map((half) => [
    line.from[0] + (along + half) * way[0],
    line.from[1] + (along + half) * way[1],
  ]);
}

function circleAndCircle(one: Round, other: Round): Place[] {
  const [dx, dy] = [other.middle[0] - one.middle[0], other.middle[1] - one.middle[1]];
  const apart = Math.hypot(dx, dy);
  if (isNothing(apart)) return [];
  const along = (apart * apart + one.radius * one.radius - other.radius * other.radius) / (2 * apart);
  return halves(one.radius * one.radius - along * along, one.radius).map((half) => [
    one.middle[0] + (along * dx - half * dy) / apart,
    one.middle[1] + (along * dy + half * dx) / apart,
  ]);
}

/** Both roots of a square; one where curves just touch, none where they miss. */
function halves(square: number, radius: number): number[] {
  if (isNothing(square / (radius * radius || 1))) return [0];
  return square < 0 ? [] : [-Math.sqrt(square), Math.sqrt(square)];
}
