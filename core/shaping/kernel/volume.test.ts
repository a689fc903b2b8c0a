import { evaluateRepair } from '@core/fitting/fit';
import type { OutlineShape, Step } from '@core/record/model';
import { alongSmooth, smoothLine } from '@core/shaping/outline';
import { BodyBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { outlineOf, plain, raised, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { massProperties } from './massProperties';
import { volumeWithin } from './volume';

/** A closed smooth line through a few points, with its area and length from many short chords. */
function smoothOutline(count: number, scale = 1) {
  const points = Array.from({ length: count }, (_, index): [number, number] => {
    const turn = (2 * Math.PI * index) / count;
    const radius = scale * (30 + 2 * Math.cos(3 * turn));
    return [radius * Math.cos(turn), 0.7 * radius * Math.sin(turn)];
  });
  const line = alongSmooth(smoothLine(points, true), 2000) as unknown as [number, number][];
  let [area, length] = [0, 0];
  for (const [index, [x, y]] of line.entries()) {
    const [nx, ny] = line[(index + 1) % line.length]!;
    area += (x * ny - y * nx) / 2;
    length += Math.hypot(nx - x, ny - y);
  }
  const outline = { shape: 'points', between: 'smooth', points: points.map(([x, y]) => plain({ x, y })) };
  return { outline: outline as never, area, length };
}

const HIGH = 10;
const SIZE = 1.2;
/** How much of the height h and of the way in t the rim takes, by what is done to it: ∫ t dh and ∫ t² dh. */
const RIMS = {
  chamfer: [SIZE ** 2 / 2, SIZE ** 3 / 3],
  fillet: [(1 - Math.PI / 4) * SIZE ** 2, (5 / 3 - Math.PI / 2) * SIZE ** 3],
} as const;

// A section is the outline moved in by t: its area falls by t L − π t² (Steiner).
test.each([
  [6, 'chamfer'],
  [10, 'chamfer'],
  [40, 'chamfer'],
  [6, 'fillet'],
  [10, 'fillet'],
  [40, 'fillet'],
] as const)(
  'a plate along a smooth line through %i points, one of its rims under a %s: the volume by Steiner',
  async (count, kind) => {
    const { outline, area, length } = smoothOutline(count);
    const base = raised(outline, HIGH);
    const rim = {
      ...stepOf(kind, { size: SIZE }),
      where: { edges: 'rims', of: base.id, end: 'top' },
    } as Step;
    const bore = raised(outlineOf('circle', { diameter: 8 }), 'through', { effect: 'cut' });
    const { repair } = new RepairDraft('x').body('b', 'b', [base, rim, bore]);
    const kernel = await testKernel();
    const builder = new BodyBuilder(kernel);
    const { check, solid } = builder.build(repair.bodies[0]!, evaluateRepair(repair));
    const [first, second] = RIMS[kind];
    const exact = area * HIGH - length * first + Math.PI * second - Math.PI * 16 * HIGH;
    expect(Math.abs(check!.volumeMm3 / exact - 1)).toBeLessThan(1e-5);
    expect(Math.abs(massProperties(kernel, solid!.shape).volumeMm3 / exact - 1)).toBeLessThan(1e-5);
    builder.dispose();
  },
);

/** Module 2 and 24 teeth: its flanks are as many smooth faces. */
const gear = raised(
  {
    ...outlineOf('gear', { module: 2, backlash: 0.1 }),
    ...{ teeth: 24, pressure: Math.PI / 9, shift: 0, side: 'outside' },
  } as OutlineShape,
  8,
);

test.each([6, 10, 24])(
  'a gear with a smooth hole through %i points whose mouths are eased takes away what they hold',
  async (count) => {
    const { outline, area, length } = smoothOutline(count, 1 / 3);
    const hole = raised(outline, 'through', { effect: 'cut' });
    const soft = { ...stepOf('chamfer', { size: 0.8 }), where: { edges: 'mouths', of: hole.id } } as Step;
    const builder = new BodyBuilder(await testKernel());
    const volumes = [[gear], [gear, hole], [gear, hole, soft]].map((steps) => {
      const { repair } = new RepairDraft('x').body('b', 'b', steps);
      return builder.build(repair.bodies[0]!, evaluateRepair(repair)).check!.volumeMm3;
    });
    builder.dispose();
    const [whole, holed, eased] = volumes as [number, number, number];
    expect((whole - holed) / (area * 8)).toBeCloseTo(1, 5);
    // Two mouths, each longer outside by Steiner. The kernel's bevel is off by less than it is wide times a thousandth.
    const mouths = 2 * ((length * 0.8 ** 2) / 2 + (Math.PI * 0.8 ** 3) / 3);
    expect(Math.abs((holed - eased) / mouths - 1)).toBeLessThan(1e-3);
  },
);

test('the volume is the same whichever way up and wherever a part lies, its faces seen from either side', async () => {
  const kernel = await testKernel();
  const { outline, area } = smoothOutline(8);
  const { repair } = new RepairDraft('x').body('b', 'b', [raised(outline, 7)]);
  const builder = new BodyBuilder(kernel);
  const { shape } = builder.build(repair.bodies[0]!, evaluateRepair(repair)).solid!;
  const exact = area * 7;
  expect(volumeWithin(kernel, shape) / exact).toBeCloseTo(1, 6);
  expect(volumeWithin(kernel, shape.Reversed()) / exact).toBeCloseTo(-1, 6);
  const tilted = new kernel.gp_Trsf();
  tilted.SetRotation(new kernel.gp_Ax1(new kernel.gp_Pnt(3, -20, 5), new kernel.gp_Dir(1, 2, 0.3)), 1.1);
  const moved = new kernel.BRepBuilderAPI_Transform(shape, tilted, true, false).Shape();
  expect(volumeWithin(kernel, moved) / exact).toBeCloseTo(1, 6);
  builder.dispose();
});

test('the balance and the moment of half a plate with a smooth side and soft rims are those of its mirror image', async () => {
  const kernel = await testKernel();
  const made = [1, -1].map((side) => {
    const points = [
      [-20, 0],
      [-12, 9],
      [2, 12],
      [15, 7],
      [20, -4],
      [4, -10],
      [-14, -8],
    ].map(([x, y]) => plain({ x: side * x!, y }));
    const base = raised({ shape: 'points', between: 'smooth', points } as never, 6);
    const soft = { ...stepOf('fillet', { size: 1 }), where: { edges: 'rims', of: base.id } } as Step;
    const { repair } = new RepairDraft('x').body('b', 'b', [base, soft]);
    const builder = new BodyBuilder(kernel);
    const { solid } = builder.build(repair.bodies[0]!, evaluateRepair(repair));
    const found = massProperties(kernel, solid!.shape);
    builder.dispose();
    return found;
  });
  const [one, other] = made as [(typeof made)[0], (typeof made)[0]];
  expect(one.centre[0]).toBeCloseTo(-other.centre[0], 3);
  expect(one.centre[1]).toBeCloseTo(other.centre[1], 3);
  expect(one.centre[2]).toBeCloseTo(3, 4);
  expect(one.momentMm5 / other.momentMm5).toBeCloseTo(1, 4);
});
