import type { DrawnCurve, DrawnOutline, Value } from '@core/foundations/fields';

import { curveName, pointsOfCurve, type Place, type SolvedDrawing } from '@core/shaping/drawn';
import { withEndAt } from './ends';
import { tidied, withCurve, withDimension, withNames, withPoint, withRelation } from './names';

type Line = Extract<DrawnCurve, { kind: 'line' }> & { id: string };

/** Lines that are in line to within this are no corner, radians. */
const LEAST_ANGLE = 1e-3;

/** The two lines that meet in a corner, if just two curves do and both are lines that may end elsewhere. */
export function linesAtCorner(outline: DrawnOutline, point: string): readonly [Line, Line] | null {
  const ending = withNames(outline).curves.filter(
    (curve) =>
      (curve.kind === 'line' || curve.kind === 'arc') &&
      !curve.helper &&
      (curve.from === point || curve.to === point),
  );
  const [one, other] = ending;
  const mayEnd = ending.every(({ follows }) => follows === undefined);
  return mayEnd && ending.length === 2 && one!.kind === 'line' && other!.kind === 'line'
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
    next = withEndAt(added, line.id, line.from === corner ? 'from' : 'to', end);
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

/**
 * A corner between two lines, eased: a line across it, as far from the sharp corner on either side. The sharp corner stays, with construction lines
 * to where it is cut, so that all that was said of it still holds.
 *
 * @param backMm how far from the corner it is drawn. @param value what that is held to.
 * @returns null where no two lines meet, or it takes more than there is of a line.
 */
export function withEasedCorner(
  outline: DrawnOutline,
  solved: Pick<SolvedDrawing, 'points'>,
  corner: string,
  backMm: number,
  value: Value,
): DrawnOutline | null {
  const lines = linesAtCorner(outline, corner);
  if (!lines || !(backMm > 0)) return null;
  const at = solved.points.get(corner)!;
  let next = withNames(outline);
  const ends: string[] = [];
  const helpers: string[] = [];
  for (const line of lines) {
    const far = solved.points.get(line.from === corner ? line.to : line.from)!;
    const length = Math.hypot(far[0] - at[0], far[1] - at[1]);
    if (backMm >= length) return null;
    const share = backMm / length;
    const [added, end] = withPoint(next, [
      at[0] + share * (far[0] - at[0]),
      at[1] + share * (far[1] - at[1]),
    ]);
    ends.push(end);
    next = withEndAt(added, line.id, line.from === corner ? 'from' : 'to', end);
    next = withRelation(next, { kind: 'onCurve', point: corner, curve: line.id });
    const [helped, helper] = withCurve(next, { kind: 'line', from: corner, to: end, helper: true });
    helpers.push(helper);
    next = helped;
  }
  [next] = withCurve(next, { kind: 'line', from: ends[0]!, to: ends[1]! });
  next = withRelation(next, { kind: 'equal', curves: [helpers[0]!, helpers[1]!] });
  return withDimension(next, { kind: 'distance', points: [corner, ends[0]!], value })[0];
}

/** The sharp corner that an arc rounds or a line eases: the point that both of its neighbours are held to; null for any other curve. */
export function cornerCutBy(outline: DrawnOutline, arcId: string): string | null {
  const named = withNames(outline);
  const arc = named.curves.find(({ id }) => id === arcId);
  if ((arc?.kind !== 'arc' && arc?.kind !== 'line') || arc.helper) return null;
  const lines = [arc.from, arc.to].map((end) =>
    named.curves.find(
      (curve) =>
        curve.kind === 'line' &&
        curve.id !== arcId &&
        !curve.helper &&
        (curve.from === end || curve.to === end),
    ),
  );
  if (!lines[0] || !lines[1]) return null;
  const held = (curve: string) =>
    named.relations.flatMap((one) => (one.kind === 'onCurve' && one.curve === curve ? [one.point] : []));
  const [one, other] = lines.map((curve, index) => held(curveName(curve!, index)));
  return one!.find((point) => other!.includes(point)) ?? null;
}

/** A rounded corner made sharp again: what was said of the corner has been there all along. */
export function withSharpCorner(outline: DrawnOutline, arcId: string): DrawnOutline | null {
  const corner = cornerCutBy(outline, arcId);
  const named = withNames(outline);
  const arc = named.curves.find(({ id }) => id === arcId);
  if (corner === null || (arc?.kind !== 'arc' && arc?.kind !== 'line')) return null;
  const gone = new Set(pointsOfCurve(arc));
  const isHelper = (curve: DrawnCurve) =>
    curve.helper && curve.kind === 'line' && curve.from === corner && gone.has(curve.to);
  const curves = named.curves.flatMap((curve): DrawnCurve[] => {
    if (curve.id === arcId || isHelper(curve)) return [];
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
