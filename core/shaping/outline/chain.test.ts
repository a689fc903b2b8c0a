import fc from 'fast-check';

import { loopsOfCurves, regionOfLoops } from './chain';
import { reversed, type Curve, type Point } from './curves';
import { drawnRegion } from './drawn';
import { areaOf, polygonOf } from './polygon';

const line = (from: Point, to: Point): Curve => ({ kind: 'line', from, to, role: 'side' });
function square([x, y]: Point, size: number): Curve[] {
  const corners: Point[] = [
    [x, y],
    [x + size, y],
    [x + size, y + size],
    [x, y + size],
  ];
  return corners.map((from, index) => line(from, corners[(index + 1) % 4]!));
}
const loopsOf = (curves: Curve[]) => {
  const loops = loopsOfCurves(curves);
  if (!loops.ok) throw new Error(loops.fault.code);
  return loops.value;
};
const regionOf = (curves: Curve[]) => regionOfLoops(loopsOf(curves));

describe('curves put end to end', () => {
  test('whatever their order and whichever way they run, a slot comes out anticlockwise', () => {
    const slot: Curve[] = [
      line([-5, -2], [5, -2]),
      { kind: 'arc', from: [5, -2], via: [7, 0], to: [5, 2], role: 'right' },
      line([5, 2], [-5, 2]),
      { kind: 'arc', from: [-5, 2], via: [-7, 0], to: [-5, -2], role: 'left' },
    ];
    const order = fc.shuffledSubarray([0, 1, 2, 3], { minLength: 4, maxLength: 4 });
    fc.assert(
      fc.property(order, fc.array(fc.boolean(), { minLength: 4, maxLength: 4 }), (places, turned) => {
        const loops = loopsOf(places.map((place) => (turned[place] ? reversed(slot[place]!) : slot[place]!)));
        expect(loops).toHaveLength(1);
        // 10 × 4 and a circle of radius 2, whose pieces lie a little within it.
        const area = areaOf(polygonOf(loops[0]!));
        expect(area).toBeGreaterThan(0.99 * (40 + 4 * Math.PI));
        expect(area).toBeLessThan(40 + 4 * Math.PI);
      }),
    );
  });

  test('a gap is told where it is', () => {
    const open = square([0, 0], 10).slice(0, 3);
    expect(loopsOfCurves(open)).toMatchObject({ ok: false, fault: { code: 'outline.open', x: 0, y: 10 } });
  });

  test('one that crosses itself is refused', () => {
    const bow: Point[] = [
      [0, 0],
      [10, 10],
      [10, 0],
      [0, 10],
    ];
    const curves = bow.map((from, index) => line(from, bow[(index + 1) % 4]!));
    expect(loopsOfCurves(curves)).toMatchObject({ ok: false, fault: { code: 'outline.crosses' } });
  });
});

describe('regions', () => {
  test('the largest loop is the outline and the others are holes', () => {
    const hole: Curve = { kind: 'circle', middle: [4, 4], radius: 2, role: 'hole' };
    const region = regionOf([hole, ...square([0, 0], 20), ...square([10, 10], 4)]);
    if (!region.ok) throw new Error('refused');
    expect(areaOf(polygonOf(region.value.outer))).toBeCloseTo(400, 9);
    expect(region.value.holes).toHaveLength(2);
    expect(region.value.holes.map((loop) => areaOf(polygonOf(loop))).every((area) => area > 0)).toBe(true);
  });

  test.each([
    ['beside each other', [...square([0, 0], 10), ...square([20, 0], 5)]],
    ['a hole in a hole', [...square([0, 0], 20), ...square([2, 2], 12), ...square([5, 5], 3)]],
    ['a hole that reaches out', [...square([0, 0], 20), ...square([15, 5], 8)]],
  ])('%s are no region', (_, curves) => {
    expect(regionOf(curves)).toMatchObject({ ok: false, fault: { code: 'outline.loopsAside' } });
  });
});

test('a drawn outline takes its points by name, and tells one that is missing', () => {
  const anywhere = { from: 'number' };
  const points = ['A', 'B', 'C'].map((id) => ({ id, x: anywhere, y: anywhere }));
  const at = {
    'points.0.x': 0,
    'points.0.y': 0,
    'points.1.x': 9,
    'points.1.y': 0,
    'points.2.x': 0,
    'points.2.y': 6,
  };
  const lengths = Object.fromEntries(
    Object.entries(at).map(([key, mm]) => [key, { what: 'place' as const, tag: null, mm }]),
  );
  const triangle = ['AB', 'BC', 'CA'].map((ends) => ({
    kind: 'line' as const,
    from: ends[0]!,
    to: ends[1]!,
  }));
  const region = drawnRegion({ points, curves: triangle, relations: [] }, lengths);
  expect(region.ok && areaOf(polygonOf(region.value.outer))).toBeCloseTo(27, 9);
  const curves = [...triangle.slice(0, 2), { kind: 'line' as const, from: 'C', to: 'Q' }];
  const lost = drawnRegion({ points, curves, relations: [] }, lengths);
  expect(lost).toMatchObject({ ok: false, fault: { code: 'outline.noPoint', place: 3, point: 'Q' } });
});
