import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import { numberValue, type Layout, type Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { LayoutDraft } from '@core/testing/layoutDraft';
import { block, outlineOf, plain, raised, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { BodyBuilder } from './bodyBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

function build(steps: Step[], layouts: Layout[] = []) {
  const { repair } = new RepairDraft('Test piece').body('body', 'Body', steps);
  repair.layouts = layouts;
  const builder = new BodyBuilder(kernel);
  const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const faults = built.steps.flatMap((step) => (step.state === 'failed' ? [step.fault] : []));
  const faces = built.solid?.tagList().length ?? 0;
  const result = { ...built, faults, faces, volume: built.check?.volumeMm3 ?? 0 };
  builder.dispose();
  return result;
}

const expectVolume = (actual: number, exact: number) =>
  expect(Math.abs(actual / exact - 1)).toBeLessThan(1e-6);

const draft = new RepairDraft('steps');

const plate = draft.step('plate', { length: 60, breadth: 40, thickness: 4, cornerRadius: 0 }, 'plate');

const hole = (x: number, y: number) => draft.step('hole', { diameter: 5, depth: 'through', x, y }, 'hole');

const PLATE = 60 * 40 * 4;

const HOLE = Math.PI * 6.25 * 4;

type Pattern = Extract<Step, { kind: 'pattern' }>['pattern'];

const repeat = (pattern: Pattern, of = 'hole'): Step => ({ id: 'again', kind: 'pattern', of, pattern });

const row = (count: number, dx: number, dy: number): Pattern => ({
  by: 'row',
  count,
  dx: numberValue(dx),
  dy: numberValue(dy),
});

describe('a step repeated', () => {
  test('round the axle line', () => {
    const built = build([plate, hole(15, 0), repeat({ by: 'round', count: 6 })]);
    expect(built.faults).toEqual([]);
    expectVolume(built.volume, PLATE - 6 * HOLE);
    expect(built.centreLines.filter(({ radius }) => radius === 2.5)).toHaveLength(6);
  });

  test('in a row', () => {
    expectVolume(build([plate, hole(-20, 0), repeat(row(5, 10, 0))]).volume, PLATE - 5 * HOLE);
  });

  test('at the points of a layout, once at each, where it stands already too', () => {
    const { layout } = new LayoutDraft([
      { x: 0, y: 0 },
      { x: 40, y: 0 },
      { x: 40, y: 20 },
      { x: 0, y: 20 },
    ])
      .between(1, 2)
      .between(1, 3)
      .between(2, 3)
      .between(1, 4)
      .between(2, 4);
    layout.zero = 'middle';
    // The hole itself is at point 1.
    const built = build([plate, hole(-20, -10), repeat({ by: 'layout', id: 'layout' })], [layout]);
    expect(built.faults).toEqual([]);
    expectVolume(built.volume, PLATE - 4 * HOLE);
  });

  test('a step that stands at a point of the layout is not made there once more, a hair aside', () => {
    const { layout } = new LayoutDraft([
      { x: 0, y: 0 },
      { x: 30.0043, y: 0 },
      { x: 11.3337, y: 17.7771 },
    ])
      .between(1, 2)
      .between(1, 3)
      .between(2, 3);
    layout.zero = 'middle';
    const at = (axis: 'x' | 'y') => ({ from: 'layout', id: 'layout', point: 'p3', axis }) as const;
    const first = { ...hole(0, 0), x: at('x'), y: at('y') } as Step;
    const built = build([plate, first, repeat({ by: 'layout', id: 'layout' })], [layout]);
    expect(built.faults).toEqual([]);
    expectVolume(built.volume, PLATE - 3 * HOLE);
    // Six sides and three walls: no slivers from holes that nearly coincide.
    expect(built.faces).toBe(9);
  });

  test('pegs are added as often', () => {
    const peg = draft.step('peg', { diameter: 6, height: 5, x: 15, y: 0 }, 'peg');
    expectVolume(
      build([plate, peg, repeat({ by: 'round', count: 4 }, 'peg')]).volume,
      PLATE + 4 * Math.PI * 9 * 5,
    );
  });

  test('copies go as deep as the first one, from where it began', () => {
    const blind = draft.step('hole', { diameter: 5, depth: 2, x: -20, y: 0 }, 'hole');
    const peg = draft.step('peg', { diameter: 6, height: 5, x: 0, y: 12 }, 'peg');
    // A peg raised meanwhile does not lift the copies.
    expectVolume(
      build([plate, blind, peg, repeat(row(3, 20, 0))]).volume,
      PLATE + Math.PI * 45 - 3 * (HOLE / 2),
    );
  });

  test('its edges are caught by rule, all copies at once', () => {
    const ease: Step = {
      id: 'ease',
      kind: 'chamfer',
      size: numberValue(0.5),
      where: { edges: 'mouths', of: 'again' },
    };
    const built = build([plate, hole(-20, 0), repeat(row(3, 20, 0)), ease]);
    expect(built.faults).toEqual([]);
    const chamfer = Math.PI * 0.25 * (2.5 + 0.5 / 3);
    expectVolume(built.volume, PLATE - 3 * HOLE - 2 * 2 * chamfer);
  });

  test('follows when the step that it repeats is changed', () => {
    const { repair } = new RepairDraft('x').body('body', 'Body', [
      plate,
      hole(15, 0),
      repeat({ by: 'round', count: 3 }),
    ]);
    const builder = new BodyBuilder(kernel);
    builder.build(repair.bodies[0]!, evaluateRepair(repair));
    const body = { ...repair.bodies[0]!, steps: [plate, hole(12, 0), repeat({ by: 'round', count: 3 })] };
    const built = builder.build(body, evaluateRepair(repair));
    expect(built.rebuiltSteps).toBe(2);
    expectVolume(built.check!.volumeMm3, PLATE - 3 * HOLE);
    builder.dispose();
  });

  test.each([
    ['a step that is gone', [plate, repeat({ by: 'round', count: 3 })], 'step.pickLost'],
    ['a layout that is gone', [plate, hole(9, 0), repeat({ by: 'layout', id: 'gone' })], 'value.layoutGone'],
    ['a copy on itself', [plate, hole(0, 0), repeat({ by: 'round', count: 3 })], 'step.changesNothing'],
    [
      'a step on edges',
      [
        plate,
        {
          id: 'ease',
          kind: 'chamfer',
          size: numberValue(0.5),
          where: { edges: 'rims', of: 'plate' },
        } as Step,
        repeat(row(2, 5, 0), 'ease'),
      ],
      'pattern.notPossible',
    ],
    [
      'a step that keeps what is common',
      [
        plate,
        {
          id: 'kept',
          kind: 'extrude',
          effect: 'common',
          outline: { shape: 'circle', diameter: numberValue(30) },
          turn: 0,
          height: 'through',
          on: 'top',
          x: numberValue(0),
          y: numberValue(0),
        } as Step,
        repeat(row(2, 5, 0), 'kept'),
      ],
      'pattern.notPossible',
    ],
  ])('%s is told', (_, steps, code) => expect(build(steps).faults).toMatchObject([{ code }]));
});

describe('what is said short of failing', () => {
  const hole = stepOf('hole', { diameter: 4, depth: 'through', x: 0, y: 0 });
  const row = (count: number, dx: number): Step =>
    ({
      id: 'row',
      kind: 'pattern',
      of: hole.id,
      pattern: { by: 'row', count, ...plain({ dx, dy: 0 }) },
    }) as Step;
  const notesOf = (...steps: Step[]) =>
    build(steps).steps.flatMap((one) => (one.state === 'built' ? (one.notes ?? []) : []));

  test('copies that miss the part are counted', () => {
    // At 0, 8, 16 and 24, of which the last lies outside a block 40 long.
    expect(notesOf(block(40, 20, 5), hole, row(4, 8))).toEqual([{ code: 'copies.miss', missing: 1, of: 3 }]);
    expect(notesOf(block(40, 20, 5), hole, row(3, 8))).toEqual([]);
  });

  test('a copy that came after its edges were picked is told', () => {
    const peg = stepOf('peg', { diameter: 6, height: 4, on: 'top', x: -16, y: 0 }, 'peg');
    const pegs = (count: number): Step =>
      ({
        id: 'pegs',
        kind: 'pattern',
        of: 'peg',
        pattern: { by: 'row', count, ...plain({ dx: 10, dy: 0 }) },
      }) as Step;
    const pick = (copy: number) => ({
      tags: [`pegs:wall~${copy}`, `pegs:top~${copy}`] as [string, string],
      near: [-16 + 10 * (copy - 1), 0, 9] as [number, number, number],
    });
    const rounded = stepOf('fillet', { size: 0.5, where: { edges: 'picked', picks: [pick(2), pick(3)] } });
    expect(notesOf(block(44, 20, 5), peg, pegs(3), rounded)).toEqual([]);
    expect(notesOf(block(44, 20, 5), peg, pegs(4), rounded)).toEqual([
      { code: 'edges.copiesLeft', left: 1, of: 3 },
    ]);
    // By rule, all copies are caught, however many there are.
    const byRule = stepOf('fillet', { size: 0.5, where: { edges: 'rims', of: 'pegs' } });
    const plainOnes = build([block(44, 20, 5), peg, pegs(4)]);
    const made = build([block(44, 20, 5), peg, pegs(4), byRule]);
    expect(made.steps.at(-1)).toMatchObject({ state: 'built' });
    // What a round takes off an edge has its middle (10 − 3π) / (12 − 3π) of the radius in from both faces; by Pappus.
    const [r, inwards] = [0.5, (10 - 3 * Math.PI) / (12 - 3 * Math.PI)];
    const each = r * r * (1 - Math.PI / 4) * 2 * Math.PI * (3 - inwards * r);
    expect(plainOnes.check!.volumeMm3 - made.check!.volumeMm3).toBeCloseTo(3 * each, 6);
  });
});

describe('a mirror', () => {
  const bracket = draft.step('plate', { length: 40, breadth: 20, thickness: 3, cornerRadius: 0 }, 'plate');
  const peg = draft.step('peg', { diameter: 6, height: 5, x: 12, y: 0 }, 'peg');
  const mirror = (keep: 'both' | 'other'): Step => ({ id: 'mirror', kind: 'mirror', across: 'sides', keep });

  test('both: what stands on one side stands on the other too', () => {
    const built = build([bracket, peg, mirror('both')]);
    expect(built.faults).toEqual([]);
    expectVolume(built.volume, 40 * 20 * 3 + 2 * Math.PI * 45);
    expect(built.check!.pieces).toBe(1);
  });

  test('instead: the same volume the other way round', () => {
    const built = build([
      bracket,
      draft.step('peg', { diameter: 6, height: 5, x: 18, y: 0 }, 'peg'),
      mirror('other'),
    ]);
    expectVolume(built.volume, 40 * 20 * 3 + Math.PI * 45);
    expect(built.box!.map((mm) => Number(mm.toFixed(6)))).toEqual([-21, -10, 0, 20, 10, 8]);
  });

  describe('of a plate with one hole', () => {
    const plate = block(40, 20, 5);
    const bore = (x: number) => stepOf('hole', { diameter: 6, depth: 'through', x, y: 0 }, 'bore');
    const HOLE = Math.PI * 9 * 5;

    test('as a whole would fill the hole, and says so', () => {
      const built = build([plate, bore(10), mirror('both')]);
      expect(built.steps.at(-1)).toMatchObject({
        state: 'failed',
        fault: { code: 'mirror.fills', place: 2 },
      });
    });

    test('mirrors the hole alone, its eased mouth with it', () => {
      const ease = stepOf('chamfer', { size: 0.5, where: { edges: 'mouths', of: 'bore' } }, 'ease');
      const two = (of: string[]) => build([plate, bore(10), ease, { ...mirror('both'), of } as Step]);
      const ring =
        build([plate, bore(10)]).check!.volumeMm3 - build([plate, bore(10), ease]).check!.volumeMm3;
      expect(two(['bore']).check!.volumeMm3).toBeCloseTo(4000 - 2 * HOLE - ring, 6);
      expect(two(['bore', 'ease']).check!.volumeMm3).toBeCloseTo(4000 - 2 * HOLE - 2 * ring, 6);
    });

    test('what is its own image already stays as it is', () => {
      const built = build([plate, bore(0), mirror('both')]);
      expect(built.check!.volumeMm3).toBeCloseTo(4000 - HOLE, 6);
      expect(built.steps.every(({ state }) => state === 'built')).toBe(true);
    });

    test('faces alike that are turned the other way are no image: a slanted oval in the middle', () => {
      const oval = raised(outlineOf('ellipse', { length: 12, breadth: 6 }), 'through', {
        effect: 'cut',
        on: 'top',
        turn: 0.5,
      });
      const built = build([plate, oval, mirror('both')]);
      expect(built.steps.at(-1)).toMatchObject({ state: 'failed', fault: { code: 'mirror.fills' } });
      const level = { ...oval, turn: 0 } as Step;
      expect(build([plate, level, mirror('both')]).steps.at(-1)).toMatchObject({ state: 'built' });
    });

    test('half a part joins its image, with what is cut in both', () => {
      const half = raised(outlineOf('rectangle', { length: 20, breadth: 20, cornerRadius: 0 }), 5, { x: 10 });
      expect(build([half, bore(10), mirror('both')]).check!.volumeMm3).toBeCloseTo(4000 - 2 * HOLE, 6);
    });
  });
});

describe('hollowed', () => {
  const block = draft.step('plate', { length: 40, breadth: 30, thickness: 20, cornerRadius: 0 }, 'plate');
  const BLOCK = 40 * 30 * 20;
  const hollow = (wall: number, open: 'top' | 'bottom' | 'both'): Step => ({
    id: 'hollow',
    kind: 'shell',
    wall: numberValue(wall),
    open,
  });

  test.each([
    ['top', BLOCK - 36 * 26 * 18],
    ['bottom', BLOCK - 36 * 26 * 18],
    ['both', BLOCK - 36 * 26 * 20],
  ] as const)('a block, open at the %s', (open, exact) => {
    const built = build([block, hollow(2, open)]);
    expect(built.faults).toEqual([]);
    expectVolume(built.volume, exact);
    expect(built.check).toMatchObject({ pieces: 1, valid: true, closed: true });
  });

  test('a cap: a disc with a rounded top, hollowed from below', () => {
    const disc = draft.step('disc', { diameter: 30, width: 12 }, 'disc');
    expectVolume(build([disc, hollow(1.5, 'bottom')]).volume, Math.PI * (225 * 12 - 13.5 ** 2 * 10.5));
  });

  test('what is drilled afterwards goes through the wall', () => {
    const built = build([
      block,
      hollow(2, 'top'),
      draft.step('hole', { diameter: 5, depth: 'through', x: 0, y: 0 }, 'hole'),
    ]);
    expectVolume(built.volume, BLOCK - 36 * 26 * 18 - 2 * Math.PI * 6.25);
  });

  test.each([
    ['a wall thicker than half the body', [block, hollow(15, 'top')], 'shell.wallTooThick'],
    [
      'no level face at the top',
      [
        {
          id: 'ball',
          kind: 'sphere',
          effect: 'add',
          on: 'bottom',
          x: numberValue(0),
          y: numberValue(0),
          diameter: numberValue(20),
          up: numberValue(0),
        } as Step,
        hollow(2, 'top'),
      ],
      'shell.nothingToOpen',
    ],
    ['nothing', [hollow(2, 'top')], 'step.firstMustAdd'],
  ])('%s is told', (_, steps, code) => expect(build(steps).faults).toMatchObject([{ code }]));
});

describe('several steps repeated together', () => {
  const peg = draft.step('peg', { diameter: 6, height: 5, x: -20, y: 0 }, 'peg');
  const pin = draft.step('hole', { diameter: 2, depth: 'through', x: -20, y: 0 }, 'pin');
  const again = (pattern: Pattern): Step => ({ id: 'again', kind: 'pattern', of: ['peg', 'pin'], pattern });
  /** A peg with a hole down through it and the plate. */
  const POST = Math.PI * (9 * 5 - 1 * 9);

  test('what one adds and another takes away of it, in the order of the recipe', () => {
    const built = build([plate, peg, pin, again(row(3, 20, 0))]);
    expect(built.faults).toEqual([]);
    expectVolume(built.volume, PLATE + 3 * POST);
    // Named the other way about it is the same: the recipe's order counts, and the first named says where.
    const turned = build([plate, peg, pin, { ...again(row(3, 20, 0)), of: ['pin', 'peg'] } as Step]);
    expectVolume(turned.volume, PLATE + 3 * POST);
  });

  test('they keep their places beside the first of them', () => {
    const points: Pattern = { by: 'points', points: [{ x: numberValue(20), y: numberValue(10) }] };
    const beside = draft.step('hole', { diameter: 5, depth: 'through', x: -20, y: -8 }, 'pin');
    const built = build([plate, peg, beside, again(points)]);
    expectVolume(built.volume, PLATE + 2 * Math.PI * 45 - 2 * HOLE);
    expect(built.centreLines.map(({ from }) => from.slice(0, 2))).toContainEqual([20, 2]);
  });

  test('edges of all of them are caught by rule', () => {
    const ease: Step = {
      id: 'ease',
      kind: 'chamfer',
      size: numberValue(0.5),
      where: { edges: 'rims', of: 'again' },
    };
    const built = build([plate, peg, again(row(2, 20, 0)), pin, ease].filter(({ id }) => id !== 'pin'));
    expect(built.faults).toMatchObject([{ code: 'step.pickLost' }]);
    expect(build([plate, peg, pin, again(row(3, 20, 0)), ease]).faults).toEqual([]);
  });

  test('copies that miss the part are counted over all of them', () => {
    const holes = [hole(-20, 10), draft.step('hole', { diameter: 3, depth: 'through', x: 5, y: 0 }, 'pin')];
    const both: Step = { ...again(row(3, 20, 0)), of: ['hole', 'pin'] } as Step;
    // The third of the second one would stand at 45, beyond the edge.
    const { steps } = build([plate, ...holes, both]);
    expect(steps.at(-1)).toMatchObject({ notes: [{ code: 'copies.miss', missing: 1, of: 4 }] });
  });

  test('one that is gone is looked for', () => {
    expect(build([plate, peg, again(row(2, 20, 0))]).faults).toMatchObject([{ code: 'step.pickLost' }]);
  });
});

describe('a step that is switched off', () => {
  const peg = draft.step('peg', { diameter: 6, height: 5, x: 0, y: 12 }, 'peg');

  test('is left out, and the others are built as if it were not there', () => {
    const built = build([plate, { ...peg, off: true }, hole(0, 0)]);
    expectVolume(built.volume, PLATE - HOLE);
    expect(built.steps.map(({ state }) => state)).toEqual(['built', 'off', 'built']);
  });

  test('even if it would fail; and what rests on it says so', () => {
    const { steps, faults } = build([plate, { ...hole(9, 0), off: true }, repeat({ by: 'round', count: 3 })]);
    expect(faults).toMatchObject([{ code: 'step.pickLost' }]);
    expect(steps.map(({ state }) => state)).toEqual(['built', 'off', 'failed']);
  });
});
