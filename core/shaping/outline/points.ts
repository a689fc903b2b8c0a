import { no, ok, type Result, type StepFault } from '@core/foundations/fault';

import { reversed, type Curve, type Loop, type Point } from './curves';
import { areaOf, crosses, polygonOf, smoothed } from './polygon';

export interface ListedPoint {
  at: Point;
  /** An arc from the point before to the point after goes through it. */
  via: boolean;
}

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
    if (crosses(smoothed(round, true))) return no({ code: 'outline.crosses' });
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
  const outline = polygonOf(curves);
  if (crosses(outline)) return no({ code: 'outline.crosses' });
  return ok(areaOf(outline) < 0 ? curves.map(reversed).reverse() : curves);
}

/** Twice the area of three points on one line, mm²: an arc through such is refused by the kernel. */
const STRAIGHT_MM2 = 1e-6;

const isStraight = (a: Point, b: Point, c: Point) =>
  Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) < STRAIGHT_MM2;
