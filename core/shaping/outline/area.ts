import { circleThrough } from '@core/foundations/vectors';

import type { Region } from './chain';
import type { Curve, Loop, Point } from './curves';
import { smoothed } from './polygon';

/** Pieces between two points of a smooth line when its area is summed. */
const FINE = 200;

/** What a region covers, mm²: exact for lines, arcs, circles and ellipses (Green's theorem), smooth lines by fine pieces. */
export const regionArea = ({ outer, holes }: Region): number =>
  holes.reduce((sum, hole) => sum - Math.abs(loopArea(hole)), Math.abs(loopArea(outer)));

/** Half of ∮ x dy − y dx. */
const loopArea = (loop: Loop): number => loop.reduce((sum, curve) => sum + swept(curve), 0);

const between = ([ax, ay]: Point, [bx, by]: Point) => (ax * by - ay * bx) / 2;

function swept(curve: Curve): number {
  switch (curve.kind) {
    case 'line':
      return between(curve.from, curve.to);
    case 'circle':
      return Math.PI * curve.radius ** 2;
    case 'ellipse':
      return Math.PI * curve.alongX * curve.alongY;
    case 'arc': {
      const { from, via, to } = curve;
      const { radius } = circleThrough(from, via, to);
      const chord = Math.hypot(to[0] - from[0], to[1] - from[1]);
      const off = (via[0] - from[0]) * (to[1] - from[1]) - (via[1] - from[1]) * (to[0] - from[0]);
      // The angle at `via` over the chord is half a turn less half of the sweep.
      const [a, b] = [
        [from[0] - via[0], from[1] - via[1]],
        [to[0] - via[0], to[1] - via[1]],
      ] as const;
      const at = Math.abs(Math.atan2(a[0] * b[1] - a[1] * b[0], a[0] * b[0] + a[1] * b[1]));
      const sweep = chord === 0 ? 2 * Math.PI : 2 * (Math.PI - at);
      const segment = (radius ** 2 / 2) * (sweep - Math.sin(sweep));
      return between(from, to) + (off > 0 ? segment : -segment);
    }
    case 'spline': {
      const points = smoothed(curve.points, curve.closed ?? false, curve.even ?? false, FINE);
      const closed = curve.closed ? [...points, points[0]!] : points;
      return closed.slice(1).reduce((sum, point, index) => sum + between(closed[index]!, point), 0);
    }
  }
}
