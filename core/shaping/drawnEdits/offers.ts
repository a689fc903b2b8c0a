import type { DrawnOutline } from '@core/foundations/fields';

import { curveName, endsOfCurve, type SolvedCurve, type SolvedDrawing } from '@core/shaping/drawn';
import type { NewDimension, NewRelation } from './names';

type Unvalued<T> = T extends unknown ? Omit<T, 'value' | 'angle'> : never;
/** A dimension without its number: what could be measured. */
export type DimensionOffer = Unvalued<NewDimension>;

/** What can be said of what was picked, as the drawing stands. */
export interface Offers {
  relations: NewRelation[];
  dimensions: DimensionOffer[];
}

/** Relations and dimensions that go with points and curves that were picked. */
export function offersFor(
  { curves }: Pick<SolvedDrawing, 'curves'>,
  outline: DrawnOutline,
  points: readonly string[],
  picked: readonly string[],
): Offers {
  const relations: NewRelation[] = [];
  const dimensions: DimensionOffer[] = [];
  const lines = picked.filter((id) => kindOf(curves, id) === 'line');
  const rounds = picked.filter((id) => isRound(curves.find((curve) => curve.id === id)));
  const [p, q] = points;
  const [one, other] = picked;
  const ends = (id: string): [string, string] => {
    const index = outline.curves.findIndex((curve, place) => curveName(curve, place) === id);
    const curve = outline.curves[index] as { from: string; to: string };
    return [curve.from, curve.to];
  };
  if (points.length === 1 && picked.length === 0) {
    relations.push({ kind: 'fixed', point: p! });
    // What would stop it: where it is from the point that stays.
    const datum = outline.relations.find((relation) => relation.kind === 'fixed')?.point;
    if (datum !== undefined && datum !== p) {
      const pair: [string, string] = [datum, p!];
      relations.push({ kind: 'level', points: pair }, { kind: 'upright', points: pair });
      dimensions.push({ kind: 'along', points: pair, axis: 'x' }, { kind: 'along', points: pair, axis: 'y' });
    }
  }
  if (points.length === 2 && picked.length === 0) {
    const pair: [string, string] = [p!, q!];
    relations.push(
      { kind: 'level', points: pair },
      { kind: 'upright', points: pair },
      { kind: 'coincident', points: pair },
    );
    dimensions.push(
      { kind: 'distance', points: pair },
      { kind: 'along', points: pair, axis: 'x' },
      { kind: 'along', points: pair, axis: 'y' },
    );
  }
  if (points.length === 2 && lines.length === 1 && picked.length === 1)
    relations.push({ kind: 'symmetric', points: [p!, q!], about: one! });
  if (points.length === 1 && picked.length === 1) {
    const kind = kindOf(curves, one!);
    if (kind !== 'spline') relations.push({ kind: 'onCurve', point: p!, curve: one! });
    if (kind === 'line' || kind === 'arc') relations.push({ kind: 'midpoint', point: p!, curve: one! });
    if (kind === 'line')
      dimensions.push(
        { kind: 'fromLine', point: p!, curve: one! },
        { kind: 'across', point: p!, curve: one! },
      );
  }
  if (points.length === 0 && picked.length === 1) {
    if (lines.length === 1) {
      relations.push({ kind: 'level', points: ends(one!) }, { kind: 'upright', points: ends(one!) });
      dimensions.push(
        { kind: 'distance', points: ends(one!) },
        { kind: 'along', points: ends(one!), axis: 'x' },
        { kind: 'along', points: ends(one!), axis: 'y' },
      );
    }
    if (kindOf(curves, one!) === 'circle')
      dimensions.push({ kind: 'diameter', curve: one! }, { kind: 'radius', curve: one! });
    if (kindOf(curves, one!) === 'arc')
      dimensions.push(
        { kind: 'radius', curve: one! },
        { kind: 'diameter', curve: one! },
        { kind: 'rise', curve: one! },
      );
  }
  if (points.length === 0 && picked.length === 2) {
    const pair: [string, string] = [one!, other!];
    if (lines.length === 2) {
      for (const kind of ['parallel', 'square', 'equal', 'collinear'] as const)
        relations.push({ kind, curves: pair });
      dimensions.push(
        { kind: 'angle', curves: pair },
        { kind: 'fromLine', point: ends(other!)[0], curve: one! },
      );
    }
    if (rounds.length === 2)
      for (const kind of ['equal', 'tangent', 'concentric'] as const) relations.push({ kind, curves: pair });
    const isSmooth = pair.some((id) => kindOf(curves, id) === 'spline');
    const isOval = pair.some((id) => kindOf(curves, id) === 'ellipse');
    const mayTouch = isSmooth
      ? endsMeet(outline, pair)
      : lines.length === 1 && (rounds.length === 1 || isOval);
    if (mayTouch) relations.push({ kind: 'tangent', curves: pair });
  }
  return { relations, dimensions };
}

const kindOf = (curves: readonly SolvedCurve[], id: string) => curves.find((curve) => curve.id === id)?.kind;

/** Whether two curves share an end. */
function endsMeet({ curves }: DrawnOutline, [one, other]: readonly [string, string]): boolean {
  const ends = (id: string) =>
    curves.filter((curve, place) => curveName(curve, place) === id).flatMap(endsOfCurve);
  return ends(one).some((end) => ends(other).includes(end));
}

const isRound = (curve: SolvedCurve | undefined) => curve?.kind === 'arc' || curve?.kind === 'circle';

/** A line this near to level or upright is proposed to be so, radians; and an arc this near to tangent. */
const NEAR_ANGLE = (7 * Math.PI) / 180;

/** What a curve that was just drawn looks like: level, upright, tangent to its neighbours, square to the last. */
export function looksOf(
  { curves }: Pick<SolvedDrawing, 'curves'>,
  outline: DrawnOutline,
  id: string,
): NewRelation[] {
  const found: NewRelation[] = [];
  const solved = curves.find((curve) => curve.id === id);
  const drawn = outline.curves.find((curve) => curve.id === id);
  if (!solved || !drawn) return found;
  const headingAt = (curve: SolvedCurve, [x, y]: readonly [number, number]): number | null => {
    if (curve.kind === 'line') return Math.atan2(curve.to[1] - curve.from[1], curve.to[0] - curve.from[0]);
    if (curve.kind === 'arc') return Math.atan2(y - curve.middle[1], x - curve.middle[0]) + Math.PI / 2;
    return null;
  };
  /** How far two headings are apart, whichever way they run. */
  const apart = (a: number, b: number) => Math.abs(a - b - Math.PI * Math.round((a - b) / Math.PI));
  if (solved.kind === 'line' && drawn.kind === 'line') {
    const heading = headingAt(solved, solved.from)!;
    if (apart(heading, 0) < NEAR_ANGLE) found.push({ kind: 'level', points: [drawn.from, drawn.to] });
    else if (apart(heading, Math.PI / 2) < NEAR_ANGLE)
      found.push({ kind: 'upright', points: [drawn.from, drawn.to] });
  }
  if (drawn.kind === 'spline')
    // It is drawn to go on smoothly more often than not.
    return outline.curves
      .filter((other) => other.id !== id && endsMeet(outline, [other.id!, id]))
      .map((other) => ({ kind: 'tangent', curves: [other.id!, id] }));
  if ((drawn.kind !== 'line' && drawn.kind !== 'arc') || (solved.kind !== 'line' && solved.kind !== 'arc'))
    return found;
  for (const other of outline.curves) {
    if (other.id === id || (other.kind !== 'line' && other.kind !== 'arc')) continue;
    const shared = [drawn.from, drawn.to].find((end) => end === other.from || end === other.to);
    if (shared === undefined) continue;
    const neighbour = curves.find((curve) => curve.id === other.id)!;
    const at = shared === drawn.from ? solved.from : solved.to;
    const [a, b] = [headingAt(solved, at), headingAt(neighbour, at)];
    if (a === null || b === null) continue;
    const isBothLines = solved.kind === 'line' && neighbour.kind === 'line';
    if (!isBothLines && apart(a, b) < 2 * NEAR_ANGLE)
      found.push({ kind: 'tangent', curves: [other.id!, id] });
    if (isBothLines && found.length === 0 && apart(a, b + Math.PI / 2) < NEAR_ANGLE)
      found.push({ kind: 'square', curves: [other.id!, id] });
  }
  return found;
}
