import { evaluateRepair } from '@core/fitting/fit';
import { Body, Fit, Size, type RepairState } from '@core/record/model';
import { RepairBuilder } from '@core/shaping/solid';
import type { Kernel } from '@core/shaping/kernel';
import { starterFigure } from '@core/shaping/solid';
import { beginWith, STARTER_FIGURES, STARTERS } from '@core/shaping/starters';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

let made = 0;
const newId = () => `id-${(made += 1)}`;
function stateOf(id: string, sizes: Record<string, number> = {}): RepairState {
  const starter = STARTERS.find((one) => one.id === id)!;
  const begun = beginWith(starter, { sizes: [] }, new Set(), newId);
  const changed = [...begun.sizeOf].map(([key, size]) =>
    key in sizes ? { ...size, given: sizes[key]! } : size,
  );
  return { ...new RepairDraft(starter.name).repair, sizes: changed, fits: begun.fits, bodies: begun.bodies };
}
function volumes(state: RepairState): Record<string, number> {
  const builder = new RepairBuilder(kernel);
  const built = builder.build(state.bodies, evaluateRepair(state));
  const found = state.bodies.map((body) => {
    const { steps, check } = built.get(body.id)!;
    expect(
      steps.flatMap((step) => (step.state === 'failed' ? [{ body: body.name, fault: step.fault }] : [])),
    ).toEqual([]);
    expect(check).toMatchObject({ pieces: 1, valid: true, closed: true });
    return [body.name, check!.volumeMm3] as const;
  });
  builder.dispose();
  return Object.fromEntries(found);
}

test('there are a dozen or more, each with its own name', () => {
  expect(STARTERS.length).toBeGreaterThanOrEqual(12);
  expect(new Set(STARTERS.map(({ name }) => name)).size).toBe(STARTERS.length);
});

describe.each(STARTERS.map((starter) => [starter.id, starter] as const))('%s', (id, starter) => {
  test('is made of ordinary rows, builds to closed solids, and follows every number that it asks for', () => {
    const state = stateOf(id);
    for (const size of state.sizes) expect(Size.parse(size)).toEqual(size);
    for (const fit of state.fits) expect(Fit.parse(fit)).toEqual(fit);
    for (const body of state.bodies) expect(Body.parse(body)).toEqual(body);
    // Twice as large all over: nothing but plain numbers of a millimetre or so stays as it is.
    const small = volumes(state);
    const doubled = Object.fromEntries(starter.asks.map(({ key, usualMm }) => [key, usualMm * 2]));
    const large = volumes(stateOf(id, doubled));
    for (const [name, volume] of Object.entries(small)) {
      expect(large[name]! / volume).toBeGreaterThan(5);
      expect(large[name]! / volume).toBeLessThan(12);
    }
  });

  test('its figure shows where most of its numbers are taken', () => {
    const figure = starterFigure(kernel, starter)!;
    expect(figure.picture.edges.length).toBeGreaterThan(3);
    const keys = starter.asks.map(({ key }) => key);
    for (const { key } of figure.marks) expect(keys).toContain(key);
    expect(figure.marks.length).toBeGreaterThan(0);

    // What is shipped is that very drawing: `npm run figures` draws it again.
    const shipped = STARTER_FIGURES[id]!;
    expect(shipped.marks.map(({ key }) => key)).toEqual(figure.marks.map(({ key }) => key));
    expect(shipped.picture.edges.length).toBe(figure.picture.edges.length);
    const [now, then] = [figure, shipped].map(({ picture, marks }) =>
      [...picture.outline, ...picture.edges, ...marks.flatMap(({ from, to }) => [from, to])].flat(),
    );
    expect(then!.length).toBe(now!.length);
    expect(Math.max(...now!.map((at, index) => Math.abs(at - then![index]!)))).toBeLessThan(0.03);
  });
});

test('whatever a starter meets has a fit, so that its trail and the machine’s habit reach it', () => {
  // The outside of a tube that a plug only covers, and how long a tang is.
  const meetsNothing = ['plug tube', 'handle tangLong'];
  for (const { id, asks } of STARTERS) {
    for (const { key, of, fit } of asks) {
      if (of === 'counterpart' && !fit) expect(meetsNothing).toContain(`${id} ${key}`);
    }
  }
});

test('a link bar is two half discs and a bar, less its holes', () => {
  const state = stateOf('link');
  const fits = evaluateRepair(state).fits;
  const [fit] = [...fits.values()];
  const hole = fit!.worked.ok ? fit!.worked.trail.working : 0;
  expect(hole).toBeGreaterThan(6);
  // Eased all round by half a millimetre: less half a square millimetre along the rim, by Pappus on the half discs.
  const whole = 4 * (60 * 14 + Math.PI * 49 - 2 * Math.PI * (hole / 2) ** 2);
  const eased = 2 * (0.125 * 2 * 60 + 0.125 * 2 * Math.PI * (7 - 0.5 / 3));
  expect(volumes(state)['Link bar']).toBeCloseTo(whole - eased, 2);
});

test('names and tags keep clear of those that are there', () => {
  const starter = STARTERS.find(({ id }) => id === 'wheel')!;
  const first = beginWith(starter, { sizes: [] }, new Set(['rim']), newId);
  const second = beginWith(starter, { sizes: first.sizes }, new Set(), newId);
  const tags = [...first.sizes, ...second.sizes].map(({ tag }) => tag);
  expect(new Set(tags).size).toBe(tags.length);
  expect(second.sizes[0]!.name).toBe('Rim, outside (F)');
  expect(first.sizes.map(({ kind }) => kind)).toEqual(['measured', 'chosen', 'chosen', 'chosen', 'chosen']);
});
