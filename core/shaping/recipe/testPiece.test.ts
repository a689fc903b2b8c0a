import { evaluateRepair, fitsOfBody, usesOf } from '@core/fitting/fit';
import type { Body, Repair, Step } from '@core/record/model';
import { RepairBuilder } from '@core/shaping/solid';
import { lettersFont } from '@core/testing/lettersFont';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';

import { testPiece } from './testPiece';
import { marksOf, remarked } from './marks';

let made = 0;
const newId = () => `id-${(made += 1)}`;

/** A plate with a hole that goes by one fit, and a peg far from it by another. */
function draft(): Repair {
  const plan = new RepairDraft('Test piece')
    .measured('A', 'Axle', ['6', '6', '6'], { of: 'counterpart' })
    .measured('B', 'Socket', ['10', '10', '10'], { of: 'counterpart' })
    .fit('bore', 'Bore', 'A', 'turns', 'bore')
    .fit('peg', 'Peg', 'B', 'snug', 'peg');
  return plan.body('plate', 'Plate', [
    plan.step('plate', { length: 80, breadth: 40, thickness: 12, cornerRadius: 0 }),
    plan.step('hole', { diameter: 'fit:bore', depth: 'through', x: -20, y: 0 }),
    plan.step('peg', { diameter: 'fit:peg', height: 9, x: 25, y: 0 }),
  ] as Step[]).repair;
}

async function cut(repair: Repair, fitName: string, marks: string[] = []) {
  const builder = new RepairBuilder(await testKernel(), lettersFont());
  const numbers = evaluateRepair(repair);
  const spare = repair.bodies[0]!;
  const mesh = builder.build(repair.bodies, numbers).get(spare.id)!.mesh()!;
  const fit = repair.fits.find(({ name }) => name === fitName)!;
  const stepIds = new Set(
    usesOf(repair, { from: 'fit', id: fit.id }).flatMap((use) => (use.kind === 'step' ? use.stepId : [])),
  );
  const piece = testPiece({ fit, spare, mesh, stepIds, marks }, newId);
  const built = (bodies: readonly Body[]) =>
    builder.build(bodies, evaluateRepair({ ...repair, bodies: [...bodies] }));
  return { piece, built, fit, spare, numbers, done: () => builder.dispose() };
}

test('a piece round a bore is that part of the plate: closed, as high, and with the working size in it', async () => {
  const repair = draft();
  const { piece, built, fit, spare, numbers, done } = await cut(repair, 'Bore');
  if (!piece.ok) throw new Error(piece.fault.code);
  const { worked } = numbers.fits.get(fit.id)!;
  if (!worked.ok) throw new Error('no working size');
  const working = worked.trail.working;
  const { check, box, steps, mesh } = built([spare, piece.value]).get(piece.value.id)!;
  expect(steps.map(({ state }) => state)).toEqual(['built', 'built']);
  expect(check).toMatchObject({ pieces: 1, valid: true, closed: true });
  expect(mesh()).not.toBeNull();
  // Four beyond the hole on each side, to a tenth, and as thick as the plate.
  const [side, breadth] = [box![3] - box![0], box![4] - box![1]];
  for (const mm of [side, breadth]) expect(Math.abs(mm - working - 8)).toBeLessThan(0.11);
  expect([box![2], box![5]]).toEqual([expect.closeTo(0, 6), expect.closeTo(12, 6)]);
  expect(check!.volumeMm3).toBeCloseTo((side * breadth - (Math.PI / 4) * working ** 2) * 12, 4);
  const all = { ...repair, bodies: [spare, piece.value] };
  expect([...fitsOfBody(piece.value.id, all)]).toEqual([fit.id]);
  done();
});

test('a piece round a peg keeps a flat below it to stand on, and follows the spare when that changes', async () => {
  const repair = draft();
  const { piece, built, spare, done } = await cut(repair, 'Peg');
  if (!piece.ok) throw new Error(piece.fault.code);
  const first = built([spare, piece.value]).get(piece.value.id)!;
  // Of the plate below, 4 mm stay, cut level.
  expect(first.box![5] - first.box![2]).toBeCloseTo(9 + 4, 5);
  const higher = spare.steps.map((step) =>
    step.kind === 'peg' ? { ...step, height: { from: 'number' as const, mm: 7 } } : step,
  );
  const second = built([{ ...spare, steps: higher as Step[] }, piece.value]).get(piece.value.id)!;
  expect(second.box![5] - second.box![2]).toBeCloseTo(7 + 4, 5);
  done();
});

test('a fit that goes round the whole part, or that has no face yet, is refused in words', async () => {
  const repair = draft();
  const { done, spare } = await cut(repair, 'Peg');
  const builder = new RepairBuilder(await testKernel());
  const mesh = builder.build(repair.bodies, evaluateRepair(repair)).get(spare.id)!.mesh()!;
  const fit = { name: 'Length' };
  const whole = testPiece({ fit, spare, mesh, stepIds: new Set([spare.steps[0]!.id]) }, newId);
  expect(whole).toMatchObject({ ok: false, fault: { code: 'testPiece.wholePart' } });
  const none = testPiece({ fit, spare, mesh, stepIds: new Set(['elsewhere']) }, newId);
  expect(none).toMatchObject({ ok: false, fault: { code: 'testPiece.notThere' } });
  builder.dispose();
  done();
});

describe('its mark', () => {
  const MARKS = ['TP A A', 'A A'];

  test('names repair, revision and fit; a name in other letters is left out', () => {
    const repair = draft();
    expect(marksOf(repair, repair.fits[0]!, 'A')).toEqual(MARKS);
    const cyrillic = { ...repair, head: { ...repair.head, name: 'Ось' } };
    expect(marksOf(cyrillic, repair.fits[1]!, 'C')).toEqual(['C B']);
  });

  test('is sunk into the level face beside the bore, and takes nothing off it', async () => {
    const repair = draft();
    const { piece, built, spare, numbers, done } = await cut(repair, 'Bore', MARKS);
    if (!piece.ok) throw new Error(piece.fault.code);
    const mark = piece.value.steps[2]!;
    expect(mark).toMatchObject({ kind: 'text', effect: 'cut', on: 'top' });
    expect(MARKS).toContain((mark as { text: string }).text);
    const marked = built([spare, piece.value]).get(piece.value.id)!;
    expect(marked.steps.map(({ state }) => state)).toEqual(['built', 'built', 'built']);
    expect(marked.check).toMatchObject({ pieces: 1, valid: true, closed: true });
    const plain = built([spare, { ...piece.value, steps: piece.value.steps.slice(0, 2) }]).get(
      piece.value.id,
    )!;
    expect(marked.box).toEqual(plain.box);
    const taken = plain.check!.volumeMm3 - marked.check!.volumeMm3;
    // Strokes of some letters, 0.4 deep.
    expect(taken).toBeGreaterThan(0.5);
    expect(taken).toBeLessThan(12);
    // The bore's wall is as large as it was: all that was added are walls and floors of letters.
    const { worked } = numbers.fits.get('bore')!;
    expect(worked.ok).toBe(true);
    const wall = (mesh: ReturnType<typeof marked.mesh>) =>
      mesh!.faces.filter(({ tag }) => tag.includes('wall')).reduce((sum, { count }) => sum + count, 0);
    expect(wall(marked.mesh())).toBe(wall(plain.mesh()));
    done();
  });

  test('stands on what is level below a peg', async () => {
    const { piece, built, spare, done } = await cut(draft(), 'Peg', ['A B']);
    if (!piece.ok) throw new Error(piece.fault.code);
    const mark = piece.value.steps[2] as { lift?: { mm: number } } | undefined;
    // The peg is 9 high: the plate lies that much below its top.
    expect(mark!.lift!.mm).toBeCloseTo(-9, 2);
    expect(built([spare, piece.value]).get(piece.value.id)!.check).toMatchObject({ pieces: 1, closed: true });
    done();
  });

  test('follows the letter when a revision is frozen; what somebody lettered stays', async () => {
    const repair = draft();
    const { piece, done } = await cut(repair, 'Bore', MARKS);
    if (!piece.ok) throw new Error(piece.fault.code);
    const state = { ...repair, bodies: [...repair.bodies, piece.value] };
    expect(remarked(state, ['A', 'B'], 'A')).toEqual([]);
    const [next] = remarked(state, ['A', 'B'], 'B');
    expect((next!.steps[2] as { text: string }).text).toBe(
      (piece.value.steps[2] as { text: string }).text.replace(/A A$/, 'B A'),
    );
    const own = {
      ...piece.value,
      steps: piece.value.steps.map((step) => (step.kind === 'text' ? { ...step, text: 'mine' } : step)),
    };
    expect(remarked({ ...state, bodies: [own] }, ['A', 'B'], 'B')).toEqual([]);
    done();
  });
});
