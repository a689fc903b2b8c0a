import type { DrawnCurve, DrawnOutline } from '@core/foundations/fields';
import { namesIn, pointsOfCurve, type Place } from '@core/shaping/drawn';

import { withNames, withPoint, withRelation } from './names';

/** Whether a relation or a dimension says something of a point. */
const isNamed = (outline: DrawnOutline, point: string): boolean =>
  [...outline.relations, ...(outline.dimensions ?? [])].some((one) =>
    namesIn({ ...one, angle: 0 } as Parameters<typeof namesIn>[0]).some((name) => name.point === point),
  );

const isInCurve = (outline: DrawnOutline, point: string): boolean =>
  outline.curves.some((curve) => pointsOfCurve(curve).includes(point));

/** Without points that no curve runs through and of which nothing is said. */
export const withoutIdle = (outline: DrawnOutline, points: readonly string[]): DrawnOutline => ({
  ...outline,
  points: outline.points.filter(
    ({ id }) => !points.includes(id) || isNamed(outline, id) || isInCurve(outline, id),
  ),
});

/** A line or an arc that ends at another point; that this is on the curve goes without saying then. */
export const withEndAt = (
  outline: DrawnOutline,
  curve: string,
  end: 'from' | 'to',
  point: string,
): DrawnOutline => ({
  ...outline,
  curves: outline.curves.map((one) => (one.id === curve ? ({ ...one, [end]: point } as DrawnCurve) : one)),
  relations: outline.relations.filter(
    (one) => !(one.kind === 'onCurve' && one.point === point && one.curve === curve),
  ),
});

/**
 * A curve that ends at another point than before. The old end stays on the curve's continuation as long as anything else has to do with it, so
 * that all that was said of it still holds.
 */
export function withEnd(
  outline: DrawnOutline,
  curve: string,
  end: 'from' | 'to',
  point: string,
): DrawnOutline {
  const named = withNames(outline);
  const before = named.curves.find(({ id }) => id === curve);
  if (before?.kind !== 'line' && before?.kind !== 'arc') return outline;
  const old = before[end];
  const next = withEndAt(named, curve, end, point);
  return isNamed(next, old) || isInCurve(next, old)
    ? withRelation(next, { kind: 'onCurve', point: old, curve })
    : withoutIdle(next, [old]);
}

/** An arc drawn through another place between its ends. */
export function withVia(outline: DrawnOutline, arc: string, at: Place): DrawnOutline {
  const named = withNames(outline);
  const before = named.curves.find(({ id }) => id === arc);
  if (before?.kind !== 'arc') return outline;
  const [added, via] = withPoint(named, at);
  const next: DrawnOutline = {
    ...added,
    curves: added.curves.map((curve) => (curve.id === arc ? { ...before, via } : curve)),
  };
  return withoutIdle(next, [before.via]);
}

/**
 * What is said of a curve from end to end, loosened before its ends move: a point halfway along it stays on it, its rise only tells, and
 * a line is no longer as long as another.
 *
 * @returns the outline, and whether there was any such thing.
 */
export function loosened(outline: DrawnOutline, curve: string): [DrawnOutline, boolean] {
  const isLine = withNames(outline).curves.find(({ id }) => id === curve)?.kind === 'line';
  let isChanged = false;
  const relations = outline.relations.flatMap((one): DrawnOutline['relations'] => {
    const isHalfway = one.kind === 'midpoint' && one.curve === curve;
    const isAsLong = isLine && one.kind === 'equal' && one.curves.includes(curve);
    isChanged ||= isHalfway || isAsLong;
    if (isHalfway) return [{ ...one, kind: 'onCurve' }];
    return isAsLong ? [] : [one];
  });
  const dimensions = (outline.dimensions ?? []).map((one) => {
    if (one.kind !== 'rise' || one.curve !== curve || one.reference) return one;
    isChanged = true;
    return { ...one, reference: true as const };
  });
  return [{ ...outline, relations, ...(outline.dimensions ? { dimensions } : {}) }, isChanged];
}
