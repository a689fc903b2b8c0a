import { numberValue, sizeValue } from '@core/foundations/fields';
import { regionArea, drawnRegion, hullLoop } from '@core/shaping/outline';
import type { DrawnData } from '@core/shaping/drawn';
import { lengthsOf, solved } from '@core/testing/drawnOutline';

import { drawnFromHull } from '.';

const n = numberValue;
const circle = (x: number, y: number, diameter: number) => ({ x: n(x), y: n(y), diameter: n(diameter) });

test('a band round circles becomes a drawing of the same area and the same names of faces, and follows a diameter', () => {
  const circles = [circle(0, 0, 20), circle(30, 0, 8), circle(12, 18, 6)];
  const drawn = drawnFromHull({ shape: 'hull', circles });
  const region = drawnRegion(drawn as DrawnData, lengthsOf(drawn));
  const loop = hullLoop([
    { middle: [0, 0], radius: 10 },
    { middle: [30, 0], radius: 4 },
    { middle: [12, 18], radius: 3 },
  ]);
  if (!region.ok || !loop.ok) throw new Error('no region');
  expect(regionArea(region.value)).toBeCloseTo(regionArea({ outer: loop.value, holes: [] }), 4);
  const roles = (curves: readonly { role: string }[]) => curves.map(({ role }) => role).sort();
  expect(roles(region.value.outer)).toEqual(roles(loop.value));
  const wider = {
    ...drawn,
    dimensions: drawn.dimensions!.map((one) => (one.id === 'd2' ? { ...one, value: n(12) } : one)),
  } as typeof drawn;
  const after = solved(wider);
  expect(after.offMm).toBeLessThan(1e-5);
  // The middles stay, and the band is tangent to what the second circle has become.
  expect(after.points.get('M2')).toEqual([30, 0]);
  const arcs = after.curves.flatMap((curve) => (curve.kind === 'arc' ? [curve.radius] : []));
  expect(arcs.map((radius) => Math.round(radius * 1e4) / 1e4).sort((a, b) => a - b)).toEqual([3, 6, 10]);
});

test('with numbers from sizes the circles are drawn, held by these', () => {
  const drawn = drawnFromHull({
    shape: 'hull',
    circles: [circle(0, 0, 20), { ...circle(30, 0, 8), x: sizeValue('apart'), diameter: sizeValue('bore') }],
  });
  expect(drawn.curves).toHaveLength(2);
  expect(drawn.points[1]).toMatchObject({ x: { from: 'size', id: 'apart' } });
  expect(drawn.dimensions![1]).toMatchObject({ kind: 'diameter', value: { from: 'size', id: 'bore' } });
});
