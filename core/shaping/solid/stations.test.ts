import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import { numberValue, type Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';

import { BodyBuilder } from './bodyBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

function build(...steps: Step[]) {
  const { repair } = new RepairDraft('Test piece').body('body', 'Body', steps);
  const builder = new BodyBuilder(kernel);
  const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const faults = built.steps.flatMap((step) => (step.state === 'failed' ? [step.fault] : []));
  const result = {
    ...built,
    faults,
    volume: built.check?.volumeMm3 ?? 0,
    tags: built.solid?.tagList() ?? [],
  };
  builder.dispose();
  return result;
}

const through = (
  between: 'straight' | 'smooth',
  rows: readonly (readonly [at: number, diameter: number])[],
  more: Partial<Extract<Step, { kind: 'stations' }>> = {},
): Step => ({
  id: 'grip',
  kind: 'stations',
  effect: 'add',
  between,
  rows: rows.map(([at, diameter]) => ({ at: numberValue(at), diameter: numberValue(diameter) })),
  on: 'bottom',
  x: numberValue(0),
  y: numberValue(0),
  ...more,
});

const stump = (d1: number, d2: number, height: number) =>
  ((Math.PI * height) / 12) * (d1 * d1 + d1 * d2 + d2 * d2);

const expectVolume = (actual: number, exact: number, within = 1e-6) =>
  expect(Math.abs(actual / exact - 1)).toBeLessThan(within);

test('straight between: stumps on each other', () => {
  const built = build(
    through('straight', [
      [0, 20],
      [15, 24],
      [40, 12],
    ]),
  );
  expect(built.faults).toEqual([]);
  expectVolume(built.volume, stump(20, 24, 15) + stump(24, 12, 25));
  expect(built.tags.map((tag) => tag.split(':')[1]).sort()).toEqual(['bottom', 'top', 'wall0', 'wall1']);
});

test('smooth between stations of one diameter is a cylinder', () => {
  expectVolume(
    build(
      through('smooth', [
        [0, 20],
        [13, 20],
        [40, 20],
      ]),
    ).volume,
    Math.PI * 100 * 40,
  );
});

test('smooth through many stations of a ball is nearly the ball, with points for its ends', () => {
  const rows = Array.from({ length: 21 }, (_, index) => {
    const angle = (Math.PI * index) / 20;
    return [15 - 15 * Math.cos(angle), 30 * Math.sin(angle)] as const;
  });
  // sin π is not quite zero.
  const ends = rows.map(([at, diameter]) => [at, Math.abs(diameter) < 1e-9 ? 0 : diameter] as const);
  const built = build(through('smooth', ends));
  expect(built.faults).toEqual([]);
  expectVolume(built.volume, (4 / 3) * Math.PI * 15 ** 3, 1e-3);
  expect(built.check).toMatchObject({ valid: true, closed: true, pieces: 1 });
});

test('a socket for a tapered end is cut down from what is there', () => {
  const block: Step = new RepairDraft('x').step('disc', { diameter: 40, width: 30 }, 'block');
  const socket = through(
    'straight',
    [
      [-20, 16],
      [0, 20],
    ],
    { effect: 'cut', on: 'top' },
  );
  expectVolume(build(block, socket).volume, Math.PI * 400 * 30 - stump(16, 20, 20));
});

test.each([
  [
    'out of order',
    [
      [0, 20],
      [15, 24],
      [15, 12],
    ],
    'stations.notRising',
  ],
  [
    'no width in the middle',
    [
      [0, 20],
      [15, 0],
      [30, 12],
    ],
    'value.outOfRange',
  ],
  [
    'below zero at an end',
    [
      [0, -2],
      [15, 10],
    ],
    'value.outOfRange',
  ],
] as const)('%s is told', (_, rows, code) => {
  expect(build(through('straight', rows)).faults).toMatchObject([{ code }]);
});
