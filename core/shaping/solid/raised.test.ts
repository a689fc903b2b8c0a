import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import { numberValue, type Repair, type Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';

import { BodyBuilder } from './bodyBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

function build(...steps: Step[]) {
  const repair: Repair = new RepairDraft('Test piece').body('body', 'Body', steps).repair;
  const builder = new BodyBuilder(kernel);
  const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const result = {
    ...built,
    volume: built.check?.volumeMm3 ?? 0,
    faults: built.steps.flatMap((step) => (step.state === 'failed' ? [step.fault] : [])),
    tags: (built.solid?.tagList() ?? []).map((tag) => tag.split(':').slice(-1)[0]!).sort(),
  };
  builder.dispose();
  return result;
}

const expectVolume = (actual: number, exact: number) =>
  expect(Math.abs(actual / exact - 1)).toBeLessThan(1e-6);

type Outline = Extract<Step, { kind: 'extrude' }>['outline'];

const values = (numbers: Record<string, number>) =>
  Object.fromEntries(Object.entries(numbers).map(([key, mm]) => [key, numberValue(mm)]));

const circle = (mm: number): Outline => ({ shape: 'circle', diameter: numberValue(mm) });

const outline = (shape: Outline['shape'], numbers: Record<string, number>, more = {}): Outline =>
  ({ shape, ...values(numbers), ...more }) as Outline;

let made = 0;

const place = (x = 0, y = 0) => ({ x: numberValue(x), y: numberValue(y) });

function raise(
  of: Outline,
  height: number | 'through',
  more: Partial<Extract<Step, { kind: 'extrude' }>> = {},
): Step {
  return {
    id: `raise-${(made += 1)}`,
    kind: 'extrude',
    effect: 'add',
    outline: of,
    turn: 0,
    height: height === 'through' ? height : numberValue(height),
    on: 'bottom',
    ...place(),
    ...more,
  };
}

type Kind = 'cone' | 'sphere' | 'torus';

function solid(kind: Kind, numbers: Record<string, number>, more: object = {}): Step {
  return {
    id: `${kind}-${(made += 1)}`,
    kind,
    effect: 'add',
    on: 'bottom',
    ...place(),
    ...values(numbers),
    ...more,
  } as unknown as Step;
}

const block = () => raise(outline('rectangle', { length: 40, breadth: 20, cornerRadius: 0 }), 10);

const BLOCK = 40 * 20 * 10;

describe('outlines raised, against closed formulas', () => {
  test.each([
    ['circle', circle(8), Math.PI * 16],
    ['ellipse', outline('ellipse', { length: 20, breadth: 10 }), Math.PI * 50],
    ['upright ellipse', outline('ellipse', { length: 10, breadth: 20 }), Math.PI * 50],
    [
      'rectangle',
      outline('rectangle', { length: 20, breadth: 10, cornerRadius: 2 }),
      200 - (4 - Math.PI) * 4,
    ],
    ['slot', outline('slot', { length: 30, breadth: 8 }), 22 * 8 + Math.PI * 16],
    [
      'hexagon over flats',
      outline('polygon', { across: 13 }, { sides: 6, by: 'flats' }),
      (169 * Math.sqrt(3)) / 2,
    ],
    ['square over corners', outline('polygon', { across: 20 }, { sides: 4, by: 'corners' }), 200],
  ])('%s', (_, of, area) => {
    const built = build(raise(of, 7));
    expect(built.faults).toEqual([]);
    expectVolume(built.volume, 7 * area);
    expect(built.check).toMatchObject({ pieces: 1, valid: true, closed: true });
  });

  test('turning and moving changes no volume, and moves the box', () => {
    const built = build(
      raise(outline('rectangle', { length: 20, breadth: 10, cornerRadius: 0 }), 7, {
        turn: Math.PI / 2,
        ...place(30, 0),
      }),
    );
    expectVolume(built.volume, 1400);
    expect(built.box!.map((mm) => Number(mm.toFixed(6)))).toEqual([25, -10, 0, 35, 10, 7]);
  });

  test('faces are named by the parts of the outline', () => {
    expect(build(raise(outline('slot', { length: 30, breadth: 8 }), 5)).tags).toEqual(
      ['back', 'bottom', 'front', 'left', 'right', 'top'].sort(),
    );
  });
});

describe('what a step does with what is there', () => {
  test('adds on the top, or from the ground up', () => {
    expectVolume(build(block(), raise(circle(8), 5, { on: 'top' })).volume, BLOCK + 80 * Math.PI);
    const beside = build(block(), raise(circle(8), 15, { on: 'bottom', ...place(15, 0) }));
    expectVolume(beside.volume, BLOCK + 5 * 16 * Math.PI);
  });

  test('cuts down from the top, up from the bottom, and right through', () => {
    const cut = { effect: 'cut' } as const;
    expectVolume(build(block(), raise(circle(8), 4, { ...cut, on: 'top' })).volume, BLOCK - 64 * Math.PI);
    expectVolume(build(block(), raise(circle(8), 4, { ...cut, on: 'bottom' })).volume, BLOCK - 64 * Math.PI);
    expectVolume(build(block(), raise(circle(8), 'through', cut)).volume, BLOCK - 160 * Math.PI);
  });

  test('keeps only what is within', () => {
    const kept = build(block(), raise(circle(16), 'through', { effect: 'common' }));
    expectVolume(kept.volume, 64 * Math.PI * 10);
  });

  test('order matters: a wall added after a cut is not cut by it', () => {
    const hole = raise(circle(8), 'through', { effect: 'cut' });
    const lid = raise(circle(16), 3, { on: 'top' });
    expectVolume(build(block(), hole, lid).volume, BLOCK - 160 * Math.PI + 192 * Math.PI);
    expectVolume(build(block(), lid, hole).volume, BLOCK + 192 * Math.PI - 13 * 16 * Math.PI);
  });
});

describe('cone, ball and ring, against closed formulas', () => {
  test('stump, and cones with a point above or below', () => {
    expectVolume(
      build(solid('cone', { lower: 10, upper: 6, height: 8 })).volume,
      ((Math.PI * 8) / 3) * (25 + 15 + 9),
    );
    expectVolume(build(solid('cone', { lower: 10, upper: 0, height: 9 })).volume, 75 * Math.PI);
    expectVolume(build(solid('cone', { lower: 0, upper: 10, height: 9 })).volume, 75 * Math.PI);
  });

  test('a countersunk hole: the cone is cut from the face down', () => {
    const built = build(
      block(),
      raise(circle(5), 'through', { effect: 'cut' }),
      solid('cone', { lower: 5, upper: 10, height: 2.5 }, { effect: 'cut', on: 'top' }),
    );
    const hole = Math.PI * 6.25;
    const sink = ((Math.PI * 2.5) / 3) * (6.25 + 12.5 + 25);
    expectVolume(built.volume, BLOCK - 7.5 * hole - sink);
  });

  test('a ball, half sunk in the top', () => {
    expectVolume(build(solid('sphere', { diameter: 12, up: 6 })).volume, 288 * Math.PI);
    expectVolume(
      build(block(), solid('sphere', { diameter: 12, up: 0 }, { on: 'top' })).volume,
      BLOCK + 144 * Math.PI,
    );
    expectVolume(
      build(block(), solid('sphere', { diameter: 12, up: 0 }, { on: 'top', effect: 'cut' })).volume,
      BLOCK - 144 * Math.PI,
    );
  });

  test('a ring, by Pappus, and the groove it leaves', () => {
    expectVolume(build(solid('torus', { across: 20, thick: 4, up: 2 })).volume, 2 * Math.PI ** 2 * 10 * 4);
    expectVolume(
      build(block(), solid('torus', { across: 14, thick: 2, up: 0 }, { on: 'top', effect: 'cut' })).volume,
      // The lower half of the section; its middle lies 4 r / 3 π from the straight side, level with the ring's.
      BLOCK - Math.PI ** 2 * 7,
    );
  });
});

describe('edges by rule', () => {
  const ease = (where: object): Step =>
    ({ id: 'ease', kind: 'chamfer', size: numberValue(1), where }) as Step;

  test('the upright edges of a block', () => {
    const base = block();
    // Four prisms with a right-angled triangle of legs 1.
    expectVolume(build(base, ease({ edges: 'upright', of: base.id })).volume, BLOCK - 4 * 0.5 * 10);
  });

  test('the outer edges of a raised circle, and the mouth and floor of a cut one', () => {
    const peg = raise(circle(10), 6);
    const ring = Math.PI * (5 - 1 / 3);
    expectVolume(build(peg, ease({ edges: 'rims', of: peg.id })).volume, 150 * Math.PI - 2 * ring);
    const pocket = raise(circle(10), 4, { effect: 'cut', on: 'top' });
    const built = build(block(), pocket, ease({ edges: 'rims', of: pocket.id }));
    expect(built.faults).toEqual([]);
    // At the mouth material goes, round the floor it stays.
    expectVolume(built.volume, BLOCK - 100 * Math.PI - Math.PI * (5 + 1 / 3) + Math.PI * (5 - 1 / 3));
  });
});

describe('what can’t be is told at its step', () => {
  test.each([
    ['through nothing', [raise(circle(5), 'through')], 'extrude.nothingToGoThrough'],
    ['cut from nothing', [raise(circle(5), 3, { effect: 'cut' })], 'step.firstMustAdd'],
    [
      'a miss',
      [block(), raise(circle(5), 3, { effect: 'cut', on: 'top', ...place(60, 0) })],
      'extrude.missesBody',
    ],
    ['a hole as wide as all', [block(), raise(circle(60), 'through', { effect: 'cut' })], 'step.nothingLeft'],
    ['a cone that is none', [solid('cone', { lower: 5, upper: 5, height: 3 })], 'cone.isNone'],
    ['a cone below zero', [solid('cone', { lower: -5, upper: 5, height: 3 })], 'value.outOfRange'],
    ['a ring without a hole', [solid('torus', { across: 5, thick: 5, up: 0 })], 'torus.tooThick'],
    ['a short slot', [raise(outline('slot', { length: 5, breadth: 5 }), 3)], 'outline.slotTooShort'],
    ['nothing added', [block(), raise(circle(5), 3)], 'step.changesNothing'],
  ])('%s', (_, steps, code) => {
    expect(build(...steps).faults).toMatchObject([{ code }]);
  });
});
