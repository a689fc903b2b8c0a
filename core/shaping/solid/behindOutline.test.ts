import { evaluateRepair } from '@core/fitting/fit';
import { numberValue, type Step } from '@core/record/model';
import type { Kernel } from '@core/shaping/kernel';
import { shiftBehind, type BehindOutline } from '@core/shaping/part';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';

import { BodyBuilder } from './bodyBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

/** A block of 40 by 20 and 6 high, its middle on the axle. */
const block = {
  id: 'block',
  kind: 'extrude',
  effect: 'add',
  outline: {
    shape: 'rectangle',
    length: numberValue(40),
    breadth: numberValue(20),
    cornerRadius: numberValue(0),
  },
  turn: 0,
  height: numberValue(6),
  on: 'bottom',
  x: numberValue(0),
  y: numberValue(0),
};
const drawing = {
  shape: 'drawn',
  points: [{ id: 'O', x: numberValue(0), y: numberValue(0) }],
  curves: [],
  relations: [{ id: 'r1', kind: 'fixed', point: 'O' }],
};
const onIt = (more: object) => ({ ...block, id: 'drawn', outline: drawing, on: 'top', ...more });

function behind(...steps: object[]): BehindOutline | null {
  const builder = new BodyBuilder(kernel);
  const { repair } = new RepairDraft('Test piece').body('body', 'Body', steps as Step[]);
  builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const found = builder.behind('drawn', 'outline');
  builder.dispose();
  return found;
}
/** How far it reaches: left, bottom, right, top. */
function box({ segments }: BehindOutline): number[] {
  const along = (axis: 0 | 1) => [...segments].filter((_, index) => index % 2 === axis);
  return [Math.min(...along(0)), Math.min(...along(1)), Math.max(...along(0)), Math.max(...along(1))];
}
const near = (values: readonly number[]) => values.map((value) => expect.closeTo(value, 4) as number);

test('the part lies where it is seen from an outline that is not drawn yet', () => {
  const found = behind(block, onIt({ x: numberValue(5), y: numberValue(3) }))!;
  expect(box(found)).toEqual(near([-25, -13, 15, 7]));
  // A block seen square to its top: its upright edges are points and left out.
  expect(found.segments).toHaveLength(8 * 4);
});

test('turned, from the side, and round an axle', () => {
  const turned = behind(block, onIt({ x: numberValue(5), y: numberValue(3), turn: Math.PI / 2 }))!;
  // What was to its right is below it.
  expect(box(turned)).toEqual(near([-13, -15, 7, 25]));
  // On the front face the right is the part's own, and up is up.
  const front = behind(block, onIt({ on: 'front', x: numberValue(2), y: numberValue(1) }))!;
  const [left, bottom, right, top] = box(front) as [number, number, number, number];
  expect([right - left, top - bottom]).toEqual(near([40, 6]));
  const revolved = behind(block, {
    id: 'drawn',
    kind: 'revolve',
    effect: 'add',
    outline: drawing,
    away: numberValue(8),
    up: numberValue(1),
    angle: 2 * Math.PI,
    turn: 0,
    on: 'top',
    x: numberValue(0),
    y: numberValue(0),
  })!;
  expect(box(revolved)).toEqual(near([-28, -7, 12, -1]));
});

test('held at its own edge, it moves as the outline grows; nothing is behind a first step', () => {
  const found = behind(block, onIt({ xFrom: 'lowFlush', yFrom: 'middle' }))!;
  expect(found.flush).toEqual([-1, 0]);
  // The left edge of the block is where the place is; an outline from 3 to 9 has its own at 3.
  expect(box(found)[0]).toBeCloseTo(0, 4);
  expect(
    shiftBehind(found, [
      [3, 1],
      [9, 4],
    ]),
  ).toEqual([3, 0]);
  const quarter = { flush: [0, 1] as const, turn: Math.PI / 2 };
  // Turned so, upwards in its place is the outline's own right: its high edge there is at 9.
  expect(
    shiftBehind(quarter, [
      [3, 1],
      [9, 4],
    ]),
  ).toEqual(near([9, 0]));
  expect(behind(onIt({ on: 'bottom' }))).toBeNull();
});
