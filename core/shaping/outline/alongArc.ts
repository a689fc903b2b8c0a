import { circleThrough } from '@core/foundations/vectors';

import type { Curve, Point } from './curves';

/** Places along an arc by their share of it, from its first end, the way round that it goes. */
export function alongArc({
  from,
  via,
  to,
}: Omit<Extract<Curve, { kind: 'arc' }>, 'role'>): (share: number) => Point {
  const { middle, radius } = circleThrough(from, via, to);
  const turnOf = ([x, y]: Point) => Math.atan2(y - middle[1], x - middle[0]);
  const full = 2 * Math.PI;
  const start = turnOf(from);
  const past = (at: Point) => (turnOf(at) - start + 2 * full) % full;
  const sweep = past(via) < past(to) ? past(to) : past(to) - full;
  return (share) => [
    middle[0] + radius * Math.cos(start + share * sweep),
    middle[1] + radius * Math.sin(start + share * sweep),
  ];
}
