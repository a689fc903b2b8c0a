import fc from 'fast-check';

import { noiseFrom } from '@core/testing/layoutDraft';
import {
  centreDistance,
  constructionOf,
  inverseInvolute,
  involute,
  MODULES_MM,
  spanOverTeeth,
} from '@core/measuring/measure';

const DEGREE = Math.PI / 180;
const gear = constructionOf('gear-from-spans')!;

test('inv 20° is 0.014904, as the tables have it', () => {
  expect(involute(20 * DEGREE)).toBeCloseTo(0.014904, 6);
  expect(involute(14.5 * DEGREE)).toBeCloseTo(0.005545, 6);
});

test('the inverse gives back the angle', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.05, max: 1.2, noNaN: true }), (angle) => {
      expect(inverseInvolute(involute(angle))).toBeCloseTo(angle, 10);
    }),
  );
});

test('the span over k teeth by tabled values for module 1 at 20°', () => {
  // Tables of spans for m = 1: z = 10 over 2 is 4.568, z = 20 over 3 is 7.660, z = 30 over 4 is 10.753.
  expect(spanOverTeeth(1, 20 * DEGREE, 10, 2, 0)).toBeCloseTo(4.568, 3);
  expect(spanOverTeeth(1, 20 * DEGREE, 20, 3, 0)).toBeCloseTo(7.66, 3);
  expect(spanOverTeeth(1, 20 * DEGREE, 30, 4, 0)).toBeCloseTo(10.753, 3);
});

test('one more tooth between the jaws adds one base pitch', () => {
  const base = Math.PI * 2 * Math.cos(20 * DEGREE);
  const span = (k: number) => spanOverTeeth(2, 20 * DEGREE, 24, k, 0.3);
  expect(span(4) - span(3)).toBeCloseTo(base, 12);
});

test('centres without shift stand half the teeth apart; a shift moves them out by a little less than itself', () => {
  expect(centreDistance(2, 20 * DEGREE, 40, 0)).toBeCloseTo(40, 9);
  const shifted = centreDistance(2, 20 * DEGREE, 40, 0.5);
  expect(shifted).toBeGreaterThan(40.8);
  expect(shifted).toBeLessThan(41);
});

const gears = fc.record({
  module: fc.constantFrom(...MODULES_MM.filter((module) => module >= 0.5)),
  degrees: fc.constantFrom(20, 14.5, 25),
  teeth: fc.integer({ min: 12, max: 60 }),
  mate: fc.integer({ min: 12, max: 60 }),
  shift: fc.constantFrom(0, 0.2, -0.1, 0.4),
});

/** What calipers give of a gear, to a hundredth. */
function sizesOf(module: number, angle: number, teeth: number, mate: number, shift: number) {
  const k = Math.max(2, Math.round((teeth * angle) / Math.PI + 0.5));
  const hundredth = (mm: number) => Math.round(mm * 100) / 100;
  return {
    teeth,
    k,
    mate,
    tip: hundredth(module * (teeth + 2 + 2 * shift)),
    span: hundredth(spanOverTeeth(module, angle, teeth, k, shift)),
    centres: hundredth(centreDistance(module, angle, teeth + mate, shift)),
  };
}

test('a gear is found again from what calipers give: one with these sizes, and the very one at 20°', () => {
  fc.assert(
    fc.property(gears, ({ module, degrees, teeth, mate, shift }) => {
      const sizes = sizesOf(module, degrees * DEGREE, teeth, mate, shift);
      const found = gear.compute(sizes);
      if (!found.ok) throw new Error(found.fault.code);
      const again = found.value as { module: number; pressureAngle: number; shift: number };
      const sizesAgain = sizesOf(again.module, again.pressureAngle, teeth, mate, again.shift);
      expect(Math.abs(sizesAgain.tip - sizes.tip)).toBeLessThan(0.05);
      expect(Math.abs(sizesAgain.centres - sizes.centres)).toBeLessThan(0.05);
      if (degrees !== 20) return;
      expect(again.module).toBe(module);
      expect(again.pressureAngle).toBeCloseTo(20 * DEGREE, 9);
      // A hundredth of a millimetre in the span, over 2 m sin α.
      expect(Math.abs(again.shift - shift)).toBeLessThan(0.006 / (2 * module * Math.sin(20 * DEGREE)));
    }),
  );
});

test('larger gears of other pressure angles are told apart too', () => {
  for (const degrees of [14.5, 25]) {
    const found = gear.compute(sizesOf(2, degrees * DEGREE, 32, 40, 0));
    expect(found).toMatchObject({ value: { module: 2, pressureAngle: degrees * DEGREE } });
  }
});

test('sizes that no standard gear has are refused', () => {
  expect(gear.compute({ teeth: 20, tip: 44, k: 3, span: 15.32, mate: 20, centres: 90 })).toMatchObject({
    ok: false,
    fault: { code: 'construction.notPossible' },
  });
});

describe('gears that are not as they were cut', () => {
  const sizes = sizesOf(1.5, 20 * DEGREE, 24, 40, 0.2);

  test('a worn tip leaves the centres agreeing, and the unworn one is told', () => {
    const found = gear.compute({ ...sizes, tip: sizes.tip - 0.5 });
    expect(found).toMatchObject({ value: { module: 1.5, mateShift: 0, shift: expect.closeTo(0.2, 2) } });
    // 1.5 · (24 + 2 + 0.4)
    expect(found).toMatchObject({ value: { unworn: expect.closeTo(39.6, 1) } });
  });

  test('a mate that is shifted leaves the tips agreeing, and its shift is told', () => {
    const centres = centreDistance(1.5, 20 * DEGREE, 64, 0.2 + 0.35);
    const found = gear.compute({ ...sizes, centres });
    expect(found).toMatchObject({ value: { module: 1.5, mateShift: expect.closeTo(0.35, 2) } });
  });

  test('24 teeth on an inch, 20°: module 25.4 / 24', () => {
    const inch = sizesOf(25.4 / 24, 20 * DEGREE, 30, 45, 0);
    expect(gear.compute(inch)).toMatchObject({ value: { module: 25.4 / 24 } });
  });
});

describe('a gear by itself, from two spans', () => {
  const alone = constructionOf('gear-from-two-spans')!;

  test('by hand: 10.753 over 4 teeth of 30, and 2.952 more over 5, are module 1', () => {
    const found = alone.compute({ teeth: 30, k: 4, span: 10.753, next: 13.705 });
    expect(found).toMatchObject({ value: { module: 1, pressureAngle: 20 * DEGREE } });
    expect(found).toMatchObject({ value: { shift: expect.closeTo(0, 2), unworn: expect.closeTo(32, 1) } });
  });

  test('the module is right in 99 of 100 gears taken with a caliper, more often than with tip and centres that have changed', () => {
    const { uniform, normal } = noiseFrom(43);
    const modules = MODULES_MM.filter((module) => module >= 0.5 && module <= 3);
    let [right, rightByMate] = [0, 0];
    const TRIALS = 1500;
    for (let trial = 0; trial < TRIALS; trial += 1) {
      const module = modules[Math.floor(uniform() * modules.length)]!;
      const teeth = 12 + Math.floor(uniform() * 50);
      const shift = 0.8 * uniform() - 0.3;
      const k = Math.max(2, Math.round(teeth / 9 + 0.5));
      // One caliper's error in both, and a hand.
      const error = 0.02 * (2 * uniform() - 1);
      const taken = (mm: number) => Math.round((mm + error + 0.015 * normal()) * 100) / 100;
      const span = (over: number) => taken(spanOverTeeth(module, 20 * DEGREE, teeth, over, shift));
      const found = alone.compute({ teeth, k, span: span(k), next: span(k + 1) });
      if (found.ok && found.value.module === module) right += 1;
      const mate = 12 + Math.floor(uniform() * 50);
      const other = gear.compute({
        teeth,
        k,
        mate,
        span: span(k),
        tip: taken(module * (teeth + 2 + 2 * shift) - 0.3 * module * uniform()),
        centres: taken(centreDistance(module, 20 * DEGREE, teeth + mate, shift + 0.3 * uniform())),
      });
      if (other.ok && other.value.module === module) rightByMate += 1;
    }
    expect(right / TRIALS).toBeGreaterThan(0.99);
    expect(right).toBeGreaterThan(rightByMate);
  });

  test('spans that no base pitch lies between are refused', () => {
    expect(alone.compute({ teeth: 30, k: 4, span: 10.753, next: 10.9 })).toMatchObject({
      ok: false,
      fault: { code: 'construction.notPossible' },
    });
  });
});
