import { ok, type Result, type StepFault } from '@core/foundations/fault';

import type { Curve, Loop, Point } from './curves';

export interface Circle {
  middle: Point;
  radius: number;
}

interface Tangent {
  from: number;
  to: number;
  /** Outward normal of the line: radians. */
  turn: number;
}

const CLOSE_MM = 1e-9;

/**
 * The outline of a band stretched round circles: the convex hull of their discs. Roles: round and the number of the
 * circle, side and the number of the circle that it leaves.
 *
 * A line with outward normal n touches the band where n · c + r is largest; it runs from circle i to circle j if that
 * is largest at both. With n · (cⱼ − cᵢ) = rᵢ − rⱼ there is one such line for each ordered pair.
 */
export function hullLoop(circles: readonly Circle[]): Result<Loop, StepFault> {
  // One that lies within another has no part in it, even where it touches that from inside; of two that are the same, the first stands for both.
  const outer = [...circles.keys()].filter(
    (index) =>
      !circles.some(
        (other, place) =>
          place !== index &&
          isWithin(circles[index]!, other) &&
          (place < index || !isWithin(other, circles[index]!)),
      ),
  );
  const tangents = outer.flatMap((from) => outer.flatMap((to) => tangentOf(circles, outer, from, to) ?? []));
  if (tangents.length === 0) {
    const largest = circles.reduce((best, circle) => (circle.radius > best.radius ? circle : best));
    return ok([{ kind: 'circle', ...largest, role: 'round0' }]);
  }
  tangents.sort((a, b) => a.turn - b.turn);
  const on = ({ middle: [x, y], radius }: Circle, turn: number): Point => [
    x + radius * Math.cos(turn),
    y + radius * Math.sin(turn),
  ];
  return ok(
    tangents.flatMap((tangent, index): Curve[] => {
      const next = tangents[(index + 1) % tangents.length]!;
      const circle = circles[tangent.to]!;
      const line: Curve = {
        kind: 'line',
        from: on(circles[tangent.from]!, tangent.turn),
        to: on(circle, tangent.turn),
        role: `side${tangent.from}`,
      };
      const sweep = (next.turn - tangent.turn + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
      return [
        line,
        {
          kind: 'arc',
          from: line.to,
          via: on(circle, tangent.turn + sweep / 2),
          to: on(circle, next.turn),
          role: `round${tangent.to}`,
        },
      ];
    }),
  );
}

const isWithin = (inner: Circle, other: Circle) =>
  Math.hypot(inner.middle[0] - other.middle[0], inner.middle[1] - other.middle[1]) + inner.radius <
  other.radius + CLOSE_MM;

function tangentOf(
  circles: readonly Circle[],
  outer: readonly number[],
  from: number,
  to: number,
): Tangent | null {
  if (from === to) return null;
  const [a, b] = [circles[from]!, circles[to]!];
  const [dx, dy] = [b.middle[0] - a.middle[0], b.middle[1] - a.middle[1]];
  const apart = Math.hypot(dx, dy);
  const share = (a.radius - b.radius) / apart;
  // One within the other: no line touches both.
  if (!(Math.abs(share) < 1)) return null;
  const [ux, uy] = [dx / apart, dy / apart];
  const aside = Math.sqrt(1 - share * share);
  const normal: Point = [share * ux + aside * uy, share * uy - aside * ux];
  const reachOf = ({ middle: [x, y], radius }: Circle) => normal[0] * x + normal[1] * y + radius;
  const reach = reachOf(a);
  for (const index of outer) {
    if (index === from || index === to) continue;
    const circle = circles[index]!;
    const more = reachOf(circle) - reach;
    if (more > CLOSE_MM) return null;
    if (more < -CLOSE_MM) continue;
    // It touches the same line: only the longest run of it is a side, counted where they touch.
    const along = normal[0] * (circle.middle[1] - a.middle[1]) - normal[1] * (circle.middle[0] - a.middle[0]);
    if (along < -CLOSE_MM || along > apart * aside + CLOSE_MM) return null;
  }
  return { from, to, turn: Math.atan2(normal[1], normal[0]) };
}
