import fc from 'fast-check';

import { secondsOfMoves, trapezoid } from '@core/making/printing';

const seconds = (points: [number, number][], speed: number, acceleration = 1000, junction = 8) =>
  [
    ...secondsOfMoves(
      { x: points.map(([x]) => x), y: points.map(([, y]) => y), speed: points.map(() => speed) },
      acceleration,
      junction,
    ),
  ].reduce((sum, one) => sum + one, 0);

describe('time of moves', () => {
  test('a long one from rest to rest: the way at full speed, and half of it for speeding up and braking', () => {
    // 100 mm at 50 mm/s is 2 s; each ramp takes 0.05 s at half the speed.
    expect(
      seconds(
        [
          [0, 0],
          [100, 0],
        ],
        50,
      ),
    ).toBeCloseTo(100 / 50 + 50 / 1000, 9);
  });

  test('a short one never gets there: twice the root of the way by the acceleration', () => {
    expect(
      seconds(
        [
          [0, 0],
          [1, 0],
        ],
        100,
      ),
    ).toBeCloseTo(2 * Math.sqrt(1 / 1000), 9);
  });

  test('straight on in two pieces is as quick as in one', () => {
    expect(
      seconds(
        [
          [0, 0],
          [40, 0],
          [100, 0],
        ],
        50,
      ),
    ).toBeCloseTo(
      seconds(
        [
          [0, 0],
          [100, 0],
        ],
        50,
      ),
      9,
    );
  });

  test('round a right angle it goes on with the junction speed over the root of two', () => {
    const at = 8 / Math.SQRT2;
    const ramp = (from: number, to: number) => Math.abs(to - from) / 1000;
    const way = (from: number, to: number) => Math.abs(to ** 2 - from ** 2) / 2000;
    const one = ramp(0, 50) + ramp(50, at) + (30 - way(0, 50) - way(50, at)) / 50;
    expect(
      seconds(
        [
          [0, 0],
          [30, 0],
          [30, 30],
        ],
        50,
      ),
    ).toBeCloseTo(2 * one, 9);
  });

  test('there and back it stops: the change of velocity is twice the speed', () => {
    const turned = seconds(
      [
        [0, 0],
        [30, 0],
        [0, 0],
      ],
      50,
    );
    const junction = 4;
    const one = trapezoid(30, 0, junction, 50, 1000);
    expect(turned).toBeCloseTo(2 * one, 9);
  });

  test('an arc is as long as it is, no quicker than the acceleration holds it, and joins a straight move without a corner', () => {
    // Half a circle of radius 5 between two straight moves of 40: √(1000 · 5) = 70.7 mm/s at most.
    const [x, y] = [
      [0, 40, 40, 0],
      [0, 0, 10, 10],
    ];
    const round = secondsOfMoves({ x, y, sweep: [0, 0, Math.PI, 0], speed: [0, 50, 50, 50] }, 1000, 8);
    expect(round[2]).toBeCloseTo((Math.PI * 5) / 50, 9);
    expect(round[1]).toBeCloseTo(trapezoid(40, 0, 50, 50, 1000), 9);
    const quick = secondsOfMoves({ x, y, sweep: [0, 0, Math.PI, 0], speed: [0, 200, 200, 200] }, 1000, 8);
    expect(quick[2]).toBeCloseTo((Math.PI * 5) / Math.sqrt(5000), 9);
    // The other way round it meets the straight moves head on, and stops there all but 4 mm/s.
    const back = secondsOfMoves({ x, y, sweep: [0, 0, -Math.PI, 0], speed: [0, 50, 50, 50] }, 1000, 8);
    expect(back[1]).toBeCloseTo(trapezoid(40, 0, 4, 50, 1000), 9);
  });

  test('a move without a length takes no time and breaks no corner', () => {
    expect(
      seconds(
        [
          [0, 0],
          [40, 0],
          [40, 0],
          [100, 0],
        ],
        50,
      ),
    ).toBeCloseTo(
      seconds(
        [
          [0, 0],
          [100, 0],
        ],
        50,
      ),
      9,
    );
  });

  test('never quicker than full speed or full acceleration allow, and never slower than stopping at every corner', () => {
    const point = fc.tuple(
      fc.double({ min: 0, max: 50, noNaN: true }),
      fc.double({ min: 0, max: 50, noNaN: true }),
    );
    fc.assert(
      fc.property(
        fc.array(point, { minLength: 2, maxLength: 20 }),
        fc.double({ min: 5, max: 200, noNaN: true }),
        (points, speed) => {
          const lengths = points
            .slice(1)
            .map(([x, y], at) => Math.hypot(x - points[at]![0], y - points[at]![1]));
          const taken = seconds(points, speed);
          const way = lengths.reduce((sum, one) => sum + one, 0);
          const stopping = lengths.reduce(
            (sum, one) => sum + (one > 0 ? trapezoid(one, 0, 0, speed, 1000) : 0),
            0,
          );
          expect(taken).toBeGreaterThanOrEqual(way / speed - 1e-9);
          expect(taken).toBeLessThanOrEqual(stopping + 1e-9);
        },
      ),
    );
  });
});
