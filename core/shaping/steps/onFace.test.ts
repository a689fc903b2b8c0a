import { evaluateRepair } from '@core/fitting/fit';
import type { Body, Step } from '@core/record/model';
import { withPatch } from '@core/shaping/recipe';
import { RepairBuilder } from '@core/shaping/solid';
import { newStep } from '@core/shaping/steps';
import { testKernel } from '@core/testing/kernel';
import { lettersFont } from '@core/testing/lettersFont';
import { RepairDraft } from '@core/testing/repairDraft';

import { offersOnFace } from './onFace';

const FACE = { tag: 'block:top', near: [5, 3, 10] as [number, number, number] };
const WHOLE = { isFlat: true, at: null };
const made = async (offer: ReturnType<typeof offersOnFace>[number]) => {
  const draft = new RepairDraft('Block');
  const block = {
    ...draft.step('plate', { length: 40, breadth: 30, thickness: 10, cornerRadius: 0 }),
    id: 'block',
  };
  const { repair } = draft.body('b', 'Block', [block as Step]);
  const body = repair.bodies[0]!;
  const numbers = evaluateRepair(repair);
  const step = newStep(offer.kind, { body, state: repair, numbers, nextRevision: 'A' }, 'new');
  const changed: Body = { ...body, steps: withPatch([...body.steps, step], 'new', offer.patch) };
  const builder = new RepairBuilder(await testKernel(), lettersFont());
  const built = builder.build([changed], numbers).get(body.id)!;
  const volume = built.check?.volumeMm3 ?? 0;
  builder.dispose();
  return { built, volume };
};

test.each(offersOnFace(FACE, WHOLE).map((offer) => [offer.words, offer] as const))(
  '%s makes a sound step on a tapped face as it is offered',
  async (words, offer) => {
    const { built, volume } = await made(offer);
    expect(built.steps.filter(({ state }) => state !== 'built')).toEqual([]);
    // A block of 12 000 mm³: what is raised or lettered adds to it, all else takes away.
    if (/Raise|Letter/.test(words)) expect(volume).toBeGreaterThan(12_000);
    else expect(volume).toBeLessThan(12_000);
  },
);

test('what is drilled and raised stands in the middle of the face, as deep as it is said', async () => {
  const [drill, raise] = offersOnFace(FACE, WHOLE);
  // First numbers: a hole of 5 right through 10, a circle of 10 raised by 5.
  expect((await made(drill!)).volume).toBeCloseTo(12_000 - Math.PI * 2.5 ** 2 * 10, 1);
  expect((await made(raise!)).volume).toBeCloseTo(12_000 + Math.PI * 5 ** 2 * 5, 1);
});

test('nothing can stand on a round face', () => {
  expect(offersOnFace(FACE, { isFlat: false, at: null }).map(({ words }) => words)).toEqual([
    'Round its edges',
    'Ease its edges',
  ]);
});

test('where the middle is empty, it stands where the face was tapped, to a whole millimetre', async () => {
  const [drill] = offersOnFace(FACE, { isFlat: true, at: [12.3, -7.6] });
  const { built, volume } = await made(drill!);
  expect(volume).toBeCloseTo(12_000 - Math.PI * 2.5 ** 2 * 10, 1);
  const bore = built.centreLines.find(({ radius }) => Math.abs(radius - 2.5) < 0.01)!;
  expect([bore.from[0], bore.from[1]]).toEqual([expect.closeTo(12, 6), expect.closeTo(-8, 6)]);
});
