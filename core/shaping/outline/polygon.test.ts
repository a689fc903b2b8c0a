import fc from 'fast-check';

import type { Point } from './curves';
import { crosses } from './polygon';

/** Coordinates are whole numbers of this, mm, so that a crossing can be worked out exactly in whole numbers. */
const GRAIN = 2 ** -44;

/** The same by whole numbers without rounding: the slow twin. */
function crossesExactly(points: readonly (readonly [bigint, bigint])[]): boolean {
  const side = (a: readonly [bigint, bigint], b: readonly [bigint, bigint], c: readonly [bigint, bigint]) => {
    const twice = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
    return twice === 0n ? 0 : twice > 0n ? 1 : -1;
  };
  return points.some((a, i) =>
    points.some((c, j) => {
      if (j < i + 2 || (i === 0 && j === points.length - 1)) return false;
      const [b, d] = [points[i + 1]!, points[(j + 1) % points.length]!];
      return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
    }),
  );
}

test('corners that all but lie on one line cross where they do, to the last digit', () => {
  const nearLine = fc.tuple(fc.integer({ min: 0, max: 2 ** 40 }), fc.integer({ min: -3, max: 3 }));
  let crossing = 0;
  fc.assert(
    fc.property(fc.array(nearLine, { minLength: 4, maxLength: 7 }), (made) => {
      // Along the line y = 3 x, some grains beside it.
      const whole = made.map(([along, beside]): [bigint, bigint] => [
        BigInt(along),
        BigInt(3 * along + beside),
      ]);
      const points = whole.map(([x, y]): Point => [Number(x) * GRAIN, Number(y) * GRAIN]);
      const exact = crossesExactly(whole);
      crossing += exact ? 1 : 0;
      expect(crosses(points)).toBe(exact);
    }),
    { seed: 7, numRuns: 3000 },
  );
  // Both answers were asked for.
  expect(crossing).toBeGreaterThan(300);
  expect(crossing).toBeLessThan(2900);
});

test('a corner that touches another side does not cross it', () => {
  expect(
    crosses([
      [0, 0],
      [4, 0],
      [4, 4],
      [2, 0],
      [0, 4],
    ]),
  ).toBe(false);
  expect(
    crosses([
      [0, 0],
      [4, 0],
      [4, 4],
      [2, -1e-12],
      [0, 4],
    ]),
  ).toBe(true);
});
