import fc from 'fast-check';

import { alongSmooth, polesOfClosed, smoothLine } from './smoothLine';

const near = (one: readonly number[], other: readonly number[]) =>
  Math.hypot(...one.map((value, axis) => value - other[axis]!));
/** How far the points of one line are from those of another that is sampled alike, at most. */
const apart = (a: number[][], b: number[][]) => Math.max(...a.map((point, index) => near(point, b[index]!)));

/** Points of a lens that mirror each other left to right, unevenly spaced. */
const LENS = [
  [30, 0],
  [22, 11],
  [5, 14],
  [-5, 14],
  [-22, 11],
  [-30, 0],
  [-8, -9],
  [8, -9],
];
const mirrored = ([x, y]: readonly number[]) => [-x!, y!];

describe('a closed smooth line', () => {
  test('is as symmetric as its points', () => {
    const all = alongSmooth(smoothLine(LENS, true), 8);
    // Mirrored, it begins at the sixth point and runs the other way.
    const back = [...LENS].map(mirrored).reverse();
    const begun = [...back.slice(2), ...back.slice(0, 2)];
    expect(begun[0]).toEqual(LENS[0]);
    expect(apart(alongSmooth(smoothLine(begun, true), 8), all)).toBeLessThan(1e-12);
  });

  test('is the same whichever point it begins at', () => {
    const place = fc.tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 }));
    const points = fc
      .uniqueArray(place, { minLength: 3, maxLength: 12, selector: ([x, y]) => `${x} ${y}` })
      .map((list) => list.map(([x, y]) => [x, y]));
    fc.assert(
      fc.property(points, fc.nat({ max: 11 }), (list, by) => {
        const shift = by % list.length;
        const other = alongSmooth(smoothLine([...list.slice(shift), ...list.slice(0, shift)], true), 5);
        const all = alongSmooth(smoothLine(list, true), 5);
        const turned = [...all.slice(5 * shift), ...all.slice(0, 5 * shift)];
        expect(apart(other, turned)).toBeLessThan(1e-9);
      }),
    );
  });

  test('goes through its points, and bends without a jump, at the first one too', () => {
    const line = smoothLine(LENS, true);
    const fine = alongSmooth(line, 1000);
    for (const [index, point] of LENS.entries()) expect(near(fine[1000 * index]!, point)).toBeLessThan(1e-12);
    // Second differences, by the square of the step, on both sides of each point.
    for (const index of LENS.keys()) {
      const at = 1000 * index;
      const get = (offset: number) => fine[(at + offset + fine.length) % fine.length]!;
      const step = (piece: number) =>
        (line.knots[((piece + LENS.length) % LENS.length) + 1]! -
          line.knots[(piece + LENS.length) % LENS.length]!) /
        1000;
      const second = (middle: number, piece: number) =>
        get(middle).map(
          (value, axis) => (get(middle + 1)[axis]! - 2 * value + get(middle - 1)[axis]!) / step(piece) ** 2,
        );
      expect(near(second(1, index), second(-1, index - 1))).toBeLessThan(2e-3);
    }
  });

  test('through points of a circle is within 3 thousandths of its radius', () => {
    const circle = Array.from({ length: 8 }, (_, index) => [
      10 * Math.cos((index * Math.PI) / 4),
      10 * Math.sin((index * Math.PI) / 4),
    ]);
    for (const point of alongSmooth(smoothLine(circle, true), 10)) {
      expect(Math.abs(Math.hypot(...point) - 10)).toBeLessThan(0.03);
    }
  });

  test('has the poles of its spline: the mean of three weighs (1, 4, 1) / 6 where knots are even', () => {
    const poles = polesOfClosed(smoothLine(LENS, true, true));
    for (const [index, point] of LENS.entries()) {
      // Pole k has the knots k − 2 to k, so that the point k is between poles k, k + 1 and k + 2.
      const [a, b, c] = [0, 1, 2].map((by) => poles[(index + by) % LENS.length]!) as [
        number[],
        number[],
        number[],
      ];
      expect(
        near(
          a.map((value, axis) => (value + 4 * b[axis]! + c[axis]!) / 6),
          point,
        ),
      ).toBeLessThan(1e-12);
    }
  });
});

describe('an open smooth line', () => {
  test('through points of a cubic is that cubic', () => {
    // x is the parameter where chords are even along it; so y may be any cubic of it.
    const cubic = (x: number) => 0.02 * x ** 3 - 0.3 * x ** 2 + x;
    const points = Array.from({ length: 6 }, (_, index) => [index, cubic(index)]);
    for (const [x, y] of alongSmooth(smoothLine(points, false, true), 7)) {
      expect(y).toBeCloseTo(cubic(x!), 12);
    }
  });

  test('through two points is straight, through three a parabola', () => {
    expect(
      alongSmooth(
        smoothLine(
          [
            [0, 0],
            [4, 2],
          ],
          false,
        ),
        4,
      )[2],
    ).toEqual([2, 1]);
    const three = smoothLine(
      [
        [0, 0],
        [1, 1],
        [2, 4],
      ],
      false,
      true,
    );
    for (const [x, y] of alongSmooth(three, 5)) expect(y).toBeCloseTo(x! ** 2, 12);
  });
});
