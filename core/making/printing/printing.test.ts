import {
  faultInGcode,
  happeningsIn,
  jobFigures,
  oriented,
  LayerSlicer,
  MOVE_KINDS,
  readGcode,
  orientationsOf,
  writeGcode,
  type SlicedJob,
  type LayerRequest,
} from '@core/making/printing';
import type { Vec3 } from '@core/foundations/vectors';
import { meshVolume, type WeldedMesh } from '@core/shaping/part';
import type { LayerPrinter } from '@core/record/model';
import { jobOf, sliceNow, partOf, settingsNamed, tryToLay } from '@core/testing/sliced';
import { readByAnother } from '@core/testing/otherReader';
import { FILAMENTS, LAYER_PRINTERS } from '@core/record/workshop';
import { volumeOf, type LayerSettings } from '@core/making/slice';
import { ball, bar, block, cone, lyingBar, together, torus } from '@core/testing/solids3d';
import { layerWarningSentence, sentenceOf } from '@core/reporting/wording';

import { lengthsOf } from './toolpath';

const [machine, quick] = LAYER_PRINTERS as [LayerPrinter, LayerPrinter, LayerPrinter];
const material = FILAMENTS[0]!;
const everyday = settingsNamed('everyday');
const full: LayerSettings = { ...everyday, fillShare: 1, foot: 'none' };
const WHEN = '2026-11-28T08:00:00.000Z';

const wish = (mesh: WeldedMesh, settings = everyday, fields: Partial<LayerRequest> = {}): LayerRequest =>
  jobOf([partOf(mesh, { settings })], fields);
const volume = ({ layers }: SlicedJob['sliced']) =>
  layers.reduce(
    (sum, { paths, heightMm }) => sum + paths.reduce((all, path) => all + volumeOf(path, heightMm), 0),
    0,
  );
const kinds = ({ layers }: SlicedJob['sliced'], layer: number) =>
  new Set(layers[layer]!.paths.map(({ kind }) => kind));
const noSpread = { ...machine, firstLayerSpreadMm: 0 };

describe('what is laid', () => {
  test.each([
    ['a block', block(20, 16, 8)],
    ['a round bar', bar(18, 12)],
    ['a cone', cone(20, 14)],
    ['a ball', ball(20)],
    ['a ring', torus(24, 7)],
    ['a thin plate on edge', block(30, 1.1, 12)],
  ])('full, %s takes its volume within a hundredth', (_, mesh) => {
    const { sliced } = sliceNow(wish(mesh, full, { machine: noSpread }));
    expect(volume(sliced) / meshVolume(mesh)).toBeCloseTo(1, 2);
  });

  test('a bore is printed with the radius that was asked for, within a hundredth of a mm', () => {
    const [outer, inner] = [bar(20, 6, 240), bar(6.32, 6, 240)];
    const tube = together(
      { mesh: outer, at: [0, 0, 0] },
      { mesh: { ...inner, indices: inner.indices.slice().reverse() }, at: [0, 0, 0] },
    );
    const { sliced } = sliceNow(wish(tube, everyday));
    const walls = sliced.layers[10]!.paths.filter(({ kind }) => kind === 'outerWall');
    const radii = walls.map(({ points }) => {
      let sum = 0;
      for (let at = 0; at < points.length; at += 2) sum += Math.hypot(points[at]!, points[at + 1]!);
      return sum / (points.length / 2);
    });
    // The edge lies half a line beside the middle of the line.
    expect(Math.min(...radii) - everyday.lineMm / 2).toBeCloseTo(3.16, 2);
    expect(Math.max(...radii) + everyday.lineMm / 2).toBeCloseTo(10, 2);
  });

  test('the first layer’s spread is taken back in the first layer alone', () => {
    const { sliced } = sliceNow(wish(block(20, 20, 4)));
    expect(sliced.areasMm2[0]).toBeCloseTo(19.8 ** 2, 3);
    expect(sliced.areasMm2[1]).toBeCloseTo(400, 3);
    expect(sliced.warnings).toEqual([]);
  });

  test('solid below and on top, filled between', () => {
    const { sliced } = sliceNow(wish(block(30, 30, 6)));
    const layers = sliced.layers.length;
    for (const layer of [0, 3, layers - 5, layers - 1]) {
      expect(kinds(sliced, layer)).toContain('skin');
      expect(kinds(sliced, layer)).not.toContain('fill');
    }
    for (const layer of [4, 10, layers - 6]) {
      expect(kinds(sliced, layer)).toContain('fill');
      expect(kinds(sliced, layer)).not.toContain('skin');
    }
  });

  test('a table bridges between its legs the short way, and needs no support where the printer manages it', () => {
    const table = together(
      { mesh: block(30, 4, 8), at: [0, -7, 4] },
      { mesh: block(30, 4, 8), at: [0, 7, 4] },
      { mesh: block(30, 18, 2), at: [0, 0, 9] },
    );
    const { sliced } = sliceNow(wish(table));
    const bridges = sliced.layers[40]!.paths.filter(({ kind }) => kind === 'bridge');
    expect(bridges.length).toBeGreaterThan(0);
    // Across from leg to leg, along y.
    const { points } = bridges[0]!;
    expect(Math.abs(points[3]! - points[1]!)).toBeGreaterThan(8);
    expect(Math.abs(points[2]! - points[0]!)).toBeLessThan(0.01);
    expect(sliced.warnings).toEqual([]);
    const short = sliceNow(wish(table, everyday, { machine: { ...machine, bridgeMm: 6 } }));
    expect(short.sliced.warnings).toMatchObject([
      { code: 'slice.longBridge', spanMm: expect.closeTo(10, 0) },
    ]);
  });

  test('what begins in the air is told, and held up by columns if they are wanted', () => {
    const mushroom = together({ mesh: bar(6, 10), at: [0, 0, 5] }, { mesh: bar(24, 4), at: [0, 0, 12] });
    const bare = sliceNow(wish(mushroom));
    expect(bare.sliced.warnings.map(({ code }) => code)).toEqual(['slice.overhang']);
    expect(layerWarningSentence(bare.sliced.warnings[0]!)).toContain('10.00 mm above the bed');
    // The layer that lies on 10 mm is the fifty-first.
    expect(happeningsIn(bare.sliced)).toContainEqual({ layer: 50, what: 'slice.overhang' });
    const held = sliceNow(wish(mushroom, { ...everyday, support: 'bed' }));
    expect(held.sliced.warnings).toEqual([]);
    expect(kinds(held.sliced, 5)).toContain('support');
    expect(kinds(held.sliced, 47)).toContain('supportFace');
    // One layer of air, so that they come off.
    expect(kinds(held.sliced, 49)).not.toContain('supportFace');
    expect(held.figures.grams).toBeGreaterThan(bare.figures.grams);
    // Over the part itself no column from the bed can stand: that is still told.
    const stepped = together(
      { mesh: block(30, 30, 4), at: [0, 0, 2] },
      { mesh: bar(6, 8), at: [0, 0, 8] },
      { mesh: bar(24, 4), at: [0, 0, 14] },
    );
    const codes = (support: 'bed' | 'everywhere') =>
      sliceNow(wish(stepped, { ...everyday, support })).sliced.warnings.map(({ code }) => code);
    expect(codes('bed')).toEqual(['slice.overhang']);
    expect(codes('everywhere')).toEqual([]);
    const apart = together({ mesh: block(8, 8, 4), at: [0, 0, 2] }, { mesh: block(4, 4, 2), at: [0, 0, 9] });
    expect(sliceNow(wish(apart)).sliced.warnings.map(({ code }) => code)).toEqual(['slice.inAir']);
  });

  test('another filling redoes no walls', () => {
    const bench = new LayerSlicer();
    const mesh = bar(20, 6);
    const first = sliceNow(wish(mesh), bench);
    const second = sliceNow(wish(mesh, { ...everyday, fillShare: 0.5 }), bench);
    const wallsOf = ({ sliced }: SlicedJob) =>
      sliced.layers[10]!.paths.filter(({ kind }) => kind === 'outerWall');
    expect(wallsOf(second)[0]).toBe(wallsOf(first)[0]);
    expect(second.figures.grams).toBeGreaterThan(first.figures.grams);
  });

  test('a single wall rises without a seam on a solid bottom', () => {
    const { job, sliced } = sliceNow(wish(bar(20, 10), { ...everyday, singleWall: true, foot: 'none' }));
    expect(sliced.layers[20]!.paths.map(({ kind }) => kind)).toEqual(['outerWall']);
    expect(job.layers[20]!.rising).toBe(true);
    const text = writeGcode(job, 'Cup', WHEN);
    if (!text.ok) throw new Error(sentenceOf(text.fault));
    const up = readGcode(text.value).moves.filter(
      ({ to, filamentMm }) => filamentMm > 0 && to[2] > 6 && to[2] < 8,
    );
    up.slice(1).forEach(({ to, from }) => expect(to[2]).toBeGreaterThanOrEqual(from[2]));
  });

  test('what is laid round the foot: a loop, a rim, ears at sharp corners', () => {
    const plate = block(60, 40, 2);
    const lengths = (['none', 'skirt', 'brim', 'ears'] as const).map((foot) =>
      sliceNow(wish(plate, { ...everyday, foot }))
        .sliced.layers[0]!.paths.filter(({ kind }) => kind === 'foot')
        .reduce((sum, path) => sum + volumeOf(path, 1), 0),
    );
    expect(lengths[0]).toBe(0);
    // A rim 5 mm wide, with corners rounded: 200 of edge by 5 and a circle of 25π.
    const rim = Math.round(5 / everyday.lineMm) * everyday.lineMm;
    expect(lengths[2]! / (199.2 * rim + Math.PI * rim ** 2)).toBeCloseTo(1, 1);
    // Each ear is three quarters of a disc.
    expect(lengths[3]! / (4 * 0.75 * Math.PI * 25)).toBeCloseTo(1, 0.5);
  });
});

describe('what it takes', () => {
  test('filament, weight and cost follow from the volume; time from speeds', () => {
    const { figures, sliced, job } = sliceNow(wish(block(20, 20, 6), full));
    expect(figures.grams).toBeCloseTo((volume(sliced) * 1.27) / 1000, 6);
    expect(figures.metres * 1000 * (Math.PI / 4) * 1.75 ** 2).toBeCloseTo(volume(sliced), 3);
    expect(figures.cost.material).toBeCloseTo((figures.grams / 1000) * material.pricePerKg, 9);
    const whole = job.layers.reduce((sum, { allSeconds }) => sum + allSeconds, machine.warmUpSeconds);
    expect(figures.minutes).toBeCloseTo(whole / 60, 9);
    expect(jobFigures(job, 1.27, 1)).toEqual(figures);
  });

  test('a small layer is laid slower, so that it has time to set', () => {
    const { job } = sliceNow(wish(bar(12, 6), full));
    for (const { allSeconds } of job.layers.slice(1))
      expect(allSeconds).toBeGreaterThan(0.97 * material.leastLayerSeconds);
    expect(sliceNow(wish(block(60, 60, 6), full)).job.layers[5]!.allSeconds).toBeGreaterThan(
      2 * material.leastLayerSeconds,
    );
  });

  test('a quick printer is quicker, and nothing flows faster than the material melts', () => {
    const slow = sliceNow(wish(block(40, 40, 8)));
    const fast = sliceNow(wish(block(40, 40, 8), everyday, { machine: quick }));
    expect(fast.figures.minutes).toBeLessThan(0.75 * slow.figures.minutes);
    const layer = fast.job.layers[20]!;
    layer.width.forEach((width, move) => {
      if (layer.filamentMm[move]! > 0)
        expect(layer.speed[move]! * width * 0.2).toBeLessThanOrEqual(material.mostFlow + 1e-3);
    });
  });
});

describe('the job', () => {
  const { job } = sliceNow(wish(bar(20, 6), { ...everyday, support: 'none' }));
  const text = writeGcode(job, 'Bar; of the\nwheel', WHEN);
  if (!text.ok) throw new Error(sentenceOf(text.fault));

  test('read by another reader it has the same lengths of lines and of filament', () => {
    const read = readByAnother(text.value);
    const way = read.reduce((sum, { kind, lengthMm }) => (kind === 'travel' ? sum : sum + lengthMm), 0);
    const filament = read.reduce((sum, { filamentMm }) => sum + filamentMm, 0);
    expect(read.filter(({ command }) => command === 'G3').length).toBeGreaterThan(100);
    const expected = job.layers.flatMap((layer) => {
      const mm = lengthsOf(layer);
      return Array.from(mm, (one, move) => (MOVE_KINDS[layer.kind[move]!] === 'travel' ? 0 : one));
    });
    expect(way / expected.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 4);
    const pushed = job.layers.reduce(
      (sum, layer) => sum + layer.filamentMm.reduce((all, one) => all + one, 0),
      0,
    );
    expect(filament / pushed).toBeCloseTo(1, 4);
  });

  test('our reader finds every line again, with what it is for', () => {
    const read = readGcode(text.value);
    expect(read.unknown).toEqual([]);
    const outer = read.moves.filter(({ kind }) => kind === 'outerWall');
    const layers = new Set(outer.map(({ to }) => to[2]));
    expect(layers.size).toBe(30);
    for (const { widthMm } of outer) expect(widthMm).toBe(0.44);
    expect(text.value.split('\n')[0]).toBe('; Even Spare job: Bar  of the wheel');
  });

  test('inches, filament counted on, places counted from here are read; arcs too, and one without a middle is told and not guessed', () => {
    const read = readGcode(
      'G20\nG90\nM82\nG1 X1 Y2 E0.1 F60\nG1 X2 E0.3\nG91\nG1 X1 E0.1\nG2 X1 Y1 I1 J0\nG2 X0\n',
    );
    expect(read.moves.map(({ to }) => to.map((mm) => Math.round(mm * 10) / 10))).toEqual([
      [25.4, 50.8, 0],
      [50.8, 50.8, 0],
      [76.2, 50.8, 0],
      [101.6, 76.2, 0],
      [101.6, 76.2, 0],
    ]);
    expect(read.moves[3]!.round).toEqual({
      sweep: expect.closeTo(-Math.PI / 2, 9),
      centre: [expect.closeTo(101.6, 9), expect.closeTo(50.8, 9)],
    });
    expect(read.moves[4]!.round).toBeUndefined();
    expect(read.moves.map(({ filamentMm }) => filamentMm)).toEqual([
      expect.closeTo(2.54, 9),
      expect.closeTo(5.08, 9),
      expect.closeTo(2.54, 9),
      0,
      0,
    ]);
    expect(read.moves[0]!.speed).toBeCloseTo(25.4, 9);
    expect(read.unknown).toEqual([{ command: 'G2', times: 1, line: 9 }]);
  });

  test.each([
    ['G1 X230 Y10', 'X 230.00 mm'],
    ['G1 Z-2', 'Z -2.00 mm'],
    // Its ends lie within, its middle does not.
    ['G1 X215 Y100\nG3 X215 Y120 I0 J10', 'X 225.00 mm'],
    ['M104 S320', '320 °C'],
    ['M190 S150', '150 °C'],
  ])('%s among the first commands is refused with its line', (command, words) => {
    const bad = { ...machine, startGcode: ['G28', command] };
    const refused = writeGcode({ ...job, machine: bad }, 'Bar', WHEN);
    if (refused.ok) throw new Error('taken');
    const sentence = sentenceOf(refused.fault).replace('−', '-');
    expect(sentence).toContain(words);
    expect(sentence).toMatch(new RegExp(`^Line ${8 + command.split('\n').length} `));
    expect(faultInGcode(text.value, machine)).toBeNull();
  });
});

describe('what stands in the way is told before anything is laid', () => {
  const fault = (request: LayerRequest) => {
    const reply = tryToLay(request);
    return reply.ok ? null : reply.fault;
  };
  test.each([
    ['larger than the bed', wish(block(300, 20, 5)), 'slice.doesNotFit'],
    ['too high', wish(block(20, 20, 300)), 'slice.doesNotFit'],
    ['layers above the nozzle', wish(block(20, 20, 5), { ...everyday, layerMm: 0.5 }), 'slice.layerHeight'],
    ['layers of nothing', wish(block(20, 20, 5), { ...everyday, layerMm: 0 }), 'slice.layerHeight'],
    ['too thin everywhere', wish(block(20, 0.1, 5), { ...everyday, foot: 'none' }), 'slice.nothingLaid'],
    ['lower than a layer', wish(block(20, 20, 0.05)), 'slice.tooLow'],
    [
      'a cold nozzle',
      wish(block(20, 20, 5), everyday, { machine: { ...machine, hottestNozzleC: 200 } }),
      'slice.machineTooCold',
    ],
  ])('%s', (_, request, code) => {
    const found = fault(request);
    expect(found?.code).toBe(code);
    expect(sentenceOf(found!)).toMatch(/[.]$/);
  });

  test('triangles that do not close', () => {
    const { positions, indices } = block(20, 20, 5);
    expect(fault(wish({ positions, indices: indices.slice(3) }))).toEqual({
      code: 'slice.notClosed',
      edges: 3,
    });
  });

  test('a height that whole layers do not give is told', () => {
    expect(sliceNow(wish(block(20, 20, 5.07))).sliced.warnings).toEqual([
      {
        part: 0,
        code: 'slice.heightRounded',
        askedMm: expect.closeTo(5.07, 4),
        madeMm: expect.closeTo(5, 9),
      },
    ]);
  });
});

describe('way up', () => {
  const overhang = machine.overhang;
  const downs = (mesh: WeldedMesh, load: Vec3 | null = null) =>
    orientationsOf(mesh, overhang, load).map(({ down }) => down);
  const near = (one: Vec3, other: Vec3) => one.every((part, axis) => Math.abs(part - other[axis]!) < 1e-3);

  test('a mushroom is laid on its head, a cone on its base, a lying bar stood up', () => {
    const mushroom = together({ mesh: bar(6, 10), at: [0, 0, 5] }, { mesh: bar(24, 4), at: [0, 0, 12] });
    expect(near(downs(mushroom)[0]!, [0, 0, 1])).toBe(true);
    expect(near(downs(cone(20, 20))[0]!, [0, 0, -1])).toBe(true);
    expect(Math.abs(downs(lyingBar(20, 8))[0]![1])).toBeCloseTo(1, 3);
  });

  test('a wheel is never suggested on its rim, whatever the load: it would rock on a facet', () => {
    const wheel = bar(38, 8, 120);
    for (const load of [null, [0, 0, 1], [1, 0, 0]] as (Vec3 | null)[]) {
      for (const down of downs(wheel, load)) expect(Math.abs(down[2])).toBeCloseTo(1, 6);
    }
    // A bar with a flat on it lies on that.
    expect(downs(block(30, 30, 8)).some((down) => Math.abs(down[2]) < 0.5)).toBe(true);
  });

  test('a load across the layers turns a bar on its side', () => {
    const rod = block(10, 10, 40);
    const [best] = orientationsOf(rod, overhang, [0, 0, 1]);
    expect(Math.abs(best!.down[2])).toBeLessThan(1e-6);
    expect(best!.across).toBeCloseTo(0, 6);
  });

  test.each([[[0, 0, -1]], [[0, 0, 1]], [[1, 0, 0]], [[0.6, 0, -0.8]], [[-0.48, 0.64, 0.6]]] as [Vec3][])(
    'laid on %j it stands on the bed, keeps its volume, and faces down there',
    (down) => {
      const mesh = together({ mesh: block(10, 14, 20), at: [3, 4, 5] }, { mesh: cone(6, 9), at: [30, 0, 0] });
      const lying = oriented(mesh, down);
      const heights = [...lying.positions].filter((_, at) => at % 3 === 2);
      expect(Math.min(...heights)).toBeCloseTo(0, 4);
      expect(meshVolume(lying)).toBeCloseTo(meshVolume(mesh), 1);
      // The corner farthest along `down` lies on the bed.
      let [farthest, at] = [-Infinity, 0];
      for (let corner = 0; corner < mesh.positions.length / 3; corner += 1) {
        const along = [0, 1, 2].reduce(
          (sum, axis) => sum + mesh.positions[3 * corner + axis]! * down[axis]!,
          0,
        );
        if (along > farthest) [farthest, at] = [along, corner];
      }
      expect(lying.positions[3 * at + 2]).toBeCloseTo(0, 4);
    },
  );
});
