import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { trianglesOfPly } from '@core/making/formats';
import { evaluateRepair, formulaLength } from '@core/fitting/fit';
import { RepairBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import {
  filamentIn,
  layerPrinterFor,
  layerPrinterIn,
  layerSetIn,
  LAYER_PRINTERS,
  materialIn,
  RESIN_PRINTERS,
  resinIn,
  resinPrinterIn,
  resinSetIn,
  resistancesOf,
  correctionOf,
} from '@core/record/workshop';
import { brokenInState } from './rules';
import {
  copyRepair,
  PHOTOS_LIMIT_BYTES,
  readRepairFile,
  REPAIR_FILE_LIMIT_BYTES,
  REPAIR_LIMIT_BYTES,
  roomForPictures,
  type RepairFileContent,
  type StepOf,
} from '@core/record/model';

const FOLDER = join(__dirname, 'frozen');

/** Files as they were written once. They are never edited; a new form of the file adds one of its own. */
function opened(name: string): RepairFileContent {
  const file = readRepairFile(readFileSync(join(FOLDER, name), 'utf8'));
  if (!file.ok) throw new Error(`${name}: ${JSON.stringify(file.fault)}`);
  return file.value;
}

test('every file that was ever written opens', () => {
  const names = readdirSync(FOLDER);
  expect(names.length).toBeGreaterThanOrEqual(3);
  for (const name of names) expect(opened(name).repair.sizes.length).toBeGreaterThan(0);
});

test('every one of them can be opened again beside itself: under new ids all that goes by an id still does', () => {
  for (const name of readdirSync(FOLDER)) {
    const { repair } = opened(name);
    let made = 0;
    const copy = copyRepair(repair, () => `fresh-${(made += 1)}`);
    expect([name, brokenInState(copy)]).toEqual([name, null]);
    // The one that it was has none of the new ids, so nothing of it can be meant.
    const old = repair.sizes.map(({ id }) => id);
    expect(copy.sizes.some(({ id }) => old.includes(id))).toBe(false);
  }
});

test('one of the first weeks gives the numbers that it gave then, its revisions too', () => {
  const { repair, workshop } = opened('version-1-first-weeks.json');
  expect(repair.readings[0]).toMatchObject({ value: 38.2, typed: '38.20' });
  const bore = evaluateRepair(repair, workshop).fits.get('bore')!;
  // 6.02 measured, 0.18 for turning freely, 0.05 for the machine's small holes: as its demo said then.
  expect(bore.worked).toMatchObject({ ok: true, trail: { working: 6.25 } });
  expect(repair.revisions).toHaveLength(2);
  for (const revision of repair.revisions) {
    const { worked } = evaluateRepair(revision.state, revision.workshop).fits.get('bore')!;
    if (!worked.ok) throw new Error(worked.name);
    expect(worked.trail.entries.at(-1)).toMatchObject({ kind: 'correction', value: 0.05 });
  }
});

test('one of version 2 has what is new in it, and its numbers', () => {
  const { repair, workshop } = opened('version-2.json');
  const numbers = evaluateRepair(repair, workshop);
  // 22 ± 0.015 as its standard leaves it: 95 of 100 within 0.95 of that.
  expect(numbers.sizes.get('c')!.result).toMatchObject({
    status: 'given',
    uncertainty: { expanded: expect.closeTo(0.01425, 6) },
  });
  expect(repair.readings.at(-1)).toMatchObject({ instrumentId: 'feeler-gauge', value: 1.25 });
  // 6.02 and 0.18 and 0.12, and 6 round it.
  expect(formulaLength('fit(A) + 6', 'mm', numbers)).toMatchObject({ value: 12.32 });
  expect(repair.bodies[0]!.steps.map(({ kind }) => kind)).toEqual([
    'extrude',
    'peg',
    'hole',
    'mirror',
    'extrude',
    'chamfer',
  ]);
});

test('one of version 3 has what is new in it, and builds to its volume', async () => {
  const { repair, workshop } = opened('version-3.json');
  const [body] = repair.bodies;
  expect(body!.steps.slice(-3)).toMatchObject([
    { outline: { of: { whole: true } }, draft: { from: 'size', id: 'l' } },
    { floor: true },
    { pattern: { count: { from: 'size', id: 'n' } } },
  ]);
  const builder = new RepairBuilder(await testKernel());
  const built = builder.build(repair.bodies, evaluateRepair(repair, workshop)).get(body!.id)!;
  expect(built.steps.filter(({ state }) => state !== 'built')).toEqual([]);
  expect(built.check!.volumeMm3).toBeCloseTo(13411.7, 1);
  builder.dispose();
});

test('one of version 4 repeats several steps together, and builds to its volume', async () => {
  const [before, now] = [opened('version-3.json'), opened('version-4.json')];
  const volumeOf = async ({ repair, workshop }: RepairFileContent) => {
    const builder = new RepairBuilder(await testKernel());
    const built = builder.build(repair.bodies, evaluateRepair(repair, workshop)).get(repair.bodies[0]!.id)!;
    expect(built.steps.filter(({ state }) => state !== 'built')).toEqual([]);
    builder.dispose();
    return built.check!.volumeMm3;
  };
  // Two pegs 1 across and 1.5 high, and once more a hole 2 across, from 8 down to 1.5.
  const grown = (await volumeOf(now)) - (await volumeOf(before));
  expect(grown).toBeCloseTo(Math.PI * (2 * 0.25 * 1.5 - (8 - 1.5)), 3);
});

test('one of version 5 says how its body is laid in layers', () => {
  const [before, now] = [opened('version-4.json'), opened('version-5.json')];
  const laying = { down: [0, 0, 1], settings: 'fine', support: 'bed', foot: 'brim' };
  expect(now.repair.bodies[0]).toEqual({ ...before.repair.bodies[0]!, laying });
});

test('one of version 6 has a trial, and a machine that has learned', () => {
  const { repair, workshop } = opened('version-6.json');
  expect(repair.trials).toMatchObject([
    {
      of: 'part',
      results: [{ verdict: 'stiff', made: [{ instrumentId: 'bench-caliper' }], done: [{ what: 'reamed' }] }],
    },
  ]);
  expect(repair.head.brief).toMatchObject({ breaks: ['worn'], heat: 'warm', clues: { water: 'floats' } });
  const machine = workshop!.machines[0]!;
  expect(machine.corrections.at(-1)).toMatchObject({ family: 'plastic', learned: { count: 5 } });
  // Those of earlier versions have none.
  expect(opened('version-5.json').repair.trials).toEqual([]);
});

test('one of version 7 has a fit that serves two, a mark on a photo, and what stands goes back to A', () => {
  const { repair, workshop } = opened('version-7.json');
  expect(repair.head.standsOn).toBe('A');
  expect(repair.bodies[0]!.laying!.load).toEqual([1, 0, 0]);
  expect(repair.photos[0]!.marks).toMatchObject([{ words: 'It broke here' }]);
  expect(repair.trials[0]!.results[0]).toMatchObject({
    byHand: true,
    misplaced: { firstMm: 0.4, secondMm: 0 },
    leftOut: expect.stringMatching(/^reamed/),
  });
  expect(workshop!.machines[0]!.learnsSince).toBe('2026-11-01T00:00:00.000Z');
  const numbers = evaluateRepair(repair, workshop);
  const { worked, chance } = numbers.fits.get('bore')!;
  const [a, b] = ['a', 'b'].map((id) => {
    const { result } = numbers.sizes.get(id)!;
    return 'value' in result ? result.value : NaN;
  });
  expect(worked).toMatchObject({ ok: true, trail: { entries: [{}, { kind: 'mates' }, {}, {}] } });
  expect(chance!.mates.map(({ mm }) => mm)).toEqual([a, b]);
  // Those of earlier versions fit the one that they always did.
  expect(opened('version-6.json').repair.fits[0]!.alsoSizeIds).toBeUndefined();
});

test('one of version 8 says how its workshop prints layers', () => {
  const { repair, workshop } = opened('version-8.json');
  const { machineId, materialId } = repair.head;
  expect(layerPrinterIn(workshop!, machineId)).toMatchObject({ nozzleMm: 0.6, firstLayerSpreadMm: 0.14 });
  expect(filamentIn(workshop!, materialId)).toMatchObject({ pricePerKg: 27.5 });
  const { settings } = repair.bodies[0]!.laying!;
  expect(layerSetIn(workshop!, settings)).toMatchObject({ name: 'Thick and quick', layerMm: 0.36 });
  // Those of earlier versions are laid as a new workshop lays them.
  const before = opened('version-7.json').workshop!;
  expect(layerPrinterIn(before, machineId)).toEqual(LAYER_PRINTERS[0]);
  expect(layerSetIn(before, 'fine').layerMm).toBe(0.12);
});

test('one of version 10 says how its workshop makes in resin, and what was done to what was made', () => {
  const { repair, workshop } = opened('version-10.json');
  const { machineId, materialId } = repair.head;
  expect(resinPrinterIn(workshop!, machineId)).toMatchObject({ pixels: [2560, 1440], liftMm: 5 });
  expect(resinIn(workshop!, materialId)).toMatchObject({ cureMinutes: 20 });
  expect(resinSetIn(workshop!, 'fine')).toMatchObject({ name: 'Very fine', layerMm: 0.025 });
  expect(materialIn(workshop!, materialId)).toMatchObject({
    name: 'PETG, grey',
    modulusMpa: 2050,
    across: 0.55,
  });
  expect(materialIn(workshop!, 'bone')).toMatchObject({ softensAtC: null, shrinks: null });
  expect(resistancesOf(materialIn(workshop!, materialId))).toMatchObject({
    sun: 'unsuited',
    lifts: 'withCare',
    water: 'suited',
  });
  // What its first layer spreads was learned; a load with where it is held; what the foot of a made size measured.
  expect(layerPrinterFor(workshop!, workshop!.layerPrinters![0]!.id, 'plastic')!.firstLayerSpreadMm).toBe(
    0.17,
  );
  expect(repair.bodies[0]!.laying!.held).toEqual({ forceN: 40, at: [20, 0, 5], heldAt: [-20, 0, 2.5] });
  expect(repair.trials[0]!.results[0]!.foot).toMatchObject({ takenBackMm: 0.14, made: [{ mm: 6.05 }] });
  expect(repair.trials[0]!.finished).toEqual([{ what: 'supports' }, { what: 'ream', fitId: 'bore' }]);
  // Those of earlier versions have what a new workshop has, and nothing was ticked off.
  const before = opened('version-9.json');
  expect(resinPrinterIn(before.workshop!, 'resin-printer')).toEqual(RESIN_PRINTERS[0]);
  expect(before.repair.trials[0]!.finished).toBeUndefined();
});

test('one of version 11 says which way a fit lies, how long a load acts, where a plastic yields, and what was learned besides a line', () => {
  const { repair, workshop } = opened('version-11.json');
  expect(repair.fits[0]).toMatchObject({ along: 'y' });
  expect(repair.trials[0]!.results[0]).toMatchObject({ along: 'y' });
  expect(repair.bodies[0]!.laying!.held).toMatchObject({ lasts: 'lasting', safety: 4 });
  expect(workshop!.materials![0]!.yieldMpa).toBe(47.5);
  const [machine] = workshop!.machines;
  // 0.16 + 0.0011 · 7 + 0.21 / 7, for a bore; others of its kind 0.01 less.
  const found = correctionOf(machine!, 'plastic', 'inside', 7, { fitFeature: 'bore', isRound: true });
  expect(found.mm).toBeCloseTo(0.16 + 0.0077 + 0.03, 9);
  expect(correctionOf(machine!, 'plastic', 'inside', 7, { fitFeature: 'slot', along: 'y' }).mm).toBeCloseTo(
    0.15 + 0.0077 + 0.03 + (0.0004 * 7) / 2,
    9,
  );
  expect(found.learned!.widened).toBe(1.3);
  expect(found.doubts.map(({ share }) => share)).toEqual([0.75, 0.25]);
  // Those of earlier versions open without, and their plastic's yield is what the app knows of it.
  const before = opened('version-10.json');
  expect(before.repair.fits[0]!.along).toBeUndefined();
  expect(before.workshop!.materials![0]!.yieldMpa).toBeUndefined();
});

test('one of version 12 has its scans, where they lie, and their files', () => {
  const { repair, scanFiles } = opened('version-12.json');
  const [scan] = repair.scans;
  expect(scan).toMatchObject({ name: 'Broken half', bodyId: repair.bodies[0]!.id, triangles: 4 });
  expect(scan!.place).toEqual({
    turn: [0, 0, Math.SQRT1_2, Math.SQRT1_2],
    move: [1.25, -2, 30],
    isSure: true,
  });
  expect(scanFiles!.map(({ file }) => file)).toEqual([scan!.file]);
  expect(trianglesOfPly(new Uint8Array(Buffer.from(scanFiles![0]!.base64, 'base64')))).toBe(4);
  expect(opened('version-11.json').repair.scans).toEqual([]);
});

test('one of version 13 says what a printer takes in', () => {
  const printer = layerPrinterIn(opened('version-13.json').workshop!, 'bench-printer');
  expect(printer).toMatchObject({ takesArcs: true, linesPerSecond: 250, nozzleMm: 0.6 });
  // Where nothing is said it gets straight lines.
  const before = layerPrinterIn(opened('version-12.json').workshop!, 'bench-printer')!;
  expect([before.takesArcs, before.linesPerSecond]).toEqual([undefined, undefined]);
});

test('one of version 14 says where sections of a recipe begin, and what sides are called', () => {
  const headingsIn = (name: string) => opened(name).repair.bodies[0]!.steps.map(({ heading }) => heading);
  expect(headingsIn('version-14.json').slice(0, 4)).toEqual([
    'Body',
    undefined,
    'Holes for the pins',
    undefined,
  ]);
  expect(headingsIn('version-13.json').every((heading) => heading === undefined)).toBe(true);
  expect(opened('version-14.json').repair.bodies[0]!.sides).toEqual({ top: 'wall side', front: 'up' });
});

test('one of version 15 says what the curves of a drawn outline keep to each other', () => {
  const { repair } = opened('version-15.json');
  const [step] = repair.bodies.find(({ name }) => name === 'Drawn plate')!.steps;
  const { outline } = step as StepOf<'extrude'>;
  const drawn = outline as Extract<typeof outline, { shape: 'drawn' }>;
  expect(drawn.relations.map(({ kind }) => kind)).toEqual([
    'fixed',
    'level',
    'upright',
    'parallel',
    'square',
  ]);
  expect(drawn.dimensions!.map(({ id, reference }) => [id, reference])).toEqual([
    ['d1', undefined],
    ['d2', undefined],
    ['d3', true],
  ]);
  // Opened beside itself its names stay, and the size that it is drawn by is the copy's.
  const copy = copyRepair(repair, () => 'fresh');
  const copied = copy.bodies.find(({ name }) => name === 'Drawn plate')!.steps[0] as StepOf<'extrude'>;
  const again = copied.outline as typeof drawn;
  expect(again.relations).toEqual(drawn.relations);
  expect(again.dimensions![0]).toMatchObject({ points: ['A', 'B'], value: { from: 'size', id: 'fresh' } });
});

test('one of version 16 has drawings that follow a part, and a path that is drawn', () => {
  const { repair } = opened('version-16.json');
  const copy = copyRepair(
    repair,
    (() => {
      let made = 0;
      return () => `fresh-${(made += 1)}`;
    })(),
  );
  for (const { bodies } of [repair, copy]) {
    const [drawn, follows, cut, run] = bodies.find(({ name }) => name === 'Drawn plate')!.steps;
    const outlineOf = (step: typeof drawn) => {
      const { outline } = step as StepOf<'extrude'>;
      return outline as Extract<typeof outline, { shape: 'drawn' }>;
    };
    // Names of faces and bodies go by the ids of the copy.
    expect(outlineOf(follows).curves[0]!.follows).toMatchObject({
      edge: { tags: [`${drawn!.id}:top`, `${drawn!.id}:curveab`] },
    });
    expect(outlineOf(follows).points.at(-1)!.follows).toMatchObject({ edge: { near: [0, 0, 4] } });
    const plate = bodies.find(({ name }) => name === 'Plate')!;
    expect(outlineOf(cut).curves[0]!.follows).toMatchObject({
      cut: { tag: `${plate.steps[0]!.id}:wall` },
      body: plate.id,
    });
    expect((run as StepOf<'sweep'>).path).toMatchObject({ lies: 'right', drawn: { curves: [{}, {}] } });
  }
});

test('what misses a list today is no file of the first weeks', () => {
  const file = JSON.parse(readFileSync(join(FOLDER, 'version-1.json'), 'utf8')) as {
    repair: Record<string, unknown>;
  };
  delete file.repair.layouts;
  expect(readRepairFile(JSON.stringify(file))).toMatchObject({ ok: false, fault: { code: 'file.invalid' } });
});

test('a byte order mark before it is no mistake', () => {
  const text = readFileSync(join(FOLDER, 'version-1.json'), 'utf8');
  expect(readRepairFile(`\uFEFF${text}`)).toMatchObject({ ok: true });
});

test('the largest repair with the largest pictures fits into a file, and so does one that is larger already', () => {
  const encoded = (bytes: number) => Math.ceil((bytes * 4) / 3);
  for (const repairBytes of [
    0,
    REPAIR_LIMIT_BYTES / 2,
    REPAIR_LIMIT_BYTES,
    60 * 1024 * 1024,
    85 * 1024 * 1024,
  ]) {
    const pictures = roomForPictures(repairBytes);
    expect(repairBytes + encoded(pictures)).toBeLessThan(REPAIR_FILE_LIMIT_BYTES);
    if (repairBytes <= REPAIR_LIMIT_BYTES) expect(pictures).toBe(PHOTOS_LIMIT_BYTES);
  }
});
