import { evaluateRepair } from '@core/fit';
import type { Step } from '@core/model';
import { alongSmooth, smoothLine } from '@core/outline';
import { BodyBuilder } from '@core/solid';
import { testKernel } from '@core/testing/kernel';
import { outlineOf, plain, raised, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { massProperties } from './massProperties';

/** A closed smooth line through a few points, with its area and length from many short chords. */
function smoothOutline(count: number) {
  const points = Array.from({ length: count }, (_, index): [number, number] => {
    const turn = (2 * Math.PI * index) / count;
    const radius = 30 + 2 * Math.cos(3 * turn);
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
  ease: [SIZE ** 2 / 2, SIZE ** 3 / 3],
  round: [(1 - Math.PI / 4) * SIZE ** 2, (5 / 3 - Math.PI / 2) * SIZE ** 3],
} as const;

// A section is the outline moved in by t: its area falls by t L − π t² (Steiner).
test.each([
  [6, 'ease'],
  [10, 'ease'],
  [40, 'ease'],
  [6, 'round'],
  [10, 'round'],
  [40, 'round'],
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
    const soft = { ...stepOf('round', { size: 1 }), where: { edges: 'rims', of: base.id } } as Step;
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
