import { evaluateRepair } from '@core/fitting/fit';
import type { Step } from '@core/record/model';
import { meshOf, type Kernel } from '@core/shaping/kernel';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';

import { BodyBuilder } from './bodyBuilder';
import { drawPicture } from './picture';
import { seenOnMesh } from './seenOnMesh';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

function drawn(make: (draft: RepairDraft) => Step[]) {
  const draft = new RepairDraft('Part');
  const { repair } = draft.body('b', 'Part', make(draft));
  const builder = new BodyBuilder(kernel);
  const { solid } = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const onMesh = seenOnMesh(meshOf(solid!, { gapMm: 0.2, angle: 0.25 }));
  const began = process.cpuUsage().user;
  const picture = drawPicture(solid!, 'key');
  const seconds = (process.cpuUsage().user - began) / 1e6;
  builder.dispose();
  return { onMesh: lengthOf(onMesh), exact: lengthOf(picture.edges), seconds };
}

const lengthOf = (runs: readonly number[][]): number =>
  runs.reduce((sum, run) => {
    for (let at = 0; at + 3 < run.length; at += 2)
      sum += Math.hypot(run[at + 2]! - run[at]!, run[at + 3]! - run[at + 1]!);
    return sum;
  }, 0);

test('of a block the nine edges that are seen are drawn, as long as they look', () => {
  const { onMesh, exact } = drawn((draft) => [
    draft.step('plate', { length: 20, breadth: 10, thickness: 5, cornerRadius: 0 }),
  ]);
  // Seen from the corner an upright edge looks √3/2 as long, a level one √(5/8).
  const byHand = 3 * (20 + 10) * Math.sqrt(5 / 8) + 3 * 5 * (Math.sqrt(3) / 2);
  expect(exact).toBeCloseTo(byHand, 0);
  expect(Math.abs(onMesh / byHand - 1)).toBeLessThan(0.02);
});

test('holes, steps and pegs that hide each other are drawn as by the kernel, within a thirtieth', () => {
  const { onMesh, exact } = drawn((draft) => [
    draft.step('plate', { length: 40, breadth: 30, thickness: 6, cornerRadius: 0 }),
    draft.step('peg', { diameter: 12, height: 14, x: 8, y: 4 }),
    draft.step('hole', { diameter: 9, depth: 'through', x: -10, y: 6 }),
  ]);
  expect(Math.abs(onMesh / exact - 1)).toBeLessThan(0.03);
});
