import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import type { Body, Repair, Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, outlineOf, plain, raised, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

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

const base = () => block(40, 20, 10);

describe('what works on all that is there', () => {
  test('moved, turned and scaled', () => {
    const built = build(base(), {
      ...stepOf('move', { dx: 5, dy: 0, dz: 2, axis: 'z', turn: Math.PI / 2 }),
      scale: 2,
    } as Step);
    expectSolid(built, 8 * BLOCK);
    expect(rounded(built.box)).toEqual([-15, -40, 2, 25, 40, 22]);
  });

  test('split, one half kept, or both moved apart with pegs', () => {
    const split = (more: object) =>
      build(base(), stepOf('split', { axis: 'x', at: 5, keep: 'low', gap: 8, ...more }));
    expectSolid(split({}), 25 * 200);
    expectSolid(split({ keep: 'high' }), 15 * 200);
    expectSolid(split({ keep: 'both' }), BLOCK, 1e-6, 2);
    const pegs = plain({ diameter: 4, length: 3, apart: 10, play: 0.1 });
    const socket = Math.PI * 2.1 ** 2 * 3.1;
    expectSolid(split({ keep: 'both', pegs }), BLOCK + 2 * Math.PI * 4 * 3 - 2 * socket, 1e-6, 2);
    expect(
      split({ keep: 'both', pegs: plain({ diameter: 4, length: 3, apart: 19, play: 0.1 }) }).faults,
    ).toMatchObject([{ code: 'split.pegsDoNotFit' }]);
    expect(split({ ...plain({ at: 25 }) }).faults).toMatchObject([{ code: 'split.missesBody' }]);
  });

  test('all faces moved out, or in', () => {
    const faces = (by: number) => build(base(), stepOf('offset', { of: 'all', by }));
    expectSolid(faces(0.5), 41 * 21 * 11);
    expectSolid(faces(-0.5), 39 * 19 * 9);
  });

  test('the faces of one hole moved: it gets wider or narrower', () => {
    const bore = stepOf('hole', { diameter: 6, depth: 'through', x: 0, y: 0 });
    const faces = (by: number) => build(base(), bore, stepOf('offset', { of: bore.id, by }));
    expectSolid(faces(-0.2), BLOCK - Math.PI * 10 * 3.2 ** 2);
    expectSolid(faces(0.2), BLOCK - Math.PI * 10 * 2.8 ** 2);
  });

  test('sides of a step leaned in', () => {
    const stump = raised(rectangle(10, 10), 5, { on: 'top' });
    const lean = { ...stepOf('draft', { held: 'bottom' }), of: stump.id, angle: Math.atan(0.2) } as Step;
    expectSolid(build(base(), stump, lean), BLOCK + (5 / 3) * (100 + 64 + 80));
  });

  test('hollowed with nothing open, and open at a picked face', () => {
    expectSolid(build(base(), stepOf('shell', { wall: 2, open: 'closed' })), BLOCK - 36 * 16 * 6);
    const b = base();
    const open = [{ tag: `${b.id}:front`, near: [0, -10, 5] }];
    expectSolid(build(b, stepOf('shell', { wall: 2, open })), BLOCK - 36 * 18 * 6);
  });
});

describe('edges by more rules', () => {
  const size = { ...plain({ size: 1 }) };
  const ease = (where: object, more: object = {}) =>
    ({ id: 'ease', kind: 'chamfer', ...size, where, ...more }) as unknown as Step;

  test('all edges of a step; where two steps meet; hollow corners; round a face; one edge', () => {
    const base = block(40, 20, 10);
    const tower = raised(rectangle(10, 10), 6, { on: 'top' });
    const joint = 0.5 * 40 + 4 * (1 / 3);
    const whole = BLOCK + 600;
    expectSolid(build(base, tower, ease({ edges: 'between', of: tower.id, and: base.id })), whole + joint);
    expectSolid(build(base, tower, ease({ edges: 'insides' })), whole + joint);
    const face = { tag: `${tower.id}:top`, near: [0, 0, 16] };
    const rim = 0.5 * 40 - 4 * (1 / 3);
    expectSolid(build(base, tower, ease({ edges: 'face', face })), whole - rim);
    const pick = { tags: [`${base.id}:front`, `${base.id}:top`], near: [0, -10, 10] };
    expectSolid(build(base, ease({ edges: 'picked', picks: [pick] })), BLOCK - 0.5 * 40);
    const lost = { tags: [`${base.id}:front`, `${base.id}:back`], near: [0, 0, 0] };
    expect(build(base, ease({ edges: 'picked', picks: [lost] })).faults).toEqual([
      {
        code: 'step.pickLost',
        lookingFor: {
          is: 'edge',
          between: [
            { tag: `${base.id}:front`, place: 1 },
            { tag: `${base.id}:back`, place: 1 },
          ],
        },
        tag: `${base.id}:front`,
      },
    ]);
  });

  test('a pick survives other sizes and a step put before it', () => {
    const pickOf = (base: Step) => ({ tags: [`${base.id}:front`, `${base.id}:top`], near: [0, -10, 10] });
    const small = block(40, 20, 10);
    const large = { ...block(60, 30, 4), id: small.id } as Step;
    const eased = ease({ edges: 'picked', picks: [pickOf(small)] });
    expectSolid(build(large, eased), 60 * 30 * 4 - 0.5 * 60);
    const bore = stepOf('hole', { diameter: 4, depth: 'through', x: 0, y: 0 });
    expectSolid(build(small, bore, eased), BLOCK - Math.PI * 40 - 0.5 * 40);
  });

  test('eased by two lengths, and by a length and an angle', () => {
    const base = block(40, 20, 10);
    const where = { edges: 'upright', of: base.id };
    expectSolid(build(base, ease(where, { other: plain({ length: 3 }) })), BLOCK - 4 * 0.5 * 3 * 10);
    expectSolid(build(base, ease(where, { other: { angle: Math.atan(2) } })), BLOCK - 4 * 0.5 * 2 * 10);
  });
});

const tongue = (more: object = {}) =>
  stepOf('tongue', {
    ...standing,
    length: 15,
    breadth: 6,
    thickness: 1.5,
    bump: 0.8,
    play: 0.2,
    turn: 0.4,
    ...more,
  });

describe('tongues that snap', () => {
  test('the tongue, and the room for one', () => {
    // A bar, and a wedge twice as long as it stands out.
    expectSolid(build(tongue({})), 6 * (1.5 * 15 + 0.8 * 0.8));
    const room = build(block(40, 20, 20), tongue({ effect: 'cut' }));
    const slot = 1.9 * 15.2;
    const window = 0.8 * (2 * 0.8 + 0.4);
    expectSolid(room, 40 * 20 * 20 - 6.4 * (slot + window));
    expect(build(tongue({ bump: plain({ bump: 8 }).bump })).faults).toMatchObject([
      { code: 'tongue.bumpTooLong' },
    ]);
  });
});

describe('what holds a tongue or a bump', () => {
  const lean = Math.PI / 12;
  const tan = Math.tan(lean);
  const hooked = (undercut: number, more: object = {}) =>
    ({ ...tongue({ turn: 0, ...more }), undercut }) as Step;
  const bump = (more: object = {}, undercut?: number) =>
    ({
      ...stepOf('bump', {
        effect: 'add',
        on: 'top',
        breadth: 6,
        bump: 1,
        play: 0.2,
        turn: 0,
        x: 0,
        y: 0,
        ...more,
      }),
      ...(undercut === undefined ? {} : { undercut }),
    }) as Step;

  test('hooks, or lets go, by its undercut', () => {
    // The tip moves along, so that the section keeps its base and its height: as much as a square one.
    const square = 6 * (1.5 * 15 + 0.8 * 0.8);
    for (const sign of [1, -1]) {
      expectSolid(build(hooked(sign * lean)), square);
      const alone = build(bump({ on: 'bottom' }, sign * lean));
      expectSolid(alone, 6);
      expect(alone.box![0]).toBeCloseTo(sign > 0 ? -tan : 0, 6);
    }
    expectSolid(build(base(), bump()), BLOCK + 6);
    // As long as the tongue, there is nowhere for it to hook.
    expect(build(hooked(lean, plain({ length: 1.7 }))).faults).toMatchObject([
      { code: 'tongue.bumpTooLong' },
    ]);
  });

  test('its room is wider by the play, with its hook, and goes into the part from whichever side', () => {
    const room = (more: object, undercut?: number) =>
      build(base(), bump({ effect: 'cut', ...more }, undercut));
    const section = (hook: number) => (2 + hook + 0.4) * 1.2 * 6.4;
    expectSolid(room({}), BLOCK - section(0));
    expectSolid(room({}, lean), BLOCK - section(tan));
    expectSolid(room({}, -lean), BLOCK - section(0));
    expectSolid(room({ on: 'bottom' }), BLOCK - section(0));
    expectSolid(room({ on: 'front', y: 5 }), BLOCK - section(0));
    const slot = (on: string) => build(block(40, 20, 20), hooked(0, { effect: 'cut', on }));
    expect(slot('top').faults).toEqual([]);
    expect(slot('top').volume).toBeCloseTo(slot('bottom').volume, 6);
  });

  test('a bump goes into its own room all round, with the play between', () => {
    const gap = build(
      base(),
      bump({ effect: 'cut', on: 'bottom' }, lean),
      // The bump itself, from the ground up in its room, as a piece of its own.
      bump({ effect: 'apart', on: 'bottom', lift: 0.05 }, lean),
    );
    expect(gap.faults).toEqual([]);
    expect(gap.check).toMatchObject({ pieces: 2, valid: true, closed: true });
  });
});

describe('bodies made with each other', () => {
  const builtFrom = (bodies: { id: string; steps: Step[] }[]) => {
    const draft = new RepairDraft('Two');
    for (const { id, steps } of bodies) draft.body(id, id, steps);
    const repair: Repair = draft.repair;
    const builder = new RepairBuilder(kernel, null);
    const rebuild = (of: readonly Body[] = repair.bodies) => builder.build(of, evaluateRepair(repair));
    return { repair, builder, rebuild };
  };
  const use = (of: string, more: object) =>
    ({ ...stepOf('body', { effect: 'cut', grow: 0, wayIn: 'none' }), of, ...more }) as Step;

  test('room for a bolt that goes in from the top, grown by its play', () => {
    const bolt = [raised(circle(6), 8), raised(circle(10), 3, { on: 'top' })];
    const { builder, rebuild } = builtFrom([
      { id: 'case', steps: [block(40, 20, 14), use('bolt', { ...plain({ grow: 0.25 }), wayIn: 'top' })] },
      { id: 'bolt', steps: bolt },
    ]);
    const built = rebuild().get('case')!;
    expect(built.steps.every(({ state }) => state === 'built')).toBe(true);
    // Grown by a quarter: the shank 6.5 across down to the ground, the head 10.5 from 7.75 up to 11.25, and the way out above it.
    expect(built.check!.volumeMm3).toBeCloseTo(
      40 * 20 * 14 - Math.PI * (3.25 ** 2 * 7.75 + 5.25 ** 2 * (14 - 7.75)),
      2,
    );
    builder.dispose();
  });

  test('joined, kept in common, and built again when the other changes', () => {
    const { builder, rebuild, repair } = builtFrom([
      { id: 'a', steps: [block(40, 20, 10), use('b', { effect: 'common' })] },
      { id: 'b', steps: [block(20, 40, 30)] },
    ]);
    expect(rebuild().get('a')!.check!.volumeMm3).toBeCloseTo(20 * 20 * 10, 6);
    const again = rebuild();
    expect(again.get('a')!.rebuiltSteps).toBe(0);
    const wider = repair.bodies.map((body) =>
      body.id === 'b' ? { ...body, steps: [block(30, 40, 30)] } : body,
    );
    expect(rebuild(wider).get('a')!.check!.volumeMm3).toBeCloseTo(30 * 20 * 10, 6);
    builder.dispose();
  });

  test('circles, and bodies that are gone or broken, are told', () => {
    const { builder, rebuild } = builtFrom([
      { id: 'a', steps: [block(4, 4, 4), use('b', {})] },
      { id: 'b', steps: [block(2, 2, 9), use('a', {})] },
      { id: 'c', steps: [block(4, 4, 4), use('nobody', {})] },
      { id: 'd', steps: [block(4, 4, 4), use('c', {})] },
      { id: 'e', steps: [block(4, 4, 4), use('e', {})] },
    ]);
    const faults = [...rebuild().values()].map(({ steps }) =>
      steps.flatMap((step) => (step.state === 'failed' ? [step.fault.code] : [])),
    );
    expect(faults).toEqual([
      ['body.notBuilt'],
      ['body.circle'],
      ['body.gone'],
      ['body.notBuilt'],
      ['body.itself'],
    ]);
    builder.dispose();
  });
});
