import type { Prediction } from '@core/measuring/adjustment';

import { Jet } from './jets';
import type { At } from './slopes';

/** Points that say which way a smooth curve leaves its end. */
const NODES = 4;

/**
 * Which way an open smooth curve goes from its first point, radians from x: that of the polynomial through the nearest four points at the lengths
 * of their chords, or through as many as there are, as `smoothLine` leaves its ends (slope by Lagrange).
 *
 * @param points its points from that end on, two at least.
 */
export function headingOfEnd(points: readonly At[], v: ArrayLike<number>): Prediction {
  const used = points.slice(0, NODES);
  const unknowns = used.flat();
  const jetOf = (place: number) => Jet.unknown(v[unknowns[place]!]!, place, unknowns.length);
  const places = used.map((_, index) => [jetOf(2 * index), jetOf(2 * index + 1)] as const);
  const zero = new Jet(
    0,
    unknowns.map(() => 0),
  );
  const one = new Jet(1, zero.slopes);
  const knots = [zero];
  for (let index = 1; index < places.length; index += 1) {
    const [[ax, ay], [bx, by]] = [places[index - 1]!, places[index]!];
    knots.push(knots[index - 1]!.plus(bx.minus(ax).hypot(by.minus(ay))));
  }
  // The first point's own weight, and those of the others: each the derivative of its polynomial at the end.
  let own = zero;
  const weights = knots.map((knot, node) => {
    if (node === 0) return zero;
    own = own.minus(one.over(knot));
    return knots.reduce(
      (weight, other, index) =>
        index === 0 || index === node ? weight : weight.times(zero.minus(other).over(knot.minus(other))),
      one.over(knot),
    );
  });
  weights[0] = own;
  const slope = (axis: 0 | 1) =>
    places.reduce((total, place, node) => total.plus(weights[node]!.times(place[axis])), zero);
  const heading = slope(1).headingOver(slope(0));
  return { value: heading.value, at: unknowns, slopes: heading.slopes };
}
