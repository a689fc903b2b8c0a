import { evaluateRepair, leastChance } from '@core/fitting/fit';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

const repair = rackWheel();
const [body] = repair.bodies;
const chanceOn = (machineId: string, materialId = repair.head.materialId) =>
  leastChance(body!.id, repair, DEFAULT_WORKSHOP, { machineId, materialId });

test('of a body it is that of its least likely fit, as the fit itself tells it', () => {
  const { machineId } = repair.head;
  const chances = [...evaluateRepair(repair, DEFAULT_WORKSHOP).fits.values()].map(
    ({ chance }) => chance!.probability,
  );
  expect(chances.length).toBeGreaterThan(0);
  expect(chanceOn(machineId)).toBe(Math.min(...chances));
});

test('a machine that scatters more and is known less makes it less likely', () => {
  expect(chanceOn('lathe-mill')!).toBeGreaterThan(chanceOn('bench-printer')!);
  expect(chanceOn('bench-printer')!).toBeGreaterThan(chanceOn('wide-printer')!);
});

test('a body without fits, and one whose size is missing, has none', () => {
  expect(leastChance('no-body', repair, DEFAULT_WORKSHOP, repair.head)).toBeNull();
  const unread = { ...repair, readings: [] };
  expect(leastChance(body!.id, unread, DEFAULT_WORKSHOP, repair.head)).toBeNull();
});
