import { LayerSlicer, MOST_PIECES, type BedPlace } from '@core/making/printing';
import { adhesionReachMm, volumeOf } from '@core/making/slice';
import { jobOf, sliceNow, partOf, settingsNamed, tryToLay } from '@core/testing/sliced';
import { bar, block } from '@core/testing/solids3d';
import { LAYER_PRINTERS } from '@core/record/workshop';
import { jobSentence, sentenceOf } from '@core/reporting/wording';

import { hullOf } from './hull';
import { placesOnBed, type BedItem } from './placesOnBed';

const everyday = { ...settingsNamed('everyday'), foot: 'none' as const };
const machine = LAYER_PRINTERS[0]!;
const BED = [220, 220, 200] as const;

const standing = (width: number, depth: number, fields: Partial<BedItem> = {}): BedItem => ({
  name: 'Block',
  hull: hullOf(block(width, depth, 5)),
  settings: everyday,
  pieces: 1,
  ...fields,
});
const faultOf = (parts: BedItem[]) => {
  const reply = placesOnBed(parts, BED);
  return reply.ok ? null : reply.fault;
};

describe('places', () => {
  test('one piece stands in the middle; a rim needs room between two and beyond the outermost', () => {
    expect(placesOnBed([standing(20, 20)], BED)).toEqual({ ok: true, value: [[[0, 0]]] });
    const rim = { foot: 'brim' as const, footMm: 6, lineMm: 0.44 };
    expect(faultOf([standing(100, 100, { settings: rim, pieces: 2 })])).toEqual({
      code: 'slice.piecesDoNotFit',
      pieces: 2,
      most: 1,
    });
    expect(faultOf([standing(100, 100, { pieces: 4 })])).toBeNull();
  });

  test('more than go on the bed are refused with how many do', () => {
    const refused = faultOf([standing(60, 60, { pieces: 16 })])!;
    expect(refused).toEqual({ code: 'slice.piecesDoNotFit', pieces: 16, most: 9 });
    expect(sentenceOf(refused)).toMatch(/^16 pieces do not fit on this bed: 9 do\./);
    expect(faultOf([standing(1, 1, { pieces: MOST_PIECES + 1 })])).toMatchObject({ most: MOST_PIECES });
  });

  test('different parts are packed apart from each other', () => {
    const parts = [standing(60, 40, { pieces: 3 }), standing(10, 90, { pieces: 4 })];
    const packed = placesOnBed(parts, BED);
    if (!packed.ok) throw new Error(sentenceOf(packed.fault));
    expect(packed.value.map(({ length }) => length)).toEqual([3, 4]);
    const boxes = packed.value.flatMap((places, part) =>
      places.map(([x, y]) => ({ x, y, half: part === 0 ? [30, 20] : [5, 45] })),
    );
    for (const [index, one] of boxes.entries()) {
      for (const other of boxes.slice(index + 1)) {
        const gaps = [
          Math.abs(one.x - other.x) - one.half[0]! - other.half[0]!,
          Math.abs(one.y - other.y) - one.half[1]! - other.half[1]!,
        ];
        expect(Math.max(...gaps)).toBeGreaterThanOrEqual(5 - 1e-9);
      }
    }
  });

  test('where somebody put them they stay, if they lie on the bed and apart', () => {
    const put = (...at: BedPlace[]) => [standing(20, 20, { pieces: at.length, at })];
    expect(placesOnBed(put([-40, 3], [12.5, 60]), BED)).toEqual({
      ok: true,
      value: [
        [
          [-40, 3],
          [12.5, 60],
        ],
      ],
    });
    const off = faultOf(put([105, 0]))!;
    expect(off).toEqual({
      code: 'slice.pieceOffBed',
      which: { name: 'Block', piece: 1, of: 1 },
      overMm: expect.closeTo(5, 6),
    });
    expect(sentenceOf(off)).toMatch(/^Block, with its brim or skirt, is 5\.00 mm off the bed/);
    const near = faultOf(put([0, 0], [20.9, 0]))!;
    expect(near).toMatchObject({ code: 'slice.piecesTooNear', gapMm: 1, other: { piece: 2, of: 2 } });
    expect(sentenceOf(near)).toMatch(/^Block, piece 1 and Block, piece 2 are too close/);
    expect(faultOf(put([0, 0], [21.1, 0]))).toBeNull();
    // A number of places that is not that of the pieces is an old one: they are packed.
    expect(
      placesOnBed(
        [
          standing(20, 20, {
            pieces: 1,
            at: [
              [0, 50],
              [0, 0],
            ],
          }),
        ],
        BED,
      ),
    ).toEqual({
      ok: true,
      value: [[[0, 0]]],
    });
  });

  test('corners of two rounds come nearer than their boxes let think', () => {
    const round = (at: BedPlace[]) => [
      standing(1, 1, { hull: hullOf(bar(20, 5, 90)), pieces: at.length, at }),
    ];
    // Middles 21.2 apart on the slant: 1.2 between the rounds, while their boxes overlap.
    expect(
      faultOf(
        round([
          [0, 0],
          [15, 15],
        ]),
      ),
    ).toBeNull();
    expect(
      faultOf(
        round([
          [0, 0],
          [14.7, 14.7],
        ]),
      ),
    ).toMatchObject({ code: 'slice.piecesTooNear' });
  });
});

describe('a job of several', () => {
  test('three take three times the material, and less than three times the minutes, since it warms up once', () => {
    const of = (pieces: number) => sliceNow(jobOf([partOf(bar(16, 5), { settings: everyday, pieces })]));
    const [one, three] = [of(1), of(3)];
    expect(three.figures.grams / one.figures.grams).toBeCloseTo(3, 9);
    expect(three.figures.layers).toBe(one.figures.layers);
    expect(three.figures.minutes).toBeLessThan(3 * one.figures.minutes);
    expect(three.job.at).toEqual([machine.envelopeMm[0] / 2, machine.envelopeMm[1] / 2]);
    expect(jobSentence(three.figures, ['Bar'], [3])).toMatch(/ For each of 3 pieces \d+ min and \d\.\d g\.$/);
  });

  test('each part is laid as if it were alone, with its own walls and supports, moved to where it stands', () => {
    const strong = { ...settingsNamed('strong'), foot: 'none' as const };
    const parts = [
      partOf(block(20, 16, 6), { name: 'Block', settings: everyday, pieces: 2 }),
      partOf(bar(14, 3), { name: 'Bar', settings: strong }),
    ];
    const { sliced, placements, figures } = sliceNow(jobOf(parts));
    const lead = { layerMm: everyday.layerMm, firstLayerMm: everyday.firstLayerMm };
    const alone = [
      sliceNow(jobOf([parts[0]!])),
      sliceNow(jobOf([{ ...parts[1]!, settings: { ...strong, ...lead } }])),
    ];
    expect(sliced.layers).toHaveLength(alone[0]!.sliced.layers.length);
    for (const index of [0, 5, 14, 25]) {
      const layer = sliced.layers[index]!;
      const own = (part: number) => layer.paths.filter((_, order) => layer.parts[order] === part);
      const mm3 = (paths: typeof layer.paths) => paths.reduce((sum, path) => sum + volumeOf(path, 1), 0);
      expect(mm3(own(0))).toBeCloseTo(mm3(alone[0]!.sliced.layers[index]!.paths), 6);
      expect(mm3(own(1))).toBeCloseTo(mm3(alone[1]!.sliced.layers[index]?.paths ?? []), 6);
      // A piece is printed to its end before the next one: three pieces, and no more turns than that.
      const changes = layer.parts.filter(
        (part, order) => order > 0 && part !== layer.parts[order - 1],
      ).length;
      expect(changes).toBeLessThanOrEqual(2);
    }
    const walls = (part: number) =>
      sliced.layers[5]!.paths.filter(
        ({ kind }, order) => kind === 'innerWall' && sliced.layers[5]!.parts[order] === part,
      ).length;
    expect([walls(0), walls(1)]).toEqual([2 * (everyday.walls - 1), strong.walls - 1]);
    // The bar's lines lie about where it stands.
    const [[x, y]] = placements[1]!.at as [BedPlace];
    const outer = sliced.layers[5]!.paths.find(
      ({ kind }, order) => kind === 'outerWall' && sliced.layers[5]!.parts[order] === 1,
    )!;
    for (let at = 0; at < outer.points.length; at += 2) {
      expect(Math.hypot(outer.points[at]! - x, outer.points[at + 1]! - y)).toBeCloseTo(
        7 - everyday.lineMm / 2,
        1,
      );
    }
    const grams = figures.parts.reduce((sum, part) => sum + part.grams, 0);
    expect(grams).toBeCloseTo(figures.grams, 9);
    expect(figures.parts[1]!.grams).toBeCloseTo(alone[1]!.figures.grams, 9);
    const minutes = figures.parts.reduce((sum, part) => sum + part.minutes, 0);
    // What is left is warming up and going from layer to layer.
    const rises = (sliced.layers.at(-1)!.topMm / machine.speeds.rise + machine.warmUpSeconds) / 60;
    expect(figures.minutes - minutes).toBeCloseTo(rises, 6);
    expect(jobSentence(figures, ['Block', 'Bar'], [2, 1])).toMatch(
      / Block, 2 pieces: \d+ min and \d\.\d g; Bar: \d+ min and \d\.\d g\.$/,
    );
  });

  test('warnings of each part stand where its pieces do', () => {
    const parts = [
      partOf(block(20, 16, 6), { settings: everyday }),
      partOf(block(20, 20, 5.07), { settings: everyday }),
      partOf(block(30, 0.12, 4), {
        settings: everyday,
        pieces: 2,
        at: [
          [0, 40],
          [0, 60],
        ],
      }),
    ];
    parts[0] = { ...parts[0]!, at: [[0, 0]] };
    parts[1] = { ...parts[1]!, at: [[60, 0]] };
    const thinBeside = { ...parts[2]!, mesh: parts[0]!.mesh };
    const { sliced } = sliceNow(jobOf([parts[0]!, parts[1]!, thinBeside]));
    expect(sliced.warnings).toEqual([
      {
        part: 1,
        code: 'slice.heightRounded',
        askedMm: expect.closeTo(5.07, 4),
        madeMm: expect.closeTo(5, 9),
      },
    ]);
    // A part of which nothing can be printed is refused, whatever lies beside it.
    expect(tryToLay(jobOf(parts))).toMatchObject({ ok: false, fault: { code: 'slice.nothingLaid' } });
  });

  test('one loop goes round all; a rim goes round its own part alone', () => {
    const at: BedPlace[] = [
      [-11, 0],
      [11, 0],
    ];
    const of = (foot: 'skirt' | 'brim') =>
      sliceNow(
        jobOf([
          partOf(block(20, 20, 2), {
            settings: { ...everyday, foot },
            pieces: 2,
            at: foot === 'skirt' ? at : undefined,
          }),
        ]),
      );
    const feet = (foot: 'skirt' | 'brim') =>
      of(foot).sliced.layers[0]!.paths.filter(({ kind }) => kind === 'foot');
    // Two turns, each round both.
    expect(feet('skirt')).toHaveLength(2);
    expect(of('skirt').sliced.layers[0]!.parts[0]).toBe(-1);
    expect(feet('brim').length % 2).toBe(0);
    expect(of('brim').sliced.layers[0]!.parts[0]).toBe(0);
  });

  test('another number or another place slices nothing anew; another setting does', () => {
    const bench = new LayerSlicer();
    const mesh = bar(16, 2);
    const pathsOf = (fields: Partial<Parameters<typeof partOf>[1]>) => {
      const { sliced } = sliceNow(jobOf([partOf(mesh, { settings: everyday, ...fields })]), bench);
      return sliced.layers[3]!.paths;
    };
    const [before] = pathsOf({});
    // The very same line, not one like it.
    expect(
      pathsOf({
        pieces: 2,
        at: [
          [0, 0],
          [30, 0],
        ],
      }).some((path) => path === before),
    ).toBe(true);
    expect(pathsOf({ settings: { ...everyday, walls: 5 } }).some((path) => path === before)).toBe(false);
  });
});

test.each(['skirt', 'brim', 'ears'] as const)(
  'what is laid round the foot (%s) reaches as far as is told, and no further',
  (foot) => {
    const settings = { ...everyday, foot };
    const { sliced } = sliceNow(
      jobOf([partOf(block(20, 20, 2), { settings })], { machine: { ...machine, firstLayerSpreadMm: 0 } }),
    );
    const paths = sliced.layers[0]!.paths.filter(({ kind }) => kind === 'foot');
    const farthest = Math.max(...paths.flatMap(({ points }) => [...points].map(Math.abs)));
    // The middle of the outermost line; half of its width lies beyond.
    const reach = farthest + settings.lineMm / 2 - 10;
    expect(reach).toBeLessThanOrEqual(adhesionReachMm(settings) + 0.05);
    expect(reach).toBeGreaterThan(adhesionReachMm(settings) - settings.lineMm);
  },
);
