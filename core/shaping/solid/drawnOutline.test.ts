import { evaluateRepair } from '@core/fitting/fit';
import type { DrawnOutline } from '@core/foundations/fields';
import { numberValue, sizeValue, type Repair, type Step } from '@core/record/model';
import { drawnInput, solveDrawn, type DrawnData } from '@core/shaping/drawn';
import {
  drawnFromCurves,
  drawnFromPoints,
  withDimension,
  withRelation,
  withRoundedCorner,
} from '@core/shaping/drawnEdits';
import type { Kernel } from '@core/shaping/kernel';
import { eachOutlineNumber } from '@core/shaping/part';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';

import { BodyBuilder } from './bodyBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const raised = (outline: DrawnOutline, more: object = {}): Step =>
  ({
    id: 'raise',
    kind: 'extrude',
    effect: 'add',
    outline,
    turn: 0,
    height: numberValue(4),
    on: 'bottom',
    x: numberValue(0),
    y: numberValue(0),
    ...more,
  }) as Step;

function build(repair: Repair) {
  const builder = new BodyBuilder(kernel);
  const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const found = {
    faults: built.steps.flatMap((step) => (step.state === 'failed' ? [step.fault] : [])),
    volume: built.check?.volumeMm3 ?? 0,
    closed: built.check?.closed ?? false,
    tags: (built.solid?.tagList() ?? []).map((tag) => tag.split(':').at(-1)!).sort(),
  };
  builder.dispose();
  return found;
}
const of = (...steps: Step[]) => new RepairDraft('Test piece').body('body', 'Body', steps).repair;

/** A lever, roughly 60 long: its corners at hand. */
const lever = () =>
  drawnFromCurves([
    { kind: 'line', from: [0, 0], to: [58, 1] },
    { kind: 'line', from: [58, 1], to: [61, 12] },
    { kind: 'line', from: [61, 12], to: [-1, 14] },
    { kind: 'line', from: [-1, 14], to: [0, 0] },
  ]);

/** ... as a plate whose length is a size. */
function sized(length: DrawnOutline['points'][number]['x']) {
  let outline = lever();
  const [a, b, c, d] = outline.points.map(({ id }) => id) as [string, string, string, string];
  outline = withRelation(outline, { kind: 'fixed', point: a });
  outline = withRelation(outline, { kind: 'level', points: [a, b] });
  outline = withRelation(outline, { kind: 'upright', points: [b, c] });
  outline = withRelation(outline, { kind: 'level', points: [c, d] });
  outline = withRelation(outline, { kind: 'upright', points: [d, a] });
  [outline] = withDimension(outline, { kind: 'distance', points: [a, b], value: length });
  [outline] = withDimension(outline, { kind: 'distance', points: [b, c], value: numberValue(10) });
  return { outline, corner: c };
}

test('a drawn outline is raised where its relations and sizes put it, and follows a size', () => {
  const draft = (mm: number) => {
    const begun = new RepairDraft('Test piece').chosen('L', 'Length', mm);
    const { id } = begun.repair.sizes[0]!;
    return begun.body('body', 'Body', [raised(sized(sizeValue(id)).outline)]).repair;
  };
  expect(build(draft(60))).toMatchObject({ faults: [], closed: true, volume: expect.closeTo(2400, 4) });
  expect(build(draft(85)).volume).toBeCloseTo(85 * 10 * 4, 4);
});

test('a rounded corner leaves the other faces their names, so that what was picked is still found', () => {
  const { outline, corner } = sized(numberValue(60));
  const before = build(of(raised(outline)));
  const lengths = eachOutlineNumber(outline, evaluateRepair(of()));
  const input = drawnInput(outline as DrawnData, (path) => {
    const found = new Map(Object.entries(lengths)).get(path);
    return found?.ok ? found.value : undefined;
  });
  const rounded = withRoundedCorner(outline, solveDrawn(input), corner, 3, numberValue(3))!;
  const after = build(of(raised(rounded)));
  expect(after.faults).toEqual([]);
  expect(after.volume).toBeCloseTo(4 * (600 - 9 * (1 - Math.PI / 4)), 4);
  expect(after.tags.filter((tag) => before.tags.includes(tag))).toEqual(before.tags);
  expect(after.tags).toHaveLength(before.tags.length + 1);
});

test('a band is what lies between what is drawn and the same moved in', () => {
  const { outline } = sized(numberValue(60));
  const band = build(of(raised({ ...outline, band: numberValue(2) })));
  expect(band).toMatchObject({ faults: [], closed: true });
  expect(band.volume).toBeCloseTo(4 * (600 - 56 * 6), 4);
  expect(band.tags.filter((tag) => tag.startsWith('inner-'))).toHaveLength(4);
  const wide = build(of(raised({ ...outline, band: numberValue(6) })));
  expect(wide.faults).toMatchObject([{ code: 'outline.offsetTooFar' }]);
});

test('an outline of points becomes a drawn one with the same faces, of the same names, and nothing moves unasked', () => {
  const at = (x: number, y: number, more = {}) => ({ x: numberValue(x), y: numberValue(y), ...more });
  const points = {
    shape: 'points' as const,
    points: [at(0, 0), at(30, 0), at(34, 8, { via: true as const }), at(30, 16), at(0, 16)],
    between: 'straight' as const,
  };
  const [before, drawn] = [points, drawnFromPoints(points)].map((outline) =>
    build(of(raised(outline as unknown as DrawnOutline))),
  );
  expect(drawn!.faults).toEqual([]);
  expect(drawn!.tags).toEqual(before!.tags);
  expect(drawn!.volume).toBeCloseTo(before!.volume, 6);
  const smooth = {
    ...points,
    points: points.points.map(({ x, y }) => ({ x, y })),
    between: 'smooth' as const,
  };
  const [round, alike] = [smooth, drawnFromPoints(smooth)].map((outline) =>
    build(of(raised(outline as unknown as DrawnOutline))),
  );
  expect(alike!.tags).toEqual(round!.tags);
  expect(alike!.volume).toBeCloseTo(round!.volume, 6);
});

test('what can’t be built says why', () => {
  const { outline } = sized(numberValue(60));
  const [a, b] = outline.points.map(({ id }) => id) as [string, string];
  const [twice] = withDimension(outline, { kind: 'distance', points: [a, b], value: numberValue(50) });
  expect(build(of(raised(twice))).faults).toMatchObject([{ code: 'outline.contradicts' }]);
  expect(build(of(raised({ ...outline, curves: [] }))).faults).toMatchObject([
    { code: 'outline.nothingDrawn' },
  ]);
  const helpers = {
    ...outline,
    curves: outline.curves.map((curve) => ({ ...curve, helper: true as const })),
  };
  expect(build(of(raised(helpers))).faults).toMatchObject([{ code: 'outline.onlyHelpers' }]);
  const lost = withRelation(outline, { kind: 'parallel', curves: ['c1', 'c9'] });
  expect(build(of(raised(lost))).faults).toMatchObject([{ code: 'outline.relationMisused', why: 'gone' }]);
  const flat = drawnFromCurves([
    { kind: 'arc', from: [0, 0], via: [5, 0], to: [10, 0] },
    { kind: 'line', from: [10, 0], to: [0, 8] },
    { kind: 'line', from: [0, 8], to: [0, 0] },
  ]);
  expect(build(of(raised(flat))).faults).toMatchObject([{ code: 'outline.arcStraight' }]);
  const [none] = withDimension(outline, { kind: 'distance', points: [a, b], value: numberValue(0) });
  expect(build(of(raised(none))).faults).toMatchObject([
    { code: 'outline.relationMisused', why: 'notPositive' },
  ]);
  const inOnePlace = {
    ...lever(),
    points: lever().points.map((point) => ({ ...point, x: numberValue(3), y: numberValue(4) })),
  };
  expect(build(of(raised(inOnePlace))).faults).toMatchObject([{ code: 'outline.noLength', place: 1 }]);
  // It crosses itself only once a size has changed.
  const dart = (mm: number) => {
    let drawn = drawnFromCurves([
      { kind: 'line', from: [0, 0], to: [40, 0] },
      { kind: 'line', from: [40, 0], to: [40, 30] },
      { kind: 'line', from: [40, 30], to: [20, 12] },
      { kind: 'line', from: [20, 12], to: [0, 0] },
    ]);
    const [p, q, r, t] = drawn.points.map(({ id }) => id) as [string, string, string, string];
    for (const point of [p, q, r]) drawn = withRelation(drawn, { kind: 'fixed', point });
    [drawn] = withDimension(drawn, { kind: 'along', points: [p, t], axis: 'x', value: numberValue(20) });
    return withDimension(drawn, { kind: 'along', points: [q, t], axis: 'y', value: numberValue(mm) })[0];
  };
  expect(build(of(raised(dart(12)))).faults).toEqual([]);
  const over = dart(12);
  const below = {
    ...over,
    points: over.points.map((point, index) => (index === 3 ? { ...point, y: numberValue(-9) } : point)),
  };
  expect(build(of(raised(below))).faults).toMatchObject([{ code: 'outline.crosses' }]);
});

/** A rectangle that its relations and two sizes hold, from where it begins. */
function held(length: number, height: number): DrawnOutline {
  let next = drawnFromCurves([
    { kind: 'line', from: [0, 0], to: [length + 1, 1] },
    { kind: 'line', from: [length + 1, 1], to: [length - 1, height + 1] },
    { kind: 'line', from: [length - 1, height + 1], to: [0, height - 1] },
    { kind: 'line', from: [0, height - 1], to: [0, 0] },
  ]);
  const ids = next.points.map(({ id }) => id) as [string, string, string, string];
  const [a, b, c, d] = ids;
  next = withRelation(next, { kind: 'fixed', point: a });
  next = withRelation(next, { kind: 'level', points: [a, b] });
  next = withRelation(next, { kind: 'upright', points: [b, c] });
  next = withRelation(next, { kind: 'level', points: [c, d] });
  next = withRelation(next, { kind: 'upright', points: [d, a] });
  next = withDimension(next, { kind: 'distance', points: [a, b], value: numberValue(length) })[0];
  return withDimension(next, { kind: 'distance', points: [b, c], value: numberValue(height) })[0];
}
const place = { on: 'bottom', x: numberValue(0), y: numberValue(0), effect: 'add' };

test('it is turned, run along a path and blended as it is raised', () => {
  // Pappus: its middle goes round at 20 + 5.
  const turned = build(
    of({
      ...place,
      id: 'turn',
      kind: 'revolve',
      outline: held(10, 6),
      away: numberValue(20),
      up: numberValue(0),
      angle: 2 * Math.PI,
      turn: 0,
    } as Step),
  );
  expect(turned).toMatchObject({ faults: [], closed: true });
  expect(turned.volume).toBeCloseTo(2 * Math.PI * 25 * 60, 2);
  const run = build(
    of({
      ...place,
      id: 'run',
      kind: 'sweep',
      outline: held(10, 6),
      path: [0, 30].map((up) => ({ x: numberValue(0), y: numberValue(0), up: numberValue(up) })),
      bend: numberValue(0),
      along: 'straight',
      closed: false,
    } as Step),
  );
  expect(run).toMatchObject({ faults: [], closed: true });
  expect(run.volume).toBeCloseTo(60 * 30, 2);
  const section = (outline: DrawnOutline, at: number) => ({
    outline,
    at: numberValue(at),
    x: numberValue(0),
    y: numberValue(0),
    turn: 0,
  });
  const blended = build(
    of({
      ...place,
      id: 'blend',
      kind: 'loft',
      sections: [section(held(10, 6), 0), section(held(20, 12), 12)],
      between: 'straight',
    } as Step),
  );
  expect(blended).toMatchObject({ faults: [], closed: true });
  // The prismatoid: 12 / 6 · (60 + 4 · 15 · 9 + 240).
  expect(blended.volume).toBeCloseTo(2 * (60 + 540 + 240), 2);
});
