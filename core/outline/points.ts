import { no, ok, type Result, type StepFault } from '@core/fault';

import type { Curve, Loop, Point } from './curves';

export interface ListedPoint {
  at: Point;
  /** An arc from the point before to the point after goes through it. */
  via: boolean;
}

/** Pieces of an arc or a smooth line when it is looked at for crossings. */
const PIECES = 12;

/**
 * An outline from point to point, and back to the first: straight, by arcs through `via` points, or smooth all round.
 * Roles: side and the number of the point it leaves; wall if it is smooth. It comes back anticlockwise.
 */
export function pointsLoop(
  points: readonly ListedPoint[],
  between: 'straight' | 'smooth',
): Result<Loop, StepFault> {
  for (const [index, { at }] of points.entries()) {
    const [x, y] = points[(index + 1) % points.length]!.at;
    if (Math.hypot(x - at[0], y - at[1]) < 0.01) return no({ code: 'outline.pointsMeet', place: index + 1 });
  }
  const corners = points.map(({ at }) => at);
  if (between === 'smooth') {
    const round = areaOf(corners) < 0 ? [...corners].reverse() : corners;
    if (crosses(smoothed(round))) return no({ code: 'outline.crosses' });
    return ok([{ kind: 'spline', points: round, closed: true, role: 'wall' }]);
  }
  const start = points.findIndex(({ via }) => !via);
  const turned = start <= 0 ? [...points] : [...points.slice(start), ...points.slice(0, start)];
  const twoVias = turned.findIndex(({ via }, index) => via && turned[(index + 1) % turned.length]!.via);
  if (start < 0 || twoVias >= 0) return no({ code: 'outline.arcNeedsEnds' });
  const curves: Curve[] = [];
  for (let index = 0; index < turned.length; index += 1) {
    const from = turned[index]!.at;
    const next = turned[(index + 1) % turned.length]!;
    const role = `side${(index + Math.max(start, 0)) % turned.length}`;
    if (next.via) {
      const to = turned[(index + 2) % turned.length]!.at;
      curves.push(
        isStraight(from, next.at, to)
          ? { kind: 'line', from, to, role }
          : { kind: 'arc', from, via: next.at, to, role },
      );
      index += 1;
    } else {
      curves.push({ kind: 'line', from, to: next.at, role });
    }
  }
  const outline = curves.flatMap(piecesOf);
  if (crosses(outline)) return no({ code: 'outline.crosses' });
  return ok(areaOf(outline) < 0 ? curves.map(reversed).reverse() : curves);
}

const isStraight = (a: Point, b: Point, c: Point) =>
  Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) < 1e-6;

function reversed(curve: Curve): Curve {
  return curve.kind === 'line' || curve.kind === 'arc' ? { ...curve, from: curve.to, to: curve.from } : curve;
}

/** Twice the area is the sum of the cross products of neighbours; positive anticlockwise (the shoelace formula). */
export function areaOf(points: readonly Point[]): number {
  return (
    points.reduce((sum, [x, y], index) => {
      const [nx, ny] = points[(index + 1) % points.length]!;
      return sum + x * ny - nx * y;
    }, 0) / 2
  );
}

/** Corners of a curve as short lines, without its end. */
function piecesOf(curve: Curve): Point[] {
  if (curve.kind !== 'arc') return curve.kind === 'line' ? [curve.from] : [];
  const { middle, radius } = circleThrough(curve.from, curve.via, curve.to);
  const turnOf = ([x, y]: Point) => Math.atan2(y - middle[1], x - middle[0]);
  const [a, b, c] = [turnOf(curve.from), turnOf(curve.via), turnOf(curve.to)];
  const forward = (turn: number) => (turn + 4 * Math.PI) % (2 * Math.PI);
  const isForward = forward(b - a) < forward(c - a);
  const sweep = isForward ? forward(c - a) : -forward(a - c);
  return Array.from({ length: PIECES }, (_, index): Point => {
    const turn = a + (sweep * index) / PIECES;
    return [middle[0] + radius * Math.cos(turn), middle[1] + radius * Math.sin(turn)];
  });
}

/** The circle through three points that are not on a line. */
export function circleThrough(
  [ax, ay]: Point,
  [bx, by]: Point,
  [cx, cy]: Point,
): { middle: Point; radius: number } {
  const d = 2 * (ax * (by - cy) + bx * (cy - ay) + cx * (ay - by));
  const [a, b, c] = [ax * ax + ay * ay, bx * bx + by * by, cx * cx + cy * cy];
  const x = (a * (by - cy) + b * (cy - ay) + c * (ay - by)) / d;
  const y = (a * (cx - bx) + b * (ax - cx) + c * (bx - ax)) / d;
  return { middle: [x, y], radius: Math.hypot(ax - x, ay - y) };
}

/** A closed smooth line through points, nearly as the kernel draws it (Catmull and Rom, 1974), for the crossing check. */
function smoothed(points: readonly Point[]): Point[] {
  const at = (index: number) => points[(index + points.length) % points.length]!;
  return points.flatMap((_, index) =>
    Array.from({ length: PIECES }, (__, piece): Point => {
      const t = piece / PIECES;
      return [0, 1].map((axis) => {
        const [p, q, r, s] = [at(index - 1), at(index), at(index + 1), at(index + 2)].map(
          (point) => point[axis]!,
        ) as [number, number, number, number];
        return (
          0.5 *
          (2 * q + (r - p) * t + (2 * p - 5 * q + 4 * r - s) * t * t + (3 * q - p - 3 * r + s) * t * t * t)
        );
      }) as unknown as Point;
    }),
  );
}

/** Whether two sides of a closed polygon that are no neighbours meet. */
function crosses(points: readonly Point[]): boolean {
  const side = (a: Point, b: Point, c: Point) =>
    (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
  const count = points.length;
  for (let i = 0; i < count; i += 1) {
    for (let j = i + 2; j < count; j += 1) {
      if (i === 0 && j === count - 1) continue;
      const [a, b, c, d] = [points[i]!, points[i + 1]!, points[j]!, points[(j + 1) % count]!];
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) return true;
    }
  }
  return false;
}
