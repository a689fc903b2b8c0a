import { numberValue, type DrawnOutline } from '@core/foundations/fields';
import { isNothing } from '@core/foundations/tolerance';
import type { Place, SolvedDrawing } from '@core/shaping/drawn';

import { sweepOf, type PlainCurve } from './crossings';
import { withCurve, withNames, withPoint, withRelation } from './names';

/** The line or arc that ends at a point, and the way it goes on from there, of length 1; null where none or several do. */
export function goesOnFrom(
  outline: DrawnOutline,
  solved: Pick<SolvedDrawing, 'curves'>,
  point: string,
): { curve: string; way: Place } | null {
  const ending = withNames(outline).curves.filter(
    (curve) =>
      (curve.kind === 'line' || curve.kind === 'arc') && (curve.from === point || curve.to === point),
  );
  const [only, other] = ending;
  const curve = solved.curves.find(({ id }) => id === only?.id);
  if (!only || other || (curve?.kind !== 'line' && curve?.kind !== 'arc')) return null;
  const isEnd = (only as { to: string }).to === point;
  const way = wayAtEnd(curve, isEnd ? 'to' : 'from');
  return { curve: only.id!, way: isEnd ? way : [-way[0], -way[1]] };
}

/** The way that a line or an arc runs at one of its ends, of length 1. */
function wayAtEnd(curve: Exclude<PlainCurve, { kind: 'circle' }>, end: 'from' | 'to'): Place {
  const [dx, dy] =
    curve.kind === 'line'
      ? [curve.to[0] - curve.from[0], curve.to[1] - curve.from[1]]
      : [
          Math.sign(sweepOf(curve)) * (curve.middle[1] - curve[end][1]),
          Math.sign(sweepOf(curve)) * (curve[end][0] - curve.middle[0]),
        ];
  const length = Math.hypot(dx, dy) || 1;
  return [dx / length, dy / length];
}

/** A place halfway along the arc that leaves a place in a direction and ends at another; null where that is straight ahead or straight behind. */
export function viaOfTangentArc(from: Place, [ux, uy]: Place, to: Place): Place | null {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  // From the tangent to the chord it turns half as far as all of it does.
  const turn = Math.atan2(ux * dy - uy * dx, ux * dx + uy * dy);
  if (isNothing(Math.sin(turn))) return null;
  const halfChord = Math.hypot(dx, dy) / (2 * Math.cos(turn / 2));
  const [cos, sin] = [Math.cos(turn / 2), Math.sin(turn / 2)];
  return [from[0] + halfChord * (cos * ux - sin * uy), from[1] + halfChord * (sin * ux + cos * uy)];
}

/** An arc that goes on from the curve ending at a point, without a corner. @returns null where it would be straight, or nothing ends there. */
export function withTangentArc(
  outline: DrawnOutline,
  solved: Pick<SolvedDrawing, 'points' | 'curves'>,
  from: string,
  to: { id: string; at: Place },
  helper: { helper?: true },
): [DrawnOutline, string] | null {
  const before = goesOnFrom(outline, solved, from);
  const via = before && viaOfTangentArc(solved.points.get(from)!, before.way, to.at);
  if (!via) return null;
  const [added, middle] = withPoint(outline, via);
  const [next, arc] = withCurve(added, { kind: 'arc', from, via: middle, to: to.id, ...helper });
  return [withRelation(next, { kind: 'tangent', curves: [before.curve, arc] }), arc];
}

/**
 * An arc about a point, from a second one towards a third, the shorter way round. A construction circle about the point keeps its middle where that is.
 *
 * @returns null where it would have no size, or goes half round, either way.
 */
export function withArcAbout(
  outline: DrawnOutline,
  [middle, from]: readonly [string, string],
  [at, start, towards]: readonly [Place, Place, Place],
  helper: { helper?: true },
): [DrawnOutline, string] | null {
  const radius = Math.hypot(start[0] - at[0], start[1] - at[1]);
  const first = Math.atan2(start[1] - at[1], start[0] - at[0]);
  const sweep = Math.atan2(
    (start[0] - at[0]) * (towards[1] - at[1]) - (start[1] - at[1]) * (towards[0] - at[0]),
    (start[0] - at[0]) * (towards[0] - at[0]) + (start[1] - at[1]) * (towards[1] - at[1]),
  );
  if (isNothing(radius) || isNothing(Math.sin(sweep))) return null;
  const on = (turn: number): Place => [at[0] + radius * Math.cos(turn), at[1] + radius * Math.sin(turn)];
  const [one, to] = withPoint(outline, on(first + sweep));
  const [two, via] = withPoint(one, on(first + sweep / 2));
  const [three, circle] = withCurve(two, {
    kind: 'circle',
    middle,
    diameter: numberValue(2 * radius),
    helper: true,
  });
  const [four, arc] = withCurve(three, { kind: 'arc', from, via, to, ...helper });
  const five = withRelation(four, { kind: 'concentric', curves: [circle, arc] });
  return [withRelation(five, { kind: 'equal', curves: [circle, arc] }), to];
}
