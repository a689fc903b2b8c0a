import fc from 'fast-check';

import { withArcs } from './biarcs';
import type { Point } from './curves';
import { circleThrough } from '@core/foundations/vectors';

/** Half of an ellipse, by points of it. */
const half = (alongX: number, alongY: number, count: number): Point[] =>
  Array.from({ length: count + 1 }, (_, at) => {
    const turn = (Math.PI * at) / count;
    return [alongX * Math.cos(turn), alongY * Math.sin(turn)];
  });

/** The direction at an end of an arc or a line. */
function direction(curve: ReturnType<typeof withArcs>[number], end: 'from' | 'to'): Point {
  if (curve.kind === 'line') return [curve.to[0] - curve.from[0], curve.to[1] - curve.from[1]];
  if (curve.kind !== 'arc') throw new Error(curve.kind);
  const { middle } = circleThrough(curve.from, curve.via, curve.to);
  const [x, y] = [curve[end][0] - middle[0], curve[end][1] - middle[1]];
  const onward = (curve.to[0] - curve.from[0]) * -y + (curve.to[1] - curve.from[1]) * x;
  return onward > 0 ? [-y, x] : [y, -x];
}

test('whatever the ellipse: its half becomes arcs that stay near it and go on without a corner', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 3, max: 40, noNaN: true }),
      fc.double({ min: 3, max: 40, noNaN: true }),
      (alongX, alongY) => {
        const points = half(alongX, alongY, 80);
        const arcs = withArcs([{ kind: 'spline', points, role: 'side0' }], 0.005);
        expect(arcs.length).toBeGreaterThanOrEqual(2);
        expect(arcs.length).toBeLessThan(60);
        expect(arcs[0]).toMatchObject({ from: points[0] });
        expect(arcs.at(-1)).toMatchObject({ to: points.at(-1) });
        arcs.forEach((arc, index) => {
          if (arc.kind !== 'line' && arc.kind !== 'arc') throw new Error(arc.kind);
          if (arc.kind === 'arc') {
            // Its middle lies on the ellipse, within what its points lie off.
            const [x, y] = [arc.via[0] / alongX, arc.via[1] / alongY];
            expect(Math.abs(Math.hypot(x, y) - 1) * Math.min(alongX, alongY)).toBeLessThan(0.012);
          }
          const next = arcs[index + 1];
          if (!next || (next.kind !== 'line' && next.kind !== 'arc')) return;
          expect(next.from).toEqual(arc.to);
          const [[ax, ay], [bx, by]] = [direction(arc, 'to'), direction(next, 'from')];
          expect(Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by))).toBeLessThan(1e-4);
        });
      },
    ),
    { numRuns: 60 },
  );
});

test('a piece of a circle is its arcs, and lines and arcs stay what they are, in order', () => {
  const arcs = withArcs(
    [
      { kind: 'line', from: [-10, 0], to: [10, 0], role: 'a' },
      { kind: 'spline', points: half(10, 10, 40), role: 'b' },
    ],
    0.001,
  );
  expect(arcs.map(({ kind, role }) => [kind, role])).toEqual([
    ['line', 'side0'],
    ['arc', 'side1'],
    ['arc', 'side2'],
  ]);
  for (const arc of arcs.slice(1)) {
    if (arc.kind !== 'arc') throw new Error(arc.kind);
    const { middle, radius } = circleThrough(arc.from, arc.via, arc.to);
    expect(Math.hypot(...middle)).toBeLessThan(1e-6);
    expect(radius).toBeCloseTo(10, 6);
  }
});
