import { numberValue, type DrawnCurve, type DrawnOutline } from '@core/foundations/fields';

import { curveName, namesIn, type Place, pointsOfCurve } from '@core/shaping/drawn';

/** A name that nothing has yet: a letter and the next number. */
export function freshName(taken: ReadonlySet<string>, letter: string): string {
  let number = 1;
  while (taken.has(letter + number)) number += 1;
  return letter + number;
}

/** Names of points, of curves, and of relations and dimensions. */
export const pointNames = ({ points }: DrawnOutline) => new Set(points.map(({ id }) => id));
export const curveNames = ({ curves }: DrawnOutline) => new Set(curves.map(curveName));
export const relationNames = ({ relations, dimensions = [] }: DrawnOutline) =>
  new Set([...relations, ...dimensions].map(({ id }) => id));

/** An outline in which every curve has its name written down, so that others may come and go before it. */
export const withNames = (outline: DrawnOutline): DrawnOutline => ({
  ...outline,
  curves: outline.curves.map((curve, index) => ({ ...curve, id: curveName(curve, index) })),
});

/** With a point added. @returns the outline, and what the point is called. */
export function withPoint(outline: DrawnOutline, [x, y]: Place): [DrawnOutline, string] {
  const id = freshName(pointNames(outline), 'P');
  const point = { id, x: numberValue(x), y: numberValue(y) };
  return [{ ...outline, points: [...outline.points, point] }, id];
}

/** Longest name of a face. */
const LONGEST = 12;

/** What the faces of a curve are called, for one that takes its place. */
export function faceOf(curve: DrawnCurve): Pick<DrawnCurve, 'face'> {
  const face = curve.face ?? `curve${curve.id}`;
  return face.length > LONGEST ? {} : { face };
}

type Unnamed<T> = T extends unknown ? Omit<T, 'id'> : never;

/** With a curve added. @returns the outline, and what the curve is called. */
export function withCurve(outline: DrawnOutline, curve: Unnamed<DrawnCurve>): [DrawnOutline, string] {
  const id = freshName(curveNames(outline), 'c');
  const named = withNames(outline);
  return [{ ...named, curves: [...named.curves, { ...curve, id } as DrawnCurve] }, id];
}

export type NewRelation = Unnamed<DrawnOutline['relations'][number]>;
export type NewDimension = Unnamed<NonNullable<DrawnOutline['dimensions']>[number]>;

/** With a relation added; one that stands there already is not added again. */
export function withRelation(outline: DrawnOutline, relation: NewRelation): DrawnOutline {
  const same = ({ id: _, ...other }: DrawnOutline['relations'][number]) =>
    JSON.stringify(other) === JSON.stringify(relation);
  if (outline.relations.some(same)) return outline;
  const id = freshName(relationNames(outline), 'r');
  return {
    ...withNames(outline),
    relations: [...outline.relations, { ...relation, id } as DrawnOutline['relations'][number]],
  };
}

/** With a dimension added. @returns the outline, and what the dimension is called. */
export function withDimension(outline: DrawnOutline, dimension: NewDimension): [DrawnOutline, string] {
  const id = freshName(relationNames(outline), 'd');
  const added = { ...dimension, id } as NonNullable<DrawnOutline['dimensions']>[number];
  return [{ ...withNames(outline), dimensions: [...(outline.dimensions ?? []), added] }, id];
}

/** With a dimension in the place of another, under its name. */
export const withDimensionAs = (
  outline: DrawnOutline,
  id: string,
  dimension: NewDimension,
): DrawnOutline => ({
  ...outline,
  dimensions: (outline.dimensions ?? []).map((one) =>
    one.id === id ? ({ ...dimension, id } as typeof one) : one,
  ),
});

/** Without some relations or dimensions. */
export const withoutRelations = (outline: DrawnOutline, ids: ReadonlySet<string>): DrawnOutline => ({
  ...outline,
  relations: outline.relations.filter(({ id }) => !ids.has(id)),
  dimensions: (outline.dimensions ?? []).filter(({ id }) => !ids.has(id)),
});

/** Without some curves; points that nothing needs any more go too, and what was said of either. */
export function withoutCurves(outline: DrawnOutline, ids: ReadonlySet<string>): DrawnOutline {
  const named = withNames(outline);
  const curves = named.curves.filter((curve, index) => !ids.has(curveName(curve, index)));
  const wasUsed = new Set(named.curves.flatMap(pointsOfCurve));
  const isUsed = new Set(curves.flatMap(pointsOfCurve));
  return tidied({
    ...named,
    curves,
    points: named.points.filter(({ id }) => isUsed.has(id) || !wasUsed.has(id)),
  });
}

/** Without relations and dimensions that name what is not there. */
export function tidied(outline: DrawnOutline): DrawnOutline {
  const [points, curves] = [pointNames(outline), curveNames(outline)];
  const isThere = (one: Parameters<typeof namesIn>[0]) =>
    namesIn(one).every(({ point, curve }) => (point === undefined ? curves.has(curve) : points.has(point)));
  return {
    ...outline,
    relations: outline.relations.filter(isThere),
    dimensions: (outline.dimensions ?? []).filter((one) =>
      isThere({ ...one, angle: 0 } as Parameters<typeof namesIn>[0]),
    ),
  };
}
