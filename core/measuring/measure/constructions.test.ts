import fc from 'fast-check';

import { CONSTRUCTIONS, constructionOf } from '@core/measuring/measure';
import { sentenceOf } from '@core/reporting/wording';

const of = (id: string, inputs: Record<string, number>) => constructionOf(id)!.compute(inputs);
function valueOf(id: string, inputs: Record<string, number>, key = 'result'): number {
  const computed = of(id, inputs);
  if (!computed.ok) throw new Error(computed.fault.code);
  return computed.value[key]!;
}
const degrees = (angle: number) => (angle * 180) / Math.PI;

describe('constructions worked by hand', () => {
  test.each([
    // Two 6 mm holes 30 apart: 36 over, 24 between.
    ['centres-from-both-edges', { far: 36, near: 24 }, 30],
    ['centres-from-near-edges', { near: 24, first: 6, second: 6 }, 30],
    ['centres-from-far-edges', { far: 36, first: 8, second: 4 }, 30],
    ['offset-from-edge', { gap: 7, hole: 6 }, 10],
    // A chord of 8 stands 2 high on a circle of radius 5 (3-4-5).
    ['radius-from-chord', { chord: 8, height: 2 }, 5],
    // A right triangle's circumscribed circle has the hypotenuse for a diameter.
    ['radius-from-three-points', { first: 6, second: 8, third: 10 }, 5],
    // Three marks a third of the way round: side r√3.
    [
      'radius-from-three-points',
      { first: 5 * Math.sqrt(3), second: 5 * Math.sqrt(3), third: 5 * Math.sqrt(3) },
      5,
    ],
    ['diameter-from-string', { string: 3 * Math.PI * 20.5, turns: 3, thickness: 0.5 }, 20],
    ['bolt-circle', { next: 20, holes: 6 }, 40],
    ['bolt-circle', { next: 10 * Math.SQRT2, holes: 4 }, 20],
    ['bolt-circle', { next: 30, holes: 2 }, 30],
    ['wall', { outside: 20, inside: 16.8 }, 1.6],
    ['pitch-over-many', { over: 12.5, steps: 10 }, 1.25],
  ])('%s %j is %d', (id, inputs, expected) => expect(valueOf(id, inputs)).toBeCloseTo(expected, 12));

  test.each([
    // Flat to corner of a triangle is its height, 3/2 of its circle's radius.
    [3, 15, 20],
    [4, 10, 10 * Math.SQRT2],
    // A regular pentagon: height = r (1 + cos 36°).
    [5, 10 * (1 + Math.cos(Math.PI / 5)), 20],
    // ISO 4032: an M8 nut is 13 over flats and at least 14.38 over corners; sharp corners are 15.01.
    [6, 13, 26 / Math.sqrt(3)],
    [8, 10, 10 / Math.cos(Math.PI / 8)],
  ])('a bar of %d sides, %d over flats, has %d over corners, and back', (sides, flats, corners) => {
    expect(valueOf('flats-to-corners', { flats, sides })).toBeCloseTo(corners, 9);
    expect(valueOf('corners-to-flats', { corners, sides })).toBeCloseTo(flats, 9);
  });

  test('taper: 5 on 100 is 2° 51′ 51″', () => {
    const inputs = { wide: 20, narrow: 15, apart: 100 };
    expect(valueOf('taper', inputs, 'per100')).toBeCloseTo(5, 12);
    expect(degrees(valueOf('taper', inputs, 'angle'))).toBeCloseTo(2 + 51 / 60 + 51.1 / 3600, 4);
  });

  test('angles from two lengths and from three', () => {
    expect(degrees(valueOf('angle-from-two', { along: 10, up: 10 }))).toBeCloseTo(45, 9);
    expect(degrees(valueOf('angle-from-three', { first: 3, second: 4, across: 5 }))).toBeCloseTo(90, 9);
    expect(degrees(valueOf('angle-from-three', { first: 7, second: 7, across: 7 }))).toBeCloseTo(60, 9);
    expect(degrees(valueOf('angle-from-three', { first: 3, second: 4, across: 7 }))).toBeCloseTo(180, 9);
  });

  test('three holes: the third stands where its distances meet', () => {
    const inputs = { base: 50, left: 30, right: 40 };
    const [along, up] = [
      valueOf('triangle-of-holes', inputs, 'along'),
      valueOf('triangle-of-holes', inputs, 'up'),
    ];
    expect([along, up]).toEqual([18, 24]);
    // An obtuse corner: the third hole stands left of the first.
    expect(valueOf('triangle-of-holes', { base: 10, left: 10, right: 18 }, 'along')).toBeCloseTo(-6.2, 9);
  });
});

describe('constructions and circles drawn at random', () => {
  const angle = fc.double({ min: 0.05, max: 2 * Math.PI - 0.05, noNaN: true });

  test('any three points of a circle give its radius', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 300, noNaN: true }), angle, angle, (radius, second, third) => {
        fc.pre(Math.abs(second - third) > 0.05);
        const at = (turn: number) => [radius * Math.cos(turn), radius * Math.sin(turn)] as const;
        const apart = (a: readonly [number, number], b: readonly [number, number]) =>
          Math.hypot(a[0] - b[0], a[1] - b[1]);
        const [p, q, r] = [at(0), at(second), at(third)];
        const found = valueOf('radius-from-three-points', {
          first: apart(p, q),
          second: apart(q, r),
          third: apart(r, p),
        });
        expect(found / radius).toBeCloseTo(1, 6);
      }),
    );
  });

  test('any chord and its height give the radius', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        (radius, half) => {
          const chord = 2 * radius * Math.sin(half);
          const height = radius * (1 - Math.cos(half));
          expect(valueOf('radius-from-chord', { chord, height }) / radius).toBeCloseTo(1, 8);
        },
      ),
    );
  });
});

describe('what can’t be', () => {
  test.each([
    ['radius-from-three-points', { first: 10, second: 20, third: 35 }],
    ['angle-from-three', { first: 35, second: 20, across: 10 }],
    ['triangle-of-holes', { base: 10, left: 35, right: 20 }],
  ])('%s: the triangle stays open by 5 mm', (id, inputs) =>
    expect(of(id, inputs)).toMatchObject({ ok: false, fault: { code: 'triangle.open', gapMm: 5 } }),
  );

  test.each([
    ['centres-from-both-edges', { far: 20, near: 24 }],
    ['centres-from-far-edges', { far: 5, first: 8, second: 4 }],
    ['diameter-from-string', { string: 10, turns: 3, thickness: 2 }],
    ['bolt-circle', { next: 20, holes: 1 }],
    ['wall', { outside: 16, inside: 16.8 }],
    ['flats-to-corners', { flats: 10, sides: 7 }],
    ['corners-to-flats', { corners: 10, sides: 2 }],
    ['taper', { wide: 15, narrow: 20, apart: 100 }],
    ['radius-from-three-points', { first: 10, second: 20, third: 30 }],
  ])('%s %j is refused with a reason', (id, inputs) => {
    const computed = of(id, inputs);
    expect(computed).toMatchObject({
      ok: false,
      fault: { code: 'construction.notPossible', what: { construction: id } },
    });
    expect(!computed.ok && sentenceOf(computed.fault)).toMatch(
      /^The [\w ,]+ can’t be worked out: (\w+ ){2}.+\. Check/,
    );
  });
});

test('every construction is told apart from the others, and its numbers from each other', () => {
  expect(new Set(CONSTRUCTIONS.map(({ id }) => id)).size).toBe(CONSTRUCTIONS.length);
  for (const { inputs, results } of CONSTRUCTIONS) {
    const keys = [...inputs, ...results].map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
  }
});
