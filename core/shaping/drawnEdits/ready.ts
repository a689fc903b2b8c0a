import { numberValue, type DrawnOutline } from '@core/foundations/fields';
import type { Place } from '@core/shaping/drawn';

import { withCurve, withPoint, withRelation } from './names';

/** Points at places, and what they are called. */
function withPoints(outline: DrawnOutline, places: readonly Place[]): [DrawnOutline, string[]] {
  let next = outline;
  const ids = places.map((place) => {
    const [added, id] = withPoint(next, place);
    next = added;
    return id;
  });
  return [next, ids];
}

/** Lines from point to point, and back to the first. */
function withRing(outline: DrawnOutline, corners: readonly string[]): [DrawnOutline, string[]] {
  let next = outline;
  const lines = corners.map((from, index) => {
    const [added, id] = withCurve(next, { kind: 'line', from, to: corners[(index + 1) % corners.length]! });
    next = added;
    return id;
  });
  return [next, lines];
}

/** A rectangle, level, from a point to the corner opposite: it can still move, and change in length and breadth. */
export function withRectangle(
  outline: DrawnOutline,
  first: string,
  [ax, ay]: Place,
  [bx, by]: Place,
): DrawnOutline {
  const [placed, [b, c, d]] = withPoints(outline, [
    [bx, ay],
    [bx, by],
    [ax, by],
  ]) as [DrawnOutline, [string, string, string]];
  const [ring] = withRing(placed, [first, b, c, d]);
  let next = withRelation(ring, { kind: 'level', points: [first, b] });
  next = withRelation(next, { kind: 'upright', points: [b, c] });
  next = withRelation(next, { kind: 'level', points: [c, d] });
  return withRelation(next, { kind: 'upright', points: [d, first] });
}

/** Sides of a polygon that can be drawn. */
export const [LEAST_SIDES, MOST_SIDES] = [3, 60];

/**
 * A regular polygon about a point, with one corner at a place: every corner is the one before it, turned about the middle. A construction circle runs
 * through its corners, so that it can be sized by them as well as by its flats.
 */
export function withPolygon(
  outline: DrawnOutline,
  middle: string,
  [mx, my]: Place,
  [ax, ay]: Place,
  sides: number,
): DrawnOutline {
  const angle = (2 * Math.PI) / sides;
  const [dx, dy] = [ax - mx, ay - my];
  const [placed, corners] = withPoints(
    outline,
    Array.from({ length: sides }, (_, index): Place => {
      const [cos, sin] = [Math.cos(index * angle), Math.sin(index * angle)];
      return [mx + cos * dx - sin * dy, my + sin * dx + cos * dy];
    }),
  );
  let [next] = withRing(placed, corners);
  for (let index = 1; index < sides; index += 1)
    next = withRelation(next, {
      kind: 'turned',
      points: [corners[index - 1]!, corners[index]!],
      about: middle,
      angle,
    });
  const [round, circle] = withCurve(next, {
    kind: 'circle',
    middle,
    diameter: numberValue(2 * Math.hypot(dx, dy)),
    helper: true,
  });
  return withRelation(round, { kind: 'onCurve', point: corners[0]!, curve: circle });
}

/**
 * A slot from one middle to the other: two round ends of one size and two sides. Construction lines across its ends hold their middles, so that it is
 * sized by how far these are apart and by a diameter.
 */
export function withSlot(
  outline: DrawnOutline,
  [first, last]: readonly [string, string],
  [[ax, ay], [bx, by]]: readonly [Place, Place],
  radiusMm: number,
): DrawnOutline {
  const length = Math.hypot(bx - ax, by - ay);
  const [ux, uy] = [(radiusMm * (bx - ax)) / length, (radiusMm * (by - ay)) / length];
  const [placed, [p, q, r, s, tipB, tipA]] = withPoints(outline, [
    [ax + uy, ay - ux],
    [bx + uy, by - ux],
    [bx - uy, by + ux],
    [ax - uy, ay + ux],
    [bx + ux, by + uy],
    [ax - ux, ay - uy],
  ]) as [DrawnOutline, [string, string, string, string, string, string]];
  const [one, side] = withCurve(placed, { kind: 'line', from: p, to: q });
  const [two, end] = withCurve(one, { kind: 'arc', from: q, via: tipB, to: r });
  const [three, back] = withCurve(two, { kind: 'line', from: r, to: s });
  const [four, start] = withCurve(three, { kind: 'arc', from: s, via: tipA, to: p });
  const [five, acrossEnd] = withCurve(four, { kind: 'line', from: q, to: r, helper: true });
  const [six, acrossStart] = withCurve(five, { kind: 'line', from: s, to: p, helper: true });
  let next = six;
  for (const curves of [
    [side, end],
    [end, back],
    [back, start],
    [start, side],
  ] as [string, string][])
    next = withRelation(next, { kind: 'tangent', curves });
  next = withRelation(next, { kind: 'equal', curves: [start, end] });
  next = withRelation(next, { kind: 'midpoint', point: first, curve: acrossStart });
  return withRelation(next, { kind: 'midpoint', point: last, curve: acrossEnd });
}
