import { evaluateRepair } from '@core/fitting/fit';
import { figuresOf, findingsOf } from '@core/checking/inspect';
import { BodyBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';
import { findingSentence } from '@core/reporting/wording';
import { DEFAULT_WORKSHOP, materialIn, MATERIALS } from '@core/record/workshop';

async function inspect(draft: RepairDraft, material = 'petg') {
  const builder = new BodyBuilder(await testKernel());
  const built = builder.build(draft.repair.bodies[0]!, evaluateRepair(draft.repair));
  const figures = figuresOf(built, materialIn(DEFAULT_WORKSHOP, material));
  const findings = findingsOf(figures, built.steps);
  builder.dispose();
  return { figures, findings };
}

test('a block’s volume, area, weight and outside, worked by hand', async () => {
  const draft = new RepairDraft('Block');
  draft.body('b', 'Block', [draft.step('plate', { length: 40, breadth: 20, thickness: 5, cornerRadius: 0 })]);
  const { figures, findings } = await inspect(draft, 'steel');
  expect(figures).toMatchObject({ closed: true, pieces: 1, bboxMm: [40, 20, 5] });
  expect(figures!.volumeMm3).toBeCloseTo(4000, 6);
  expect(figures!.areaMm2).toBeCloseTo(2 * (800 + 200 + 100), 6);
  // 4 cm³ of steel at 7.85 g/cm³.
  expect(figures!.massG).toBeCloseTo(31.4, 6);
  expect(findings).toEqual([]);
});

test('a part that is cut in two is found', async () => {
  const draft = new RepairDraft('Bar');
  draft.body('b', 'Bar', [
    draft.step('disc', { diameter: 30, width: 10 }, 'disc'),
    draft.step('hole', { diameter: 12, depth: 'through', x: 0, y: 0 }),
    draft.step('groove', { rimOf: 'disc', width: 4, depth: 10 }),
  ]);
  const { figures, findings } = await inspect(draft);
  expect(figures!.pieces).toBe(2);
  expect(findings).toEqual([{ code: 'body.severalPieces', pieces: 2 }]);
  expect(findingSentence(findings[0]!)).toContain('2 pieces');
});

test('nothing yet, and a step that fails, are findings', async () => {
  const empty = new RepairDraft('x').body('b', 'Body', []);
  expect((await inspect(empty)).findings).toEqual([{ code: 'body.empty' }]);
  const draft = new RepairDraft('x');
  draft.body('b', 'Body', [draft.step('disc', { diameter: 0, width: 5 }, 'disc')]);
  const { findings, figures } = await inspect(draft);
  expect(figures).toBeNull();
  expect(findings).toMatchObject([{ code: 'body.stepFailed', stepId: 'disc' }]);
});

test('every material has a density between foam and tungsten, and its own id', () => {
  expect(MATERIALS.length).toBeGreaterThan(5);
  for (const { density, source } of MATERIALS) {
    expect(density).toBeGreaterThan(0.05);
    expect(density).toBeLessThan(19.3);
    expect(source).not.toBe('');
  }
  expect(new Set(MATERIALS.map(({ id }) => id)).size).toBe(MATERIALS.length);
  expect(materialIn(DEFAULT_WORKSHOP, 'unobtainium')).toBe(MATERIALS[0]);
});
