import { evaluateRepair } from '@core/fitting/fit';
import { USUAL_PRINT_SETUP, type Body, type RepairState } from '@core/record/model';
import { block, stepOf } from '@core/testing/pieces';
import { rackWheel } from '@core/testing/repairDraft';
import { afterworkSentence, afterworkTotal, type Lengths } from '@core/reporting/wording';

import { afterworkFor, isFinished } from '.';

const show: Lengths = {
  length: (mm: number) => `${mm.toFixed(2)} mm`,
  signed: (mm: number) => `${mm.toFixed(2)}`,
  word: 'mm',
} as Lengths;
const wheel: RepairState = rackWheel();
const [spare] = wheel.bodies as [Body];
const tasksFor = (body: Body, machineId: string, materialId: string) => {
  const [, ...others] = wheel.bodies;
  const state = { ...wheel, head: { ...wheel.head, machineId, materialId }, bodies: [body, ...others] };
  return afterworkFor(body, state, evaluateRepair(state));
};
const kinds = (body: Body, machineId: string, materialId: string) =>
  tasksFor(body, machineId, materialId).map(({ what }) => what);
const laid = (laying: Partial<typeof USUAL_PRINT_SETUP>): Body => ({
  ...spare,
  steps: [block(20, 20, 5)] as never,
  laying: { ...USUAL_PRINT_SETUP, ...laying },
});

test('a plain part from a layer printer cools, comes off and loses its sharpness', () => {
  expect(kinds(laid({ foot: 'skirt' }), 'bench-printer', 'petg')).toEqual(['cool', 'takeOff', 'edges']);
  expect(kinds(laid({ foot: 'brim', support: 'bed' }), 'bench-printer', 'petg')).toEqual([
    'cool',
    'takeOff',
    'supports',
    'foot',
    'edges',
  ]);
  // From 80 °C to 35 at 2.5 a minute.
  expect(tasksFor(laid({}), 'bench-printer', 'petg')[0]).toMatchObject({ minutes: 18, waits: true });
});

test('resin drips, is washed before its supports go and cured after them; what it shrinks by is told once', () => {
  const tasks = tasksFor(laid({ support: 'everywhere', foot: 'brim' }), 'resin-printer', 'resin');
  expect(tasks.map(({ what }) => what)).toEqual(['drip', 'takeOff', 'wash', 'supports', 'cure', 'edges']);
  const cure = tasks.find(({ what }) => what === 'cure')!;
  expect(afterworkSentence(cure, show)).toBe(
    'Cure it under the lamp, 15 min. It shrinks by 0.4 %, which is in its sizes already.',
  );
  expect(afterworkTotal(tasks)).toBe('About 8 min hands-on and 31 min of waiting.');
});

test('a hole that the machine makes well too seldom is reamed to what is wanted, without the machine’s correction', () => {
  const numbers = evaluateRepair(wheel);
  const [{ worked, chance, fit }] = [...numbers.fits.values()] as [never];
  const { probability } = chance as { probability: number };
  const ream = tasksFor(spare, wheel.head.machineId, wheel.head.materialId).find(
    ({ what }) => what === 'ream',
  );
  expect(probability).toBeLessThan(0.8);
  const { trail } = worked as { trail: { entries: { kind: string; value: number }[] } };
  // What was measured and what the fit adds: 6.02 and 0.18.
  const wanted = trail.entries
    .filter(({ kind }) => kind !== 'correction')
    .reduce((sum, { value }) => sum + value, 0);
  expect(ream!.fit!.toMm).toBeCloseTo(wanted, 9);
  expect(afterworkSentence(ream!, show)).toContain(
    `Ream “${(fit as { name: string }).name}” to ${wanted.toFixed(2)} mm`,
  );
  // A mill makes it well.
  expect(kinds(spare, 'lathe-mill', 'brass')).toEqual(['edges']);
});

test('a nut goes into its pocket, halves are glued', () => {
  const nut = stepOf('hole', {
    on: 'top',
    at: { x: 0, y: 0 },
    diameter: 4,
    depth: 'through',
    head: { kind: 'nut', sides: 6, across: 7, depth: 3, at: 'mouth' },
  } as never);
  const split = stepOf('split', { keep: 'both' } as never);
  const steps = [block(20, 20, 5), nut, split] as object[];
  const body = { ...laid({}), steps: steps as never };
  expect(kinds(body, 'bench-printer', 'petg')).toEqual(['cool', 'takeOff', 'edges', 'nut', 'glue']);
  const off = { ...body, steps: steps.map((step) => ({ ...step, off: true })) as never };
  expect(kinds(off, 'bench-printer', 'petg')).toEqual(['cool', 'takeOff', 'edges']);
});

test('what was ticked off is known by its kind and its fit', () => {
  const ream = {
    what: 'ream',
    minutes: 3,
    waits: false,
    fit: { id: 'bore', name: 'Bore', toMm: 6 },
  } as const;
  expect(isFinished([{ what: 'ream', fitId: 'bore' }], ream)).toBe(true);
  expect(isFinished([{ what: 'ream', fitId: 'other' }, { what: 'edges' }], ream)).toBe(false);
});
