import { decode } from 'fast-png';
import { strFromU8, unzipSync } from 'fflate';

import type { Fault } from '@core/foundations/fault';
import { meshVolume, type WeldedMesh } from '@core/shaping/part';
import { AS_MODELLED } from '@core/making/printing';
import { areaMm2, type Area } from '@core/making/slice';
import { ball, bar, block, cone, together } from '@core/testing/solids3d';
import { RESIN_PRINTERS, RESIN_SETS, RESINS } from '@core/record/workshop';
import { resinSentence, resinWarningSentence, sentenceOf } from '@core/reporting/wording';

import {
  exposureOf,
  imageStack,
  ResinSlicer,
  resinDrawing,
  resinHappenings,
  type SlicedResin,
  type PartInResin,
  type ResinRequest,
  type StackHeader,
} from '.';
import { pillarAreas } from './pillars';

const [printer] = RESIN_PRINTERS as [(typeof RESIN_PRINTERS)[0]];
const [resin] = RESINS as [(typeof RESINS)[0]];
const draft = RESIN_SETS.find(({ id }) => id === 'draft')!;
const noSpread = { ...printer, firstLayerSpreadMm: 0 };

const part = (mesh: WeldedMesh, fields: Partial<PartInResin> = {}): PartInResin => ({
  name: 'Part',
  mesh,
  down: AS_MODELLED,
  support: 'everywhere',
  pieces: 1,
  ...fields,
});
const jobOf = (parts: PartInResin[], fields: Partial<ResinRequest> = {}): ResinRequest => ({
  parts,
  printer: noSpread,
  resin,
  set: draft,
  density: 1.18,
  ...fields,
});
function toEnd<T>(work: Generator<number, T>): T {
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value;
}
function laid(request: ResinRequest, bench = new ResinSlicer()): SlicedResin {
  const reply = toEnd(bench.slice(request));
  if (!reply.ok) throw new Error(sentenceOf(reply.fault));
  return reply.value;
}
const volume = ({ job }: SlicedResin, of: 'parts' | 'pillars') =>
  job.layers.reduce((sum, layer) => sum + areaMm2(layer[of]) * layer.heightMm, 0);
const codes = ({ warnings }: SlicedResin) => warnings.map(({ code }) => code);

describe('what is lit', () => {
  test.each([
    ['a block', block(20, 16, 8)],
    ['a round bar', bar(18, 12)],
    ['a cone', cone(20, 14)],
    ['a ball', ball(16)],
  ])('%s takes its volume within half a hundredth', (_, mesh) => {
    expect(volume(laid(jobOf([part(mesh, { support: 'none' })])), 'parts') / meshVolume(mesh)).toBeCloseTo(
      1,
      2,
    );
  });

  test('what strays in the first layers is taken back in them alone', () => {
    const { job } = laid(jobOf([part(block(20, 20, 4))], { printer }));
    const side = 20 - 2 * printer.firstLayerSpreadMm;
    expect(areaMm2(job.layers[0]!.parts)).toBeCloseTo(side ** 2, 2);
    expect(areaMm2(job.layers[resin.footLayers - 1]!.parts)).toBeCloseTo(side ** 2, 2);
    expect(areaMm2(job.layers[resin.footLayers]!.parts)).toBeCloseTo(400, 2);
  });

  test('light follows the working curve, the first layers have their own', () => {
    expect(exposureOf(resin, 0.05)).toBe(resin.exposureSeconds);
    // From 0.05 to 0.1 mm by e^(0.05 / 0.14).
    expect(exposureOf(resin, 0.1) / resin.exposureSeconds).toBeCloseTo(1.4292, 4);
    const { job } = laid(jobOf([part(block(20, 20, 4))]));
    expect(job.layers.map(({ seconds }) => seconds).slice(4, 6)).toEqual([
      resin.footSeconds,
      exposureOf(resin, 0.1),
    ]);
  });
});

describe('what it takes', () => {
  test('minutes and grams by hand', () => {
    const { figures } = laid(jobOf([part(block(20, 20, 4), { support: 'none' })]));
    // 40 layers: 5 first ones, 35 others, each with a rise and a fall of 6 mm at 2 mm/s and a rest.
    const light = 5 * resin.footSeconds + 35 * exposureOf(resin, 0.1);
    expect(figures.lightMinutes).toBeCloseTo(light / 60, 9);
    expect(figures.liftMinutes).toBeCloseTo((40 * (6 + 1.5)) / 60, 9);
    expect(figures.minutes).toBeCloseTo(figures.lightMinutes + figures.liftMinutes, 9);
    expect(figures.grams).toBeCloseTo((1600 * 1.18) / 1000, 3);
    expect(figures.cost.material).toBeCloseTo((figures.grams / 1000) * resin.pricePerKg, 9);
  });

  test('three pieces take three times the resin in the same time', () => {
    const bench = new ResinSlicer();
    const mesh = bar(16, 5);
    const [one, three] = [1, 3].map((pieces) => laid(jobOf([part(mesh, { pieces })]), bench));
    expect(three!.figures.grams / one!.figures.grams).toBeCloseTo(3, 6);
    expect(three!.figures.minutes).toBe(one!.figures.minutes);
    expect(resinSentence(three!.figures, ['Bar'], [3])).toMatch(/ Bar, each of 3: \d\.\d g\.$/);
    expect(three!.placements[0]!.at).toHaveLength(3);
  });
});

describe('supports', () => {
  const table = together({ mesh: block(4, 4, 8), at: [0, 0, 4] }, { mesh: block(24, 16, 2), at: [0, 0, 9] });

  test('a table is told without them, and held by columns from the plate that thin out under it', () => {
    const bare = laid(jobOf([part(table, { support: 'none' })]));
    expect(codes(bare)).toEqual(['slice.overhang']);
    expect(resinWarningSentence(bare.warnings[0]!)).toMatch(
      /^At 8\.00 mm above the plate \d+ mm² overhang and may curl/,
    );
    const held = laid(jobOf([part(table, { support: 'bed' })]));
    expect(codes(held)).toEqual([]);
    const columns = (layer: number) => held.job.layers[layer]!.pillars;
    // 24 × 16 with tips 3 mm apart: 8 × 6, without those on the leg.
    expect(columns(40).length).toBeGreaterThan(36);
    expect(columns(40).length).toBeLessThanOrEqual(48);
    const each = (layer: number) => areaMm2(columns(layer)) / columns(layer).length;
    // Sixteen corners instead of a circle.
    const round = (across: number) => (16 / 2) * Math.sin((2 * Math.PI) / 16) * (across / 2) ** 2;
    expect(each(40)).toBeCloseTo(round(draft.pillarMm), 3);
    // The last layer under it: a tenth of a millimetre below.
    expect(each(79)).toBeCloseTo(round(draft.tipMm + ((draft.pillarMm - draft.tipMm) * 0.1) / 1.5), 3);
    expect(columns(80)).toEqual([]);
    expect(areaMm2(columns(2))).toBeGreaterThan(areaMm2(columns(40)));
    expect(held.figures.grams).toBeGreaterThan(bare.figures.grams);
  });

  test('straight columns share one area from layer to layer, and so many of them are laid in steps', () => {
    const pillars = Array.from({ length: 400 }, (_, at) => ({
      x: 3 * (at % 20),
      y: 3 * Math.floor(at / 20),
      from: 0,
      to: 200,
      onPlate: true,
    }));
    const regions = Array<Area>(200).fill([]);
    const work = pillarAreas(pillars, regions, draft);
    let steps = 0;
    let step = work.next();
    for (; !step.done; step = work.next()) steps += 1;
    const areas = step.value;
    expect(areas[100]).toBe(areas[20]);
    expect(areas[100]).toHaveLength(400);
    // The foot, the straight column, and 15 layers of tip: nothing else is worked out.
    expect(steps).toBeLessThan(20);
    expect(areas.at(-1)).toHaveLength(400);
  });

  test('over the part itself columns stand only where they may', () => {
    const shelf = together(
      { mesh: block(30, 10, 2), at: [0, 0, 1] },
      { mesh: block(4, 10, 10), at: [-13, 0, 7] },
      { mesh: block(30, 10, 2), at: [0, 0, 13] },
    );
    expect(codes(laid(jobOf([part(shelf, { support: 'bed' })])))).toEqual(['slice.overhang']);
    const held = laid(jobOf([part(shelf, { support: 'everywhere' })]));
    expect(codes(held)).toEqual([]);
    expect(held.job.layers[10]!.pillars).toEqual([]);
    expect(held.job.layers[60]!.pillars.length).toBeGreaterThan(20);
  });

  test('a slope that the printer manages needs none; a piece that begins in the air is told as that', () => {
    expect(
      volume(laid(jobOf([part(cone(6, 20), { down: [0, 0, 1], support: 'everywhere' })])), 'pillars'),
    ).toBeLessThan(2);
    const apart = together({ mesh: block(8, 8, 4), at: [0, 0, 2] }, { mesh: block(4, 4, 2), at: [0, 0, 9] });
    expect(codes(laid(jobOf([part(apart, { support: 'none' })])))).toEqual(['slice.inAir']);
  });
});

test('what holds resin, and what is too thin, is told with its place and its mend', () => {
  const inside = block(16, 16, 6);
  const hollow = together(
    { mesh: block(20, 20, 10), at: [0, 0, 5] },
    { mesh: { ...inside, indices: inside.indices.slice().reverse() }, at: [0, 0, 5] },
  );
  const { warnings } = laid(jobOf([part(hollow, { pieces: 2, support: 'none' })]));
  const closed = warnings.filter(({ code }) => code === 'resin.closed');
  expect(closed).toHaveLength(2);
  expect(closed[0]).toMatchObject({ mm3: expect.closeTo(1536, -2) as number });
  expect(resinWarningSentence(closed[0]!)).toMatch(/traps 1\.5 ml of resin .* Drill a 3 mm hole/);
  const thin = laid(jobOf([part(block(20, 0.3, 6))]));
  expect(codes(thin)).toEqual(['resin.tooThin']);
  expect(resinWarningSentence(thin.warnings[0]!)).toMatch(/6\.0 mm² are thinner/);
});

describe('the stack of pictures', () => {
  const small = {
    ...noSpread,
    envelopeMm: [40, 30, 100] as [number, number, number],
    pixels: [400, 300] as [number, number],
  };
  const work = laid(jobOf([part(cone(20, 4), { pieces: 1, support: 'none' })], { printer: small }));
  const shares: number[] = [];
  const stack = imageStack(work.job, 'Cone', '2026-11-30T08:00:00.000Z');
  let step = stack.next();
  while (!step.done) {
    shares.push(step.value);
    step = stack.next();
  }
  const files = unzipSync(step.value);
  const header = JSON.parse(strFromU8(files['job.json']!)) as StackHeader;

  test('says how each layer is lit', () => {
    expect(header).toMatchObject({
      format: 'even-spare-resin-job',
      version: 1,
      pixels: [400, 300],
      layerMm: 0.1,
    });
    expect(header.layers).toHaveLength(40);
    expect(header.layers[9]).toEqual({
      picture: 'layers/00010.png',
      topMm: 1,
      lightSeconds: Number(exposureOf(resin, 0.1).toFixed(3)),
    });
    expect(shares.at(-1)).toBe(1);
  });

  test('each picture lights the area of its layer, in the middle of the bed', () => {
    for (const index of [0, 10, 30]) {
      const { width, height, data, channels, depth } = decode(files[header.layers[index]!.picture]!);
      expect([width, height, channels, depth]).toEqual([400, 300, 1, 8]);
      let [sum, x, y] = [0, 0, 0];
      data.forEach((value, at) => {
        sum += value;
        x += value * ((at % width) + 0.5);
        y += value * (Math.floor(at / width) + 0.5);
      });
      const mm2 = (sum / 255) * 0.1 * 0.1;
      expect(mm2 / areaMm2(work.job.layers[index]!.parts)).toBeCloseTo(1, 3);
      expect(x / sum).toBeCloseTo(200, 1);
      expect(y / sum).toBeCloseTo(150, 1);
    }
  });

  test('layers that are alike are the same picture', () => {
    const bars = laid(jobOf([part(bar(10, 3), { support: 'none' })], { printer: small }));
    const pictures = unzipSync(toEnd(imageStack(bars.job, 'Bar', '2026-11-30T08:00:00.000Z')));
    expect(pictures['layers/00020.png']).toEqual(pictures['layers/00030.png']);
  });
});

test('it is drawn by its edges, each layer closed, where it stands on the bed', () => {
  const { job, warnings } = laid(jobOf([part(block(10, 8, 2), { at: [[20, 10]] })]));
  const drawing = resinDrawing(job);
  expect(drawing.topMm).toHaveLength(20);
  expect(Array.from(drawing.begins)).toEqual(Array.from({ length: 21 }, (_, layer) => 5 * layer));
  const xs = Array.from(drawing.x.subarray(0, 5));
  expect(Math.min(...xs)).toBeCloseTo(printer.envelopeMm[0] / 2 + 20 - 5, 3);
  expect(drawing.x[0]).toBe(drawing.x[4]);
  expect(resinHappenings(job, warnings)).toEqual([]);
});

test('what columns stand on lies on the bed too', () => {
  const flag = together({ mesh: block(4, 4, 8), at: [-10, 0, 4] }, { mesh: block(24, 8, 2), at: [0, 0, 9] });
  const reach = printer.envelopeMm[0] / 2 - 12;
  const put = (x: number) =>
    toEnd(new ResinSlicer().slice(jobOf([part(flag, { support: 'bed', at: [[x, 0]] })])));
  expect(put(reach - 1.5).ok).toBe(true);
  expect(put(reach - 1.4)).toMatchObject({
    fault: { code: 'slice.pieceOffBed', overMm: expect.closeTo(0.1, 3) as number },
  });
});

describe('what stands in the way', () => {
  const faultOf = (request: ResinRequest): Fault | null => {
    const reply = toEnd(new ResinSlicer().slice(request));
    return reply.ok ? null : reply.fault;
  };
  const open = block(20, 20, 5);
  test.each([
    ['larger than the bed', jobOf([part(block(300, 20, 5))]), 'slice.doesNotFit'],
    [
      'layers too high',
      jobOf([part(block(20, 20, 5))], { set: { ...draft, layerMm: 0.3 } }),
      'slice.layerHeight',
    ],
    ['lower than a layer', jobOf([part(block(20, 20, 0.02))]), 'slice.tooLow'],
    ['too many pieces', jobOf([part(block(60, 60, 5), { pieces: 3 })]), 'slice.piecesDoNotFit'],
    ['not closed', jobOf([part({ ...open, indices: open.indices.slice(3) })]), 'slice.notClosed'],
  ])('%s', (_, request, code) => {
    expect(faultOf(request)?.code).toBe(code);
  });
});
