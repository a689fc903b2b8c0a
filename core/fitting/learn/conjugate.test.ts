import fc from 'fast-check';

import { believedAfter, expectedOf, type Belief, type Observed } from '@core/fitting/learn';

const one = (value: number, design: number[] = [1]): Observed => ({ design, value, weight: 1, counts: 1 });

test('one coefficient believed 0 ± σ and one value of 2, by hand', () => {
  // Precision 1 + 1, mean 2 / 2, shape 3 + ½, rate 3 + ½ [(2 − 1)² + (1 − 0)²].
  const after = believedAfter({ mean: [0], spread: [[1]], shape: 3, rate: 3 }, [one(2)]);
  expect(after.mean[0]).toBeCloseTo(1, 12);
  expect(after.spread[0]![0]).toBeCloseTo(0.5, 12);
  expect(after.shape).toBe(3.5);
  expect(after.rate).toBeCloseTo(4, 12);
  // t with 7 degrees, scale² = 4 / 3.5 × (1 + ½).
  expect(expectedOf(after, [1])).toEqual({
    mean: after.mean[0],
    scale: Math.sqrt((4 / 3.5) * 1.5),
    degrees: 7,
  });
});

test('a wide belief comes to the line of least squares, by hand', () => {
  // Through (0, 1), (1, 3), (2, 4): slope 3/2, at 0 it is 7/6; squares left over 1/6.
  const wide: Belief = {
    mean: [0, 0],
    spread: [
      [1e8, 0],
      [0, 1e8],
    ],
    shape: 1e-9,
    rate: 1e-9,
  };
  const after = believedAfter(wide, [one(1, [1, 0]), one(3, [1, 1]), one(4, [1, 2])]);
  expect(after.mean[0]).toBeCloseTo(7 / 6, 6);
  expect(after.mean[1]).toBeCloseTo(3 / 2, 6);
  expect(after.rate).toBeCloseTo(1 / 12, 5);
});

const belief: Belief = {
  mean: [-0.1, 0.001],
  spread: [
    [4, 0.01],
    [0.01, 0.002],
  ],
  shape: 3,
  rate: 0.002,
};
const values = fc.array(
  fc.tuple(fc.double({ min: 3, max: 60, noNaN: true }), fc.double({ min: -0.5, max: 0.5, noNaN: true })),
  { minLength: 2, maxLength: 8 },
);
const seenOf = (pairs: [number, number][]) => pairs.map(([size, value]) => one(value, [1, size]));

test('what is seen at once and one after the other comes to the same, in any order', () => {
  fc.assert(
    fc.property(values, (pairs) => {
      const all = believedAfter(belief, seenOf(pairs));
      const steps = [...pairs].reverse().reduce((so, pair) => believedAfter(so, seenOf([pair])), belief);
      for (const index of [0, 1]) expect(steps.mean[index]).toBeCloseTo(all.mean[index]!, 7);
      expect(steps.rate).toBeCloseTo(all.rate, 8);
      expect(steps.shape).toBeCloseTo(all.shape, 12);
    }),
  );
});

test('a value makes no coefficient less sure, and one without weight changes nothing', () => {
  fc.assert(
    fc.property(values, (pairs) => {
      const seen = seenOf(pairs);
      const after = believedAfter(belief, seen);
      for (const index of [0, 1]) {
        expect(after.spread[index]![index]!).toBeLessThanOrEqual(belief.spread[index]![index]! + 1e-12);
      }
      const nothing = believedAfter(
        belief,
        seen.map((one) => ({ ...one, weight: 0, counts: 0 })),
      );
      expect(nothing.rate).toBeCloseTo(belief.rate, 12);
      expect(nothing.mean[0]).toBeCloseTo(belief.mean[0]!, 9);
    }),
  );
});

test('a spread that is none is refused', () => {
  expect(() =>
    believedAfter(
      {
        mean: [0, 0],
        spread: [
          [1, 2],
          [2, 1],
        ],
        shape: 1,
        rate: 1,
      },
      [],
    ),
  ).toThrow(RangeError);
});
