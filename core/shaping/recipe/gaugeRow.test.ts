import { evaluateRepair } from '@core/fitting/fit';
import { Body } from '@core/record/model';
import { gaugeRow, GAUGE_STEPS_MM } from '@core/shaping/recipe';
import { RepairBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';
import { lettersFont } from '@core/testing/lettersFont';

const ids = () => {
  let made = 0;
  return () => `g-${(made += 1)}`;
};
const row = (feature: 'bore' | 'peg' | 'slot', mm: number) =>
  gaugeRow({ feature, name: 'Bore on the hub' }, mm, 'B', ids());

test('is a body that a repair can hold, with a place for each step of looseness', () => {
  const holes = Body.parse(row('bore', 6.32));
  const drilled = holes.steps.flatMap((step) =>
    step.kind === 'hole' && step.depth === 'through' ? [step.diameter] : [],
  );
  expect(drilled).toEqual(
    [6.02, 6.12, 6.22, 6.32, 6.42, 6.52, 6.62, 6.72, 6.82].map((mm) => ({ from: 'number', mm })),
  );
  // Three dots to one behind the tight ones, one to five before the loose ones.
  const dots = holes.steps.flatMap((step) =>
    step.kind === 'pattern' && step.pattern.by === 'row' ? [step.pattern.count] : [],
  );
  expect(dots).toEqual([3, 2, 2, 3, 4, 5]);
  expect(holes.steps.flatMap((step) => (step.kind === 'text' ? [step.text] : []))).toEqual(['B 6.32']);
  // A peg is looser when it is smaller.
  const pegs = row('peg', 6)!.steps.flatMap((step) => (step.kind === 'peg' ? [step.diameter] : []));
  expect([pegs[0], pegs.at(-1)]).toEqual([
    { from: 'number', mm: 6.3 },
    { from: 'number', mm: 5.5 },
  ]);
});

test('there is none for what is not round, or for less than nothing', () => {
  expect(row('slot', 6)).toBeNull();
  expect(row('bore', 0.6)).toBeNull();
});

test.each(['bore', 'peg'] as const)(
  'of a %s it is built closed, in one piece, to its volume',
  async (feature) => {
    const body = row(feature, 6.32)!;
    const repair = new RepairDraft('Gauge').body('b', 'Body', body.steps).repair;
    const font = lettersFont();
    const builder = new RepairBuilder(await testKernel(), font);
    const built = builder.build(repair.bodies, evaluateRepair(repair)).get('b')!;
    expect(built.steps.filter(({ state }) => state !== 'built')).toEqual([]);
    expect(built.check).toMatchObject({ closed: true, valid: true, pieces: 1 });
    const mm = (value: unknown) => (value as { mm: number }).mm;
    const [base] = body.steps;
    if (base?.kind !== 'plate') throw new Error('no plate');
    const plate = (mm(base.length) * mm(base.breadth) - (4 - Math.PI) * 1.5 ** 2) * mm(base.thickness);
    const round = GAUGE_STEPS_MM.reduce(
      (sum, looser) =>
        sum + (Math.PI / 4) * (feature === 'bore' ? -5 * (6.32 + looser) ** 2 : 8 * (6.32 - looser) ** 2),
      0,
    );
    // The marks take away a little.
    const marks = plate + round - built.check!.volumeMm3;
    expect(marks).toBeGreaterThan(10);
    expect(marks).toBeLessThan(80);
    builder.dispose();
  },
  60_000,
);
