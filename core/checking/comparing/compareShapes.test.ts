import { evaluateRepair } from '@core/fitting/fit';
import type { Step } from '@core/record/model';
import { compareShapes } from '@core/checking/comparing';
import { RepairBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';

const draft = new RepairDraft('Shapes');
const plate = (length: number) =>
  draft.step('plate', { length, breadth: 20, thickness: 5, cornerRadius: 0 }, 'plate');
const hole = (diameter: number) =>
  draft.step('hole', { diameter, depth: 'through', x: 0, y: 0, on: undefined }, 'hole');

async function compared(before: Step[], after: Step[]) {
  const kernel = await testKernel();
  const builders = [before, after].map(() => new RepairBuilder(kernel));
  const [one, other] = [before, after].map((steps, index) => {
    const { repair } = new RepairDraft('Shapes').body('body', 'Body', steps);
    const built = builders[index]!.build(repair.bodies, evaluateRepair(repair)).get('body')!;
    if (!built.solid) throw new Error(JSON.stringify(built.steps));
    return built.solid;
  });
  const difference = compareShapes(one!, other!);
  for (const builder of builders) builder.dispose();
  return difference;
}

test('a plate that grew to one side has that much more, and is furthest out at its new end', async () => {
  const { addedMm3, removedMm3, furthest, added, removed } = await compared([plate(40)], [plate(44)]);
  expect(addedMm3).toBeCloseTo(4 * 20 * 5, 6);
  expect(removedMm3).toBe(0);
  expect(furthest!.mm).toBeCloseTo(2, 6);
  expect(Math.abs(furthest!.at[0])).toBeCloseTo(22, 6);
  expect(added).not.toBeNull();
  expect(removed).toBeNull();
});

test('a wider bore takes a ring away, by hand', async () => {
  const { addedMm3, removedMm3, furthest } = await compared([plate(40), hole(6)], [plate(40), hole(6.4)]);
  expect(addedMm3).toBe(0);
  expect(removedMm3).toBeCloseTo(Math.PI * 5 * (3.2 ** 2 - 3 ** 2), 4);
  // What went reaches 0.2 into the wall that stands now, within what the mesh is off.
  expect(furthest!.mm).toBeCloseTo(0.2, 1.5);
  expect(furthest!.was).toBe('removed');
});

test('a hole that moves takes away and adds as much', async () => {
  const moved = { ...hole(6), x: { from: 'number', mm: 10 } } as Step;
  const { addedMm3, removedMm3 } = await compared([plate(40), hole(6)], [plate(40), moved]);
  expect(addedMm3).toBeCloseTo(Math.PI * 9 * 5, 4);
  expect(removedMm3).toBeCloseTo(addedMm3, 4);
});

test('the same shape built another way is the same', async () => {
  const { addedMm3, removedMm3, furthest } = await compared([plate(40), hole(6)], [plate(40), hole(6)]);
  expect([addedMm3, removedMm3, furthest]).toEqual([0, 0, null]);
});
