import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import { movedPoint, type Motion, type Slid } from '@core/shaping/part';
import { testKernel } from '@core/testing/kernel';
import { block, outlineOf, raised, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { RepairBuilder } from './repairBuilder';
import { slideUntil } from './slide';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

function slide(moving: Step[], other: Step[], motion: Motion, limit: number): Slid {
  const { repair } = new RepairDraft('x').body('a', 'A', moving).body('b', 'B', other);
  const builder = new RepairBuilder(kernel);
  const built = builder.build(repair.bodies, evaluateRepair(repair));
  const slid = slideUntil(built.get('a')!.solid!, [built.get('b')!.solid!], motion, limit);
  builder.dispose();
  return slid;
}

const along = (way: 'x' | 'y' | 'z', sign: 1 | -1 = 1): Motion => ({
  by: 'move',
  direction: (['x', 'y', 'z'] as const).map((axis) => (axis === way ? sign : 0)) as unknown as [
    number,
    number,
    number,
  ],
});

const ball = (diameter: number, x: number, y: number, z: number) =>
  stepOf('sphere', { effect: 'add', diameter, up: z, on: 'bottom', x, y });

describe('straight', () => {
  test('a ball comes against a ball where Pythagoras says', () => {
    // Middles 6 aside of each other and 10 + 5 apart on touching: √(15² − 6²) along.
    const slid = slide([ball(20, 0, 0, 0)], [ball(10, 40, 6, 0)], along('x'), 100);
    if (slid.ends !== 'touches') throw new Error(slid.ends);
    expect(Math.abs(slid.far - (40 - Math.sqrt(15 * 15 - 36)))).toBeLessThan(2e-3);
    // On the line between the middles, 5 from the smaller one's.
    expect(Math.hypot(slid.at[0] - 40, slid.at[1] - 6, slid.at[2])).toBeCloseTo(5, 3);
  });

  test('a pin goes down its bore, never nearer than its play, to the floor', () => {
    const housing = [
      block(30, 30, 20),
      raised(outlineOf('circle', { diameter: 8.2 }), 15, { effect: 'cut', on: 'top' }),
    ];
    const pin = [raised(outlineOf('circle', { diameter: 8 }), 25, { lift: 10 })];
    const slid = slide(pin, housing, along('z', -1), 30);
    expect(slid).toMatchObject({ ends: 'touches' });
    expect(Math.abs((slid as { far: number }).far - 5)).toBeLessThan(2e-3);
  });

  test('with nothing in its way it is free, and what touches already says so', () => {
    const [one, other] = [[block(10, 10, 10)], [ball(6, 20, 20, 0)]];
    expect(slide(one, other, along('x', -1), 50)).toEqual({ ends: 'free', far: 50 });
    const beside = [
      raised(outlineOf('rectangle', { length: 10, breadth: 10, cornerRadius: 0 }), 10, { x: 10 }),
    ];
    expect(slide(one, beside, along('x'), 50)).toMatchObject({ ends: 'touchesNow', other: 0 });
  });
});

test('a lever turns until it lies on its stop', () => {
  // A bar 2 high on its edge along x, turning about the upright axis: its side meets a post of 3 at (0, 20).
  const bar = [raised(outlineOf('rectangle', { length: 60, breadth: 2, cornerRadius: 0 }), 5)];
  const post = [raised(outlineOf('circle', { diameter: 6 }), 5, { x: 0, y: 20 })];
  const slid = slide(bar, post, { by: 'turn', at: [0, 0, 0], direction: [0, 0, 1] }, Math.PI);
  if (slid.ends !== 'touches') throw new Error(slid.ends);
  // The post's middle is then half of the bar and its own radius off the bar's middle line.
  expect(slid.far).toBeCloseTo(Math.PI / 2 - Math.asin(4 / 20), 3);
});

test('points go where a motion takes them', () => {
  expect(movedPoint([1, 2, 3], along('y', -1), 5)).toEqual([1, -3, 3]);
  const turned = movedPoint([3, 0, 7], { by: 'turn', at: [1, 0, 0], direction: [0, 0, 1] }, Math.PI / 2);
  [1, 2, 7].forEach((mm, axis) => expect(turned[axis]).toBeCloseTo(mm, 9));
});
