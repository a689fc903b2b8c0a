import type { DrawnCurve, DrawnOutline, Value } from '@core/foundations/fields';

import { curveName, type Place, type SolvedDrawing } from '@core/shaping/drawn';
import { tidied, withCurve, withDimension, withNames, withPoint, withRelation } from './names';

type Line = Extract<DrawnCurve, { kind: 'line' }> & { id: string };

/** Lines that are in line to within this are no corner, radians. */
const LEAST_ANGLE = 1e-3;

/** The two lines that meet in a corner, if just two curves do and both are lines. */
export function linesAtCorner(outline: DrawnOutline, point: string): readonly [Line, Line] | null {
  const ending = withNames(outline).curves.filter(
    (curve) =>
      (curve.kind === 'line' || curve.kind === 'arc') &&
      !curve.helper &&
      (curve.from === point || curve.to === point),
  );
  const [one, other] = ending;
  return ending.length === 2 && one!.kind === 'line' && other!.kind === 'line'
    ? [one as Line, other as Line]
    : null;
}

/**
 * A corner between two lines, rounded. The sharp corner stays as a point on both lines, so that all that was said of it still holds. Its lines end where
 * the arc begins.
 *
 * @param radiusMm how large it is drawn. @param value what its radius is held to.
 * @returns null where no two lines meet, or the round takes more than there is of a line.
 */
export function withRoundedCorner(
  outline: DrawnOutline,
  solved: Pick<SolvedDrawing, 'points'>,
  corner: string,
  radiusMm: number,
  value: Value,
): DrawnOutline | null {
  const lines = linesAtCorner(outline, corner);
  if (!lines) return null;
  const at = solved.points.get(corner)!;
  const arms = lines.map((line) => {
    const far = solved.points.get(line.from === corner ? line.to : line.from)!;
    const length = Math.hypot(far[0] - at[0], far[1] - at[1]);
    return { line, length, way: [(far[0] - at[0]) / length, (far[1] - at[1]) / length] as Place };
  });
  const [a, b] = arms.map(({ way }) => way) as [Place, Place];
  const half = Math.acos(Math.max(-1, Math.min(1, a[0] * b[0] + a[1] * b[1]))) / 2;
  const back = radiusMm / Math.tan(half);
  if (!(radiusMm > 0) || !(half > LEAST_ANGLE) || half > Math.PI / 2 - LEAST_ANGLE) return null;
  if (arms.some(({ length }) => back >= length)) return null;
  let next = withNames(outline);
  const ends: string[] = [];
  for (const { line, way } of arms) {
    const [added, end] = withPoint(next, [at[0] + back * way[0], at[1] + back * way[1]]);
    ends.push(end);
    next = {
      ...added,
      curves: added.curves.map((curve) =>
        curve.id === line.id
          ? ({ ...curve, ...(line.from === corner ? { from: end } : { to: end }) } as DrawnCurve)
          : curve,
      ),
    };
    next = withRelation(next, { kind: 'onCurve', point: corner, curve: line.id });
  }
  const middle = radiusMm / Math.sin(half);
  const bisector: Place = [a[0] + b[0], a[1] + b[1]];
  const long = Math.hypot(...bisector);
  const reach = middle - radiusMm;
  const [withVia, via] = withPoint(next, [
    at[0] + (reach * bisector[0]) / long,
    at[1] + (reach * bisector[1]) / long,
  ]);
  const [withArc, arc] = withCurve(withVia, { kind: 'arc', from: ends[0]!, via, to: ends[1]! });
  next = withArc;
  for (const { line } of arms) next = withRelation(next, { kind: 'tangent', curves: [line.id, arc] });
  return withDimension(next, { kind: 'radius', curve: arc, value })[0];
}

/** The sharp corner that an arc rounds: the point that both of its lines are held to; null for any other arc. */
export function cornerOfArc(outline: DrawnOutline, arcId: string): string | null {
  const named = withNames(outline);
  const arc = named.curves.find(({ id }) => id === arcId);
  if (arc?.kind !== 'arc') return null;
  const lines = [arc.from, arc.to].map((end) =>
    named.curves.find((curve) => curve.kind === 'line' && (curve.from === end || curve.to === end)),
  );
  if (!lines[0] || !lines[1]) return null;
  const held = (curve: string) =>
    named.relations.flatMap((one) => (one.kind === 'onCurve' && one.curve === curve ? [one.point] : []));
  const [one, other] = lines.map((curve, index) => held(curveName(curve!, index)));
  return one!.find((point) => other!.includes(point)) ?? null;
}

/** A rounded corner made sharp again: what was said of the corner has been there all along. */
export function withSharpCorner(outline: DrawnOutline, arcId: string): DrawnOutline | null {
  const corner = cornerOfArc(outline, arcId);
  const named = withNames(outline);
  const arc = named.curves.find(({ id }) => id === arcId);
  if (corner === null || arc?.kind !== 'arc') return null;
  const gone = new Set([arc.from, arc.via, arc.to]);
  const curves = named.curves.flatMap((curve): DrawnCurve[] => {
    if (curve.id === arcId) return [];
    if (curve.kind !== 'line') return [curve];
    return [
      {
        ...curve,
        from: gone.has(curve.from) ? corner : curve.from,
        to: gone.has(curve.to) ? corner : curve.to,
      },
    ];
  });
  const ending = new Set(
    curves.flatMap((curve) =>
      curve.kind === 'line' && (curve.from === corner || curve.to === corner) ? [curve.id!] : [],
    ),
  );
  return tidied({
    ...named,
    curves,
    points: named.points.filter(({ id }) => !gone.has(id)),
    relations: named.relations.filter(
      (one) => !(one.kind === 'onCurve' && one.point === corner && ending.has(one.curve)),
    ),
  });
}
