import { numberValue, type DrawnCurve, type DrawnOutline, type Followed } from '@core/foundations/fields';
import { pointsOfCurve } from '@core/shaping/drawn';
import type { FollowedPlaces, SeenPiece } from '@core/shaping/part';

import { withCurve, withNames, withPoint } from './names';

/**
 * With a curve or a point that follows what is seen of the part. A curve comes as a construction line, until it is made part of the outline.
 *
 * @returns the outline, and what the curve or the point is called.
 */
export function withFollowing(
  outline: DrawnOutline,
  { of: follows, curve }: Pick<SeenPiece, 'of' | 'curve'>,
): [DrawnOutline, { point?: string; curve?: string }] {
  let next = outline;
  const add = (at: readonly [number, number]): string => {
    const [added, id] = withPoint(next, at);
    next = added;
    return id;
  };
  const drawn = (made: Parameters<typeof withCurve>[1]): [DrawnOutline, { curve: string }] => {
    const [added, id] = withCurve(next, { ...made, helper: true, follows });
    return [added, { curve: id }];
  };
  switch (curve.kind) {
    case 'point': {
      const id = add(curve.at);
      const points = next.points.map((point) => (point.id === id ? { ...point, follows } : point));
      return [{ ...next, points }, { point: id }];
    }
    case 'line':
      return drawn({ kind: 'line', from: add(curve.from), to: add(curve.to) });
    case 'arc':
      return drawn({ kind: 'arc', from: add(curve.from), via: add(curve.via), to: add(curve.to) });
    case 'circle':
      return drawn({
        kind: 'circle',
        middle: add(curve.middle),
        diameter: numberValue(2 * curve.radius),
      });
    case 'spline':
      return drawn({ kind: 'spline', points: curve.points.map(add), closed: curve.closed });
  }
}

/** What follows something already, if a curve or a point does. */
export function followingOf(
  outline: DrawnOutline,
  follows: Followed,
): { point?: string; curve?: string } | null {
  const is = (one: { follows?: Followed | undefined }) =>
    one.follows !== undefined && JSON.stringify(one.follows) === JSON.stringify(follows);
  const curve = withNames(outline).curves.find(is);
  const point = outline.points.find(is);
  return curve ? { curve: curve.id! } : point ? { point: point.id } : null;
}

/** Curves and points that follow the part no longer, and stay as they are drawn. */
export function letGo(
  outline: DrawnOutline,
  { points, curves }: { points: ReadonlySet<string>; curves: ReadonlySet<string> },
): DrawnOutline {
  const named = withNames(outline);
  return {
    ...named,
    points: named.points.map((point) => (points.has(point.id) ? withoutFollows(point) : point)),
    curves: named.curves.map((curve) => (curves.has(curve.id!) ? withoutFollows(curve) : curve)),
  };
}

/** A curve or a point by itself: a copy of what follows the part does not. */
export function withoutFollows<T extends DrawnCurve | DrawnOutline['points'][number]>(one: T): T {
  const { follows: _, ...plain } = one;
  return plain as T;
}

/** Whether any of it follows the part. */
export const followsPart = ({ points, curves }: DrawnOutline): boolean =>
  [...points, ...curves].some(({ follows }) => follows !== undefined);

/** Points that can't be moved, since they or a curve of theirs follow the part. */
export const pointsFollowing = ({ points, curves }: DrawnOutline): ReadonlySet<string> =>
  new Set([
    ...points.flatMap(({ id, follows }) => (follows ? [id] : [])),
    ...curves.flatMap((curve) => (curve.follows ? pointsOfCurve(curve) : [])),
  ]);

/** A drawing with what follows the part put where that is now. */
export function withSeenPlaces(outline: DrawnOutline, places: FollowedPlaces): DrawnOutline {
  // The very same where nothing follows: who holds what was chosen of a drawing knows it by that.
  if (!followsPart(outline)) return outline;
  const following = pointsFollowing(outline);
  const at = new Map(Object.entries(places.points));
  const diameters = new Map(Object.entries(places.diameters));
  return {
    ...outline,
    points: outline.points.map((point) => {
      const now = following.has(point.id) ? at.get(point.id) : undefined;
      return now ? { ...point, x: numberValue(now[0]), y: numberValue(now[1]) } : point;
    }),
    curves: withNames(outline).curves.map((curve, index) => {
      const now = curve.follows && curve.kind === 'circle' ? diameters.get(curve.id!) : undefined;
      const given = outline.curves[index]!;
      return now !== undefined && given.kind === 'circle' ? { ...given, diameter: numberValue(now) } : given;
    }),
  };
}
