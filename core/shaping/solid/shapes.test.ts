import { evaluateRepair } from '@core/fitting/fit';
import { meshOf, type Kernel } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import { gearRadii, halfToothAngle, roomForTip, undercutOf } from '@core/shaping/outline';
import { openEdgeCount, SCREEN_QUALITY, weld } from '@core/shaping/part';
import { ridgeOf, threadArea, threadForm, THREADS } from '@core/foundations/standards';
import { testKernel } from '@core/testing/kernel';
import { lettersFont } from '@core/testing/lettersFont';
import { block, buildPiece, outlineOf, plain, raised, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';
import { letterFaces } from '@core/shaping/text';

import { RepairBuilder } from './repairBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const build = (...steps: Step[]) => buildPiece(kernel, steps);

const rounded = (box: readonly number[] | null) => box?.map((mm) => Number(mm.toFixed(4)));

/** A closed solid of one piece with a volume, within a share of it. */
function expectSolid(built: ReturnType<typeof build>, volume: number, within = 1e-6, pieces = 1) {
  expect(built.faults).toEqual([]);
  expect(built.check).toMatchObject({ pieces, valid: true, closed: true });
  expect(Math.abs(built.volume / volume - 1)).toBeLessThan(within);
}

const standing = { effect: 'add', on: 'bottom', x: 0, y: 0 } as const;

const rectangle = (length: number, breadth: number) =>
  outlineOf('rectangle', { length, breadth, cornerRadius: 0 });

const circle = (diameter: number) => outlineOf('circle', { diameter });

const BLOCK = 40 * 20 * 10;

describe('more outlines, against closed formulas', () => {
  test('part of a ring, and a piece of pie', () => {
    const sector = (inner: number) => ({ ...outlineOf('sector', { inner, outer: 40 }), angle: 1.2 }) as never;
    expectSolid(build(raised(sector(20), 5)), 5 * 0.6 * (400 - 100));
    expectSolid(build(raised(sector(0), 5)), 5 * 0.6 * 400);
  });

  test('a band round two circles, and round three', () => {
    const circles = (...rows: [number, number, number][]) =>
      ({ shape: 'hull', circles: rows.map(([x, y, diameter]) => plain({ x, y, diameter })) }) as never;
    // Two equal circles: a slot.
    expectSolid(build(raised(circles([0, 0, 8], [20, 0, 8]), 3)), 3 * (20 * 8 + Math.PI * 16));
    // Radii 5 and 3, 20 apart: two trapezia and two sectors that make up the rest of each circle.
    const lean = Math.asin(2 / 20);
    const straight = Math.sqrt(400 - 4);
    const area = straight * (5 + 3) + (Math.PI + 2 * lean) * 12.5 + (Math.PI - 2 * lean) * 4.5;
    expectSolid(build(raised(circles([0, 0, 10], [20, 0, 6]), 3)), 3 * area);
    // Equal circles at the corners of a triangle: triangle, three strips and one whole circle.
    expectSolid(
      build(raised(circles([0, 0, 4], [30, 0, 4], [0, 40, 4], [10, 10, 4]), 2)),
      2 * (600 + 120 * 2 + Math.PI * 4),
    );
  });

  test('from point to point, with an arc, and clockwise as well', () => {
    const points = (rows: [number, number, true?][], between = 'straight') =>
      ({
        shape: 'points',
        between,
        points: rows.map(([x, y, via]) => ({ ...plain({ x, y }), ...(via ? { via } : {}) })),
      }) as never;
    // A half disc of radius 5 on a rectangle of 10 by 4.
    const dome: [number, number, true?][] = [
      [-5, 0],
      [5, 0],
      [5, 4],
      [0, 9, true],
      [-5, 4],
    ];
    expectSolid(build(raised(points(dome), 2)), 2 * (40 + 12.5 * Math.PI));
    expectSolid(build(raised(points([...dome].reverse()), 2)), 2 * (40 + 12.5 * Math.PI));
    // Smooth through 24 points of a circle is that circle to a thousandth.
    const ring = Array.from({ length: 24 }, (_, index): [number, number] => [
      10 * Math.cos((index * Math.PI) / 12),
      10 * Math.sin((index * Math.PI) / 12),
    ]);
    expectSolid(build(raised(points(ring, 'smooth'), 2)), 2 * 100 * Math.PI, 1e-3);
    expect(
      build(
        raised(
          points([
            [0, 0],
            [10, 10],
            [10, 0],
            [0, 10],
          ]),
          2,
        ),
      ).faults,
    ).toEqual([{ code: 'outline.crosses' }]);
  });

  test('a gear of 24 teeth, against its area integrated from the involute', () => {
    const gear = { teeth: 24, pressure: (20 * Math.PI) / 180, shift: 0.1, side: 'outside' as const };
    const outline = { shape: 'gear', ...gear, ...plain({ module: 1, backlash: 0.05 }) } as never;
    const built = build(raised(outline, 6));
    const known = { ...gear, module: 1, backlash: 0.05 };
    const { root, base, tip } = gearRadii(known);
    // A disc to the root, and above it 2 z ψ(r) r dr, by Simpson's rule; below the base circle ψ does not change.
    const steps = 2000;
    const width = (r: number) => 2 * 24 * halfToothAngle(known, Math.max(r, base)) * r;
    let area = Math.PI * root * root;
    for (let i = 0; i < steps; i += 1) {
      const [a, b] = [root + ((tip - root) * i) / steps, root + ((tip - root) * (i + 1)) / steps];
      area += ((b - a) / 6) * (width(a) + 4 * width((a + b) / 2) + width(b));
    }
    expectSolid(built, 6 * area, 2e-4);
    expect(built.box![3] - built.box![0]).toBeCloseTo(24 + 2 + 0.2, 3);
  });

  test.each([6, 8, 12])('a gear of %d teeth, cut in at its feet, against its area integrated', (teeth) => {
    const gear = { teeth, pressure: (20 * Math.PI) / 180, shift: 0, side: 'outside' as const };
    const built = build(raised({ shape: 'gear', ...gear, ...plain({ module: 2, backlash: 0 }) } as never, 5));
    const known = { ...gear, module: 2, backlash: 0 };
    const { root, base, tip } = gearRadii(known);
    const { nearest, begin } = undercutOf(known)!;
    const half = (r: number) => {
      const own = halfToothAngle(known, Math.max(r, base));
      return r > begin ? own : Math.min(own, roomForTip(known, Math.max(r, nearest * (1 + 1e-12))));
    };
    const steps = 4000;
    let area = Math.PI * root * root;
    for (let i = 0; i < steps; i += 1) {
      const r = root + ((tip - root) * (i + 0.5)) / steps;
      area += (2 * teeth * half(r) * r * (tip - root)) / steps;
    }
    expectSolid(built, 5 * area, 1e-3);
  });

  test('a rack: its teeth are half of its pitch line', () => {
    const outline = {
      shape: 'rack',
      teeth: 5,
      pressure: (20 * Math.PI) / 180,
      ...plain({ module: 2, backlash: 0, body: 6 }),
    } as never;
    const slope = Math.tan((20 * Math.PI) / 180);
    const pitch = 2 * Math.PI;
    // Trapezia from 2.5 below the pitch line, where a tooth is broadest, to 2 above it.
    const tooth = ((pitch / 2 + 2 * 2.5 * slope + (pitch / 2 - 2 * 2 * slope)) / 2) * 4.5;
    expectSolid(build(raised(outline, 4)), 4 * (5 * pitch * 6 + 5 * tooth));
  });
});

describe('solids from outlines, against closed formulas', () => {
  test('a wedge, and one that ends in an edge', () => {
    const wedge = (low: number, high: number) =>
      build(stepOf('wedge', { ...standing, length: 20, breadth: 10, low, high, turn: 0.3 }));
    expectSolid(wedge(2, 6), 20 * 10 * 4);
    expectSolid(wedge(0, 6), 20 * 10 * 3);
    expect(wedge(0, 6).roles).toEqual(['back', 'bottom', 'front', 'right', 'slope']);
    expect(wedge(0, 0).faults).toEqual([{ code: 'wedge.flat' }]);
  });

  test('an outline turned by an angle, by Pappus', () => {
    const spin = (angle: number) =>
      build({
        ...stepOf('revolve', { ...standing, outline: rectangle(4, 6), away: 10, up: 3, turn: 0.5 }),
        angle,
      } as Step);
    expectSolid(spin(Math.PI / 2), 24 * 10 * (Math.PI / 2));
    expectSolid(spin(2 * Math.PI), 24 * 10 * 2 * Math.PI);
    const crossing = {
      ...stepOf('revolve', { ...standing, outline: rectangle(30, 6), away: 10, up: 3, turn: 0 }),
      angle: 1,
    };
    expect(build(crossing as Step).faults).toMatchObject([{ code: 'revolve.crossesAxis', overMm: 5 }]);
  });

  test('raised with leaning sides: a stump of a pyramid and of a cone', () => {
    const draft = Math.atan(0.1);
    const area = (side: number) => side * side;
    expectSolid(
      build({ ...raised(rectangle(20, 20), 10), draft } as Step),
      (10 / 3) * (area(20) + area(18) + Math.sqrt(area(20) * area(18))),
    );
    expectSolid(build({ ...raised(circle(20), 10), draft } as Step), ((10 * Math.PI) / 3) * (100 + 81 + 90));
  });

  test('raised both ways', () => {
    const built = build(block(40, 20, 10), {
      ...raised(circle(8), 6, { on: 'top' }),
      bothWays: true,
    } as Step);
    expectSolid(built, BLOCK + Math.PI * 16 * 3);
    expect(built.box![5]).toBeCloseTo(13, 6);
  });

  test('raised or cut both ways with leaning sides: as large as its outline where it is held, smaller at either end', () => {
    const draft = Math.atan(0.1);
    const stump = (large: number, small: number, high: number) =>
      (high / 3) * (large ** 2 + small ** 2 + large * small);
    const post = { ...raised(rectangle(40, 40), 20), draft, bothWays: true } as Step;
    const built = build(post);
    expectSolid(built, 2 * stump(40, 38, 10));
    expect(built.box!.map((mm) => Number(mm.toFixed(6)))).toEqual([-20, -20, -10, 20, 20, 10]);
    const slot = {
      ...raised(rectangle(8, 8), 6, { effect: 'cut', on: 'top', lift: -5 }),
      draft,
      bothWays: true,
    } as Step;
    expectSolid(build(block(40, 20, 10), slot), BLOCK - 2 * stump(8, 7.4, 3));
  });

  test('from a square to a smaller one, straight: a stump of a pyramid', () => {
    const section = (side: number, at: number) => ({
      outline: rectangle(side, side),
      ...plain({ at, x: 0, y: 0 }),
      turn: 0,
    });
    const built = build({
      ...stepOf('loft', { ...standing }),
      sections: [section(20, 0), section(10, 12)],
      between: 'straight',
    } as unknown as Step);
    expectSolid(built, (12 / 3) * (400 + 100 + 200));
    const mixed = build({
      ...stepOf('loft', { ...standing }),
      sections: [
        { outline: circle(20), ...plain({ at: 0, x: 0, y: 0 }), turn: 0 },
        { outline: rectangle(14, 10), ...plain({ at: 10, x: 0, y: 0 }), turn: 0 },
        { outline: circle(8), ...plain({ at: 20, x: 3, y: 0 }), turn: 0 },
      ],
      between: 'smooth',
    } as unknown as Step);
    expect(mixed.faults).toEqual([]);
    expect(mixed.check).toMatchObject({ pieces: 1, valid: true, closed: true });
  });

  test('run along a path with a rounded bend, by Pappus', () => {
    const path = (...rows: [number, number, number][]) => rows.map(([x, y, up]) => plain({ x, y, up }));
    const run = (more: object) =>
      build({
        ...stepOf('sweep', { ...standing, outline: circle(4), bend: 5 }),
        along: 'straight',
        closed: false,
        ...more,
      } as Step);
    const legs = 20 - 5 + 30 - 5 + (Math.PI / 2) * 5;
    expectSolid(run({ path: path([0, 0, 0], [20, 0, 0], [20, 0, 30]) }), Math.PI * 4 * legs);
    // A closed one: a rounded square of 20 by 20.
    const round = 4 * 10 + 2 * Math.PI * 5;
    expectSolid(
      run({ path: path([0, 0, 0], [20, 0, 0], [20, 20, 0], [0, 20, 0]), closed: true }),
      Math.PI * 4 * round,
    );
    expect(
      run({ path: path([0, 0, 0], [20, 0, 0], [20, 0, 30]), ...plain({ bend: 1 }) }).faults,
    ).toMatchObject([{ code: 'sweep.bendTooTight' }]);
    expect(run({ path: path([0, 0, 0], [3, 0, 0], [3, 0, 30]) }).faults).toMatchObject([
      { code: 'sweep.legTooShort' },
    ]);
    // Straight from one circle to another: a stump of a cone.
    expectSolid(
      run({ path: path([0, 0, 0], [0, 0, 12]), ending: circle(10) }),
      ((Math.PI * 12) / 3) * (4 + 25 + 10),
      1e-4,
    );
  });
});

describe('threads', () => {
  const m8 = THREADS.find(({ name }) => name === 'M8')!;

  test('a modelled M8 of 12 mm, against its section integrated along it', () => {
    const built = build(
      stepOf('thread', {
        ...standing,
        side: 'outside',
        size: 'M8',
        length: 12,
        play: 0.05,
        made: 'modelled',
      }),
    );
    const form = threadForm(m8);
    const ridge = ridgeOf(form, 'outside', 0.05)!;
    // Every level section is the same, turned; the lead at the top cuts it at a radius that falls by a millimetre a millimetre.
    const steps = 4000;
    let volume = 0;
    for (let i = 0; i < steps; i += 1) {
      const z = (12 * (i + 0.5)) / steps;
      volume += threadArea(form, ridge, ridge.coreRadius + (12 - z)) * (12 / steps);
    }
    expectSolid(built, volume, 2e-4);
    expect(built.box![3]).toBeCloseTo(ridge.crestRadius, 2);
  }, 60_000);

  test('a threaded hole takes out what its rod would be', () => {
    const hole = stepOf('thread', {
      on: 'top',
      x: 0,
      y: 0,
      side: 'inside',
      size: 'M8',
      length: 'through',
      play: 0.1,
      made: 'modelled',
    });
    const built = build(block(20, 20, 5), hole);
    const form = threadForm(m8);
    expectSolid(built, 2000 - 5 * threadArea(form, ridgeOf(form, 'inside', 0.1)!), 2e-4);
  }, 60_000);

  test.each([
    ['deeper than the part', 'M8', { length: 5 }, 20, 'hole.deeperThanBody'],
    ['wider than the part', 'M20', { length: 3 }, 18, 'hole.widerThanBody'],
    ['beside the part', 'M8', { length: 3, x: 30 }, 20, 'hole.missesBody'],
  ])('a threaded hole %s is refused at once', (_, size, more, across, code) => {
    const hole = stepOf('thread', {
      on: 'top',
      x: 0,
      y: 0,
      side: 'inside',
      size,
      play: 0.1,
      made: 'modelled',
      ...more,
    });
    expect(build(block(across, across, 5), hole).faults).toMatchObject([{ code }]);
  });

  test('drawn only: the hole to tap, and what can’t be', () => {
    const thread = (more: object) =>
      build(
        block(20, 20, 5),
        stepOf('thread', {
          on: 'top',
          x: 0,
          y: 0,
          side: 'inside',
          size: 'M8',
          length: 'through',
          play: 0,
          made: 'drawn',
          ...more,
        }),
      );
    // ISO 724: D1 = D − 1.0825 P.
    expectSolid(thread({}), 2000 - (Math.PI * 5 * (8 - 1.082532 * 1.25) ** 2) / 4, 1e-5);
    expect(thread({ size: 'M99' }).faults).toEqual([{ code: 'thread.unknown', size: 'M99' }]);
    expect(thread({ ...plain({ play: 0.5 }) }).faults).toMatchObject([{ code: 'thread.playTooLarge' }]);
  });
});

describe('patterns', () => {
  const hole = () => stepOf('hole', { diameter: 2, depth: 'through', x: -15, y: -5 });
  const one = Math.PI * 10;

  test('a grid, a path and a row that climbs', () => {
    const h = hole();
    const repeat = (pattern: object) => ({ ...stepOf('pattern', {}), of: h.id, pattern }) as unknown as Step;
    expectSolid(
      build(block(40, 20, 10), h, repeat({ by: 'grid', count: 5, rows: 3, ...plain({ dx: 5, dy: 5 }) })),
      BLOCK - 15 * one,
    );
    const path = build(
      block(40, 20, 10),
      h,
      repeat({ by: 'path', count: 7, points: [plain({ x: 20, y: 0 }), plain({ x: 20, y: 10 })] }),
    );
    expectSolid(path, BLOCK - 7 * one);
    // Thirty millimetres of path in six steps of five: the last stands at its end.
    expect(rounded(path.centreLines.at(-1)!.from.slice(0, 2))).toEqual([5, 5]);
    const post = raised(circle(2), 2, { on: 'top', x: -15, y: -5 });
    const climbing = {
      ...stepOf('pattern', {}),
      of: post.id,
      pattern: { by: 'row', count: 3, ...plain({ dx: 10, dy: 0, dz: 0.5 }) },
    };
    expect(build(block(40, 20, 10), post, climbing as unknown as Step).box![5]).toBeCloseTo(13, 6);
  });
});

describe('letters', () => {
  const font = lettersFont();

  test('capitals are as high as asked, in the middle, with their holes', () => {
    const faces = letterFaces(font, 'REV B', 5);
    expect(faces).toHaveLength(4);
    expect(faces.flatMap(({ holes }) => holes)).toHaveLength(3);
    const ys = faces.flatMap(({ outer }) =>
      outer.flatMap((curve) => (curve.kind === 'line' ? [curve.from[1]] : [])),
    );
    expect(Math.max(...ys)).toBeCloseTo(2.5, 1);
    expect(Math.min(...ys)).toBeCloseTo(-2.5, 1);
  });

  test('raised letters are closed solids and carry through to the mesh', () => {
    const draft = new RepairDraft('Lettered').body('b', 'b', [
      block(40, 20, 4),
      stepOf('text', { effect: 'add', on: 'top', x: 0, y: 0, text: 'B 8', height: 6, depth: 0.6, turn: 0 }),
    ]);
    const builder = new RepairBuilder(kernel, font);
    const built = builder.build(draft.repair.bodies, evaluateRepair(draft.repair)).get('b')!;
    expect(built.steps.map(({ state }) => state)).toEqual(['built', 'built']);
    expect(built.box![5]).toBeCloseTo(4.6, 6);
    expect(built.check!.volumeMm3).toBeGreaterThan(3200 + 0.6 * 10);
    expect(openEdgeCount(weld(meshOf(built.solid!, SCREEN_QUALITY)))).toBe(0);
    builder.dispose();
  });

  test('without letters, without a font, and with letters that it has not', () => {
    const text = (what: string) =>
      build(
        block(40, 20, 4),
        stepOf('text', { effect: 'add', on: 'top', x: 0, y: 0, text: what, height: 6, depth: 0.6, turn: 0 }),
      );
    expect(text(' ').faults).toEqual([{ code: 'text.empty' }]);
    expect(text('A').faults).toEqual([{ code: 'text.noFont' }]);
  });
});
