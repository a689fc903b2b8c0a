import fc from 'fast-check';

import { pointsLoop } from './points';
import { circleThrough } from '@core/foundations/vectors';

import { areaOf, polygonOf } from './polygon';
import { evenedLoops } from './evened';
import { gearLoop, rackLoop } from './gear';
import { gearRadii, halfToothAngle } from './gearTeeth';
import { hullLoop } from './hull';
import type { Curve, Loop, Point } from './curves';

const DEGREE = Math.PI / 180;
const ends = (curve: Curve): [Point, Point] => {
  if (curve.kind === 'line' || curve.kind === 'arc') return [curve.from, curve.to];
  if (curve.kind === 'spline') return [curve.points[0]!, curve.points.at(-1)!];
  throw new Error('closed by itself');
};
const apart = ([ax, ay]: Point, [bx, by]: Point) => Math.hypot(ax - bx, ay - by);
/** Every curve begins where the one before it ends, and the last comes back to the first. */
function expectClosed(loop: Loop): void {
  loop.forEach((curve, index) => {
    expect(apart(ends(curve)[1], ends(loop[(index + 1) % loop.length]!)[0])).toBeLessThan(1e-9);
  });
}
const loopOf = (result: ReturnType<typeof hullLoop>): Loop => {
  if (!result.ok) throw new Error(result.fault.code);
  return result.value;
};

describe('a band round circles', () => {
  const circle = fc.record({
    middle: fc.tuple(fc.integer({ min: -30, max: 30 }), fc.integer({ min: -30, max: 30 })),
    radius: fc.integer({ min: 1, max: 12 }),
  });

  test('holds every circle, touches only circles, and turns one way', () => {
    fc.assert(
      fc.property(fc.array(circle, { minLength: 2, maxLength: 7 }), (circles) => {
        const loop = loopOf(hullLoop(circles as { middle: Point; radius: number }[]));
        if (loop[0]!.kind === 'circle') return;
        expectClosed(loop);
        for (const curve of loop) {
          if (curve.kind !== 'line') continue;
          const [[ax, ay], [bx, by]] = ends(curve);
          const length = Math.hypot(bx - ax, by - ay);
          if (length < 1e-9) continue;
          for (const { middle, radius } of circles) {
            // Left of every side by at least its radius: the outline goes round anticlockwise.
            const side = ((bx - ax) * (middle[1] - ay) - (by - ay) * (middle[0] - ax)) / length;
            expect(side).toBeGreaterThan(radius - 1e-6);
          }
        }
      }),
    );
  });

  test('of which two are the same is that of each once', () => {
    const one = { middle: [-11, 28] as Point, radius: 10 };
    const other = { middle: [0, 0] as Point, radius: 1 };
    const loop = loopOf(hullLoop([one, one, other]));
    expectClosed(loop);
    expect(loop).toHaveLength(4);
    expect(areaOf(polygonOf(loop))).toBeCloseTo(areaOf(polygonOf(loopOf(hullLoop([one, other])))), 9);
  });

  test('of which one touches another from inside does without it', () => {
    const circles = [
      { middle: [-1, 0] as Point, radius: 8 },
      { middle: [0, 1] as Point, radius: 9 },
      { middle: [0, -5] as Point, radius: 3 },
    ];
    const loop = loopOf(hullLoop(circles));
    expectClosed(loop);
    expect(areaOf(polygonOf(loop))).toBeCloseTo(areaOf(polygonOf(loopOf(hullLoop(circles.slice(0, 2))))), 9);
  });

  test('of three that touch one line leaves out the one between', () => {
    const loop = loopOf(
      hullLoop([
        { middle: [13, -1], radius: 2 },
        { middle: [6, 0], radius: 9 },
        { middle: [5, -2], radius: 10 },
      ]),
    );
    expectClosed(loop);
    expect(loop.map(({ role }) => role)).toEqual(['side2', 'round1', 'side1', 'round2']);
  });

  test('of one circle within another is the larger', () => {
    const loop = loopOf(
      hullLoop([
        { middle: [0, 0], radius: 2 },
        { middle: [1, 0], radius: 9 },
      ]),
    );
    expect(loop).toEqual([{ kind: 'circle', middle: [1, 0], radius: 9, role: 'round0' }]);
  });
});

describe('outlines of points', () => {
  test('come back anticlockwise and closed, whichever way they were typed', () => {
    const square: Point[] = [
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ];
    for (const points of [square, [...square].reverse()]) {
      const loop = loopOf(
        pointsLoop(
          points.map((at) => ({ at, via: false })),
          'straight',
        ),
      );
      expectClosed(loop);
      expect(areaOf(loop.map((curve) => ends(curve)[0]))).toBeCloseTo(100, 9);
    }
  });

  test('name what is wrong', () => {
    const typed = (points: [number, number, boolean?][]) =>
      pointsLoop(
        points.map(([x, y, via]) => ({ at: [x, y], via: via ?? false })),
        'straight',
      );
    expect(
      typed([
        [0, 0],
        [0, 0],
        [5, 5],
      ]),
    ).toMatchObject({ ok: false, fault: { code: 'outline.pointsMeet', place: 1 } });
    expect(
      typed([
        [0, 0],
        [5, 0, true],
        [9, 3, true],
        [0, 9],
      ]),
    ).toMatchObject({
      ok: false,
      fault: { code: 'outline.arcNeedsEnds' },
    });
    expect(
      typed([
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ]),
    ).toMatchObject({ ok: false, fault: { code: 'outline.crosses' } });
  });

  test('an arc through a point that lies on its chord is a line', () => {
    const loop = loopOf(
      pointsLoop(
        [
          { at: [0, 0], via: false },
          { at: [5, 0], via: true },
          { at: [10, 0], via: false },
          { at: [5, 8], via: false },
        ],
        'straight',
      ),
    );
    expect(loop.map(({ kind }) => kind)).toEqual(['line', 'line', 'line']);
  });

  test('the circle through three points has all of them on it', () => {
    const point = fc.tuple(fc.integer({ min: -20, max: 20 }), fc.integer({ min: -20, max: 20 }));
    fc.assert(
      fc.property(point, point, point, (a, b, c) => {
        fc.pre(Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) > 1);
        const { middle, radius } = circleThrough(a, b, c);
        for (const at of [a, b, c]) expect(apart(middle, at)).toBeCloseTo(radius, 6);
      }),
    );
  });
});

describe('teeth', () => {
  const gear = {
    teeth: 24,
    module: 1.5,
    pressure: 20 * DEGREE,
    shift: 0,
    backlash: 0,
    side: 'outside' as const,
  };

  test('radii of the basic rack of ISO 53, and of a ring', () => {
    expect(gearRadii(gear)).toEqual({ pitch: 18, base: 18 * Math.cos(20 * DEGREE), tip: 19.5, root: 16.125 });
    expect(gearRadii({ ...gear, side: 'inside' })).toMatchObject({ tip: 19.875, root: 16.5 });
  });

  test('on the pitch circle a tooth is as wide as its gap', () => {
    expect(2 * halfToothAngle(gear, 18)).toBeCloseTo(Math.PI / 24, 12);
    // Thinner by the backlash, along the pitch circle.
    expect(2 * 18 * halfToothAngle({ ...gear, backlash: 0.2 }, 18)).toBeCloseTo(
      (18 * Math.PI) / 24 - 0.2,
      12,
    );
  });

  test('a gear and a ring of the same teeth mesh: the ring’s gap is the gear’s tooth', () => {
    for (const radius of [17.2, 18, 19.2]) {
      expect(halfToothAngle({ ...gear, side: 'inside' }, radius)).toBeCloseTo(
        halfToothAngle(gear, radius),
        12,
      );
    }
  });

  test('the outline is closed, has every tooth, and keeps between root and tip', () => {
    const made = gearLoop(gear);
    if (!made.ok) throw new Error(made.fault.code);
    expectClosed(made.value);
    expect(made.value.filter(({ role }) => role.startsWith('tip'))).toHaveLength(24);
    const { root, tip } = gearRadii(gear);
    for (const curve of made.value) {
      for (const point of curve.kind === 'spline' ? curve.points : ends(curve)) {
        const radius = Math.hypot(...point);
        expect(radius).toBeGreaterThan(root - 1e-9);
        expect(radius).toBeLessThan(tip + 1e-9);
      }
    }
  });

  test('teeth that can’t be are told', () => {
    expect(gearLoop({ ...gear, teeth: 8, shift: 1.2 })).toMatchObject({
      ok: false,
      fault: { code: 'gear.pointed' },
    });
    expect(rackLoop({ teeth: 4, module: 1, pressure: 0.6, backlash: 0.9, body: 3 })).toMatchObject({
      ok: false,
      fault: { code: 'gear.pointed' },
    });
  });

  test('a rack repeats by its pitch', () => {
    const made = rackLoop({ teeth: 4, module: 2, pressure: 20 * DEGREE, backlash: 0, body: 5 });
    if (!made.ok) throw new Error(made.fault.code);
    expectClosed(made.value);
    const tips = made.value.filter(({ role }) => role.startsWith('tip')).map((curve) => ends(curve)[0][0]);
    const steps = tips.slice(1).map((x, index) => Math.abs(x - tips[index]!));
    for (const step of steps) expect(step).toBeCloseTo(2 * Math.PI, 9);
  });
});

test('circles of a blend are cut at the turns of the corners of the others', () => {
  const square: Loop = [
    { kind: 'line', from: [5, -5], to: [5, 5], role: 'right' },
    { kind: 'line', from: [5, 5], to: [-5, 5], role: 'back' },
    { kind: 'line', from: [-5, 5], to: [-5, -5], role: 'left' },
    { kind: 'line', from: [-5, -5], to: [5, -5], role: 'front' },
  ];
  const [circle, same] = evenedLoops([[{ kind: 'circle', middle: [2, 1], radius: 4, role: 'wall' }], square]);
  expect(same).toEqual(square);
  expect(circle).toHaveLength(4);
  expectClosed(circle!);
  circle!.forEach((arc, index) => {
    const [from] = ends(arc);
    const corner = ends(square[index]!)[0];
    expect(Math.atan2(from[1] - 1, from[0] - 2)).toBeCloseTo(Math.atan2(corner[1], corner[0]), 9);
  });
});
