import type { Kernel } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, outlineOf, plain, raised, stepOf } from '@core/testing/pieces';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const build = (...steps: Step[]) => buildPiece(kernel, steps);

const peg = (more: Record<string, unknown>) => stepOf('peg', { diameter: 4, height: 6, x: 0, y: 0, ...more });

const rounded = (box: readonly number[] | null) => box?.map((mm) => Number(mm.toFixed(4)));

const PEG = Math.PI * 4 * 6;

describe('a place on a side of the part', () => {
  // A block 40 × 20 × 10: its sides are at x ±20, y ±10, z 0 and 10.
  test.each([
    ['top', { x: 3, y: 2 }, [-20, -10, 0, 20, 10, 16]],
    ['front', { x: 3, y: 5 }, [-20, -16, 0, 20, 10, 10]],
    ['back', { x: 3, y: 5 }, [-20, -10, 0, 20, 16, 10]],
    ['left', { x: 3, y: 5 }, [-26, -10, 0, 20, 10, 10]],
    ['right', { x: 3, y: 5 }, [-20, -10, 0, 26, 10, 10]],
  ])('%s: a peg grows out of it', (on, at, box) => {
    const built = build(block(40, 20, 10), peg({ on, ...at }));
    expect(built.faults).toEqual([]);
    expect(built.volume).toBeCloseTo(8000 + PEG, 4);
    expect(rounded(built.box)).toEqual(box);
  });

  test('numbers run to the right, the back and up, whichever side is looked at', () => {
    // The peg hangs over the edge it is nearest to, so the box tells where it stands.
    const over = (on: string, x: number, y: number) =>
      rounded(build(block(40, 20, 10), peg({ on, x, y })).box);
    expect(over('back', 19, 5)![3]).toBe(21);
    expect(over('front', 19, 5)![3]).toBe(21);
    expect(over('left', 9, 5)![4]).toBe(11);
    expect(over('right', 9, 5)![4]).toBe(11);
    expect(over('left', 0, 9)![5]).toBe(11);
  });

  test('a hole from the front goes right through, or ends on its floor', () => {
    const hole = (depth: unknown) => stepOf('hole', { diameter: 4, depth, on: 'front', x: 5, y: 5 });
    expect(build(block(40, 20, 10), hole('through')).volume).toBeCloseTo(8000 - Math.PI * 4 * 20, 4);
    expect(build(block(40, 20, 10), hole(7)).volume).toBeCloseTo(8000 - Math.PI * 4 * 7, 4);
    expect(build(block(40, 20, 10), hole(20)).faults).toMatchObject([{ code: 'hole.deeperThanBody' }]);
  });
});

describe('a place measured from edges', () => {
  const square = (more: Record<string, unknown>) =>
    raised(outlineOf('rectangle', { length: 4, breadth: 4, cornerRadius: 0 }), 5, { on: 'top', ...more });
  test.each([
    ['its middle from the left edge', { xFrom: 'low', x: 1 }, [-21, 20]],
    ['its middle from the right edge', { xFrom: 'high', x: 1 }, [-20, 21]],
    ['flush with the right edge', { xFrom: 'highFlush', x: 0 }, [-20, 20]],
    ['its own edge over the right edge', { xFrom: 'highFlush', x: -3 }, [-20, 23]],
    ['its own edge over the left edge', { xFrom: 'lowFlush', x: -3 }, [-23, 20]],
  ])('%s', (_, more, [low, high]) => {
    const built = build(block(40, 20, 10), square({ y: 0, ...more }));
    expect(built.faults).toEqual([]);
    expect(rounded(built.box)).toEqual([low, -10, 0, high, 10, 15]);
  });

  test('it follows when the part grows', () => {
    const hole = stepOf('hole', { diameter: 4, depth: 'through', xFrom: 'high', x: 5, y: 0 });
    const at = (length: number) => build(block(length, 20, 10), hole).centreLines.at(-1)!.from[0];
    expect(at(40)).toBeCloseTo(15, 9);
    expect(at(60)).toBeCloseTo(25, 9);
  });

  test('flush along a side that is seen from behind', () => {
    const built = build(block(40, 20, 10), square({ on: 'back', xFrom: 'highFlush', x: 0, y: 5 }));
    expect(rounded(built.box)).toEqual([-20, -10, 0, 20, 15, 10]);
    expect(built.volume).toBeCloseTo(8000 + 80, 6);
  });
});

describe('a lifted and a tilted place', () => {
  test('lifted off the top, a piece of its own', () => {
    const built = build(block(40, 20, 10), peg({ lift: 3 }));
    expect(built.check?.pieces).toBe(2);
    expect(built.box![5]).toBeCloseTo(19, 9);
  });

  test('sunk below the top, a cut begins there and leaves a roof', () => {
    const room = raised(outlineOf('circle', { diameter: 8 }), 4, { effect: 'cut', on: 'top', lift: -3 });
    const built = build(block(40, 20, 10), room);
    expect(built.faults).toEqual([]);
    expect(built.volume).toBeCloseTo(8000 - Math.PI * 16 * 4, 4);
  });

  test('a slanted hole right through is longer by its slant', () => {
    const tilt = Math.PI / 6;
    const hole = stepOf('hole', { diameter: 4, depth: 'through', x: 0, y: 0, tilt });
    const built = build(block(40, 40, 10), hole);
    expect(built.faults).toEqual([]);
    // By Cavalieri: the level section is an ellipse with an area of π r² / cos.
    expect(built.volume).toBeCloseTo(16000 - (Math.PI * 4 * 10) / Math.cos(tilt), 3);
  });
});

describe('a place on a picked face', () => {
  const base = block(40, 20, 10);
  const tower = raised(outlineOf('rectangle', { length: 10, breadth: 10, cornerRadius: 0 }), 8, {
    on: 'top',
    x: 10,
  });
  const on = (tag: string, near = [0, 0, 0]) => ({ face: { tag, near } });

  test('stands in the middle of it, and follows it', () => {
    const built = build(base, tower, peg({ on: on(`${tower.id}:right`), height: 6 }));
    expect(built.faults).toEqual([]);
    expect(built.centreLines.at(-1)).toMatchObject({ radius: 2 });
    // The tower's right side is at x = 15; its middle is 4 above the block.
    expect(built.centreLines.at(-1)!.from.map((mm) => Number(mm.toFixed(6)))).toEqual([15, 0, 14]);
    expect(built.box![3]).toBeCloseTo(21, 6);
  });

  test('a cut into a recessed face takes nothing above it', () => {
    const hole = stepOf('hole', {
      diameter: 4,
      depth: 3,
      y: 0,
      xFrom: 'low',
      x: 6,
      on: on(`${base.id}:top`),
    });
    const built = build(base, tower, hole);
    expect(built.faults).toEqual([]);
    expect(built.volume).toBeCloseTo(8800 - Math.PI * 4 * 3, 4);
  });

  test('of a face in two pieces, the one nearest to where it was picked', () => {
    const trench = raised(outlineOf('rectangle', { length: 6, breadth: 30, cornerRadius: 0 }), 5, {
      effect: 'cut',
      on: 'top',
    });
    const at = (x: number) =>
      build(base, trench, peg({ on: on(`${base.id}:top`, [x, 0, 10]) })).centreLines.at(-1)!.from[0];
    expect(at(15)).toBeCloseTo(11.5, 6);
    expect(at(-15)).toBeCloseTo(-11.5, 6);
  });

  test('a lost face is told by what it was, and a round one is refused', () => {
    const gone = build(base, peg({ on: on('tower-9:right') }));
    expect(gone.faults).toEqual([
      {
        code: 'step.pickLost',
        lookingFor: { is: 'face', face: { tag: 'tower-9:right', place: null } },
        tag: 'tower-9:right',
      },
    ]);
    const covered = raised(outlineOf('rectangle', { length: 60, breadth: 30, cornerRadius: 0 }), 3, {
      on: 'top',
    });
    expect(build(base, covered, peg({ on: on(`${base.id}:top`) })).faults).toEqual([
      {
        code: 'step.pickLost',
        lookingFor: { is: 'face', face: { tag: `${base.id}:top`, place: 1 } },
        tag: `${base.id}:top`,
      },
    ]);
    const round = peg({});
    expect(build(base, round, peg({ on: on(`${round.id}:wall`) })).faults).toMatchObject([
      { code: 'pick.notFlat' },
    ]);
  });
});

describe('holes with heads, against closed formulas', () => {
  const plate = block(40, 20, 10);
  const hole = (more: Record<string, unknown>) =>
    build(plate, stepOf('hole', { diameter: 4, depth: 'through', x: 0, y: 0, ...more }));
  const bore = Math.PI * 4;

  test('a seat for a screw head or a bearing leaves a lip', () => {
    const built = hole({ head: { kind: 'seat', ...plain({ diameter: 8, depth: 3 }) } });
    expect(built.faults).toEqual([]);
    expect(built.volume).toBeCloseTo(8000 - bore * 7 - Math.PI * 16 * 3, 4);
    expect(built.roles.filter((role) => ['head', 'seat', 'wall'].includes(role))).toHaveLength(3);
  });

  test('a countersink of 90°', () => {
    const built = hole({ head: { kind: 'sink', ...plain({ diameter: 8 }), angle: Math.PI / 2 } });
    const sink = ((Math.PI * 2) / 3) * (16 + 8 + 4);
    expect(built.volume).toBeCloseTo(8000 - bore * 8 - sink, 4);
  });

  test('a nut pocket at the far end, and one at the mouth', () => {
    const nut = (at: string) => ({ kind: 'nut', sides: 6, ...plain({ across: 7, depth: 3 }), at, turn: 0 });
    const volume = 8000 - bore * 7 - ((49 * Math.sqrt(3)) / 2) * 3;
    expect(hole({ head: nut('far') }).volume).toBeCloseTo(volume, 4);
    expect(hole({ head: nut('mouth') }).volume).toBeCloseTo(volume, 4);
  });

  test.each([6, 4])('a pocket that a nut of %s flats is slid into from a side', (sides) => {
    const nut = (turn: number, more: object = {}) => ({
      kind: 'nut',
      sides,
      ...plain({ across: 7, depth: 3, below: 4 }),
      at: 'side',
      turn,
      ...more,
    });
    // The half of the nut that looks the other way, and from its middle out of the part; the hole goes on through it.
    const half = sides === 6 ? (49 * Math.sqrt(3)) / 4 : 49 / 2;
    const out = (toSide: number) => (half + 7 * toSide) * 3;
    const built = hole({ head: nut(0) });
    expect(built.faults).toEqual([]);
    expect(built.volume).toBeCloseTo(8000 - bore * 7 - out(20), 4);
    expect(hole({ head: nut(-Math.PI / 2) }).volume).toBeCloseTo(8000 - bore * 7 - out(10), 4);
    expect(built.roles).toContain('slot');
    expect(hole({ head: nut(0, plain({ below: 8 })) }).faults).toEqual([
      { code: 'hole.headTooDeep', headMm: 11, roomMm: 10 },
    ]);
  });

  test('a blind hole with a drill’s point', () => {
    const built = hole({ depth: 5, point: (118 * Math.PI) / 180 });
    const point = (bore * (2 / Math.tan((59 * Math.PI) / 180))) / 3;
    expect(built.volume).toBeCloseTo(8000 - bore * 5 - point, 4);
  });

  test('heads that can’t be are told', () => {
    const seat = (diameter: number, depth: number) => ({
      head: { kind: 'seat', ...plain({ diameter, depth }) },
    });
    expect(hole(seat(4, 3)).faults).toMatchObject([{ code: 'hole.headTooNarrow' }]);
    expect(hole(seat(8, 10)).faults).toMatchObject([{ code: 'hole.headTooDeep' }]);
    expect(hole({ ...seat(8, 5), depth: 4 }).faults).toMatchObject([{ code: 'hole.headTooDeep' }]);
  });
});
