import { evaluateRepair } from '@core/fitting/fit';
import { numberValue, type Step } from '@core/record/model';
import type { DrawnOutline, Followed } from '@core/foundations/fields';
import type { Kernel } from '@core/shaping/kernel';
import type { SeenPiece } from '@core/shaping/part';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';

import { BodyBuilder } from './bodyBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const n = numberValue;
/** A block, its middle on the axle and its bottom at zero. */
const block = (length: number, height = 6, breadth = 20) => ({
  id: 'block',
  kind: 'extrude',
  effect: 'add',
  outline: { shape: 'rectangle', length: n(length), breadth: n(breadth), cornerRadius: n(0) },
  turn: 0,
  height: n(height),
  on: 'bottom',
  x: n(0),
  y: n(0),
});
const bored = (diameter: number, x: number) => ({
  id: 'bore',
  kind: 'hole',
  diameter: n(diameter),
  on: 'top',
  x: n(x),
  y: n(0),
  depth: 'through',
});
const raised = (outline: object, more: object = {}) => ({
  ...block(1),
  id: 'drawn',
  outline,
  height: n(4),
  on: 'top',
  ...more,
});
const drawing = (
  points: DrawnOutline['points'],
  curves: DrawnOutline['curves'],
  more: Partial<DrawnOutline> = {},
): DrawnOutline => ({ shape: 'drawn', points, curves, relations: [], ...more });
const point = (id: string, x: number, y: number) => ({ id, x: n(x), y: n(y) });
const empty = drawing([point('O', 0, 0)], [], {
  relations: [{ id: 'r1', kind: 'fixed', point: 'O' }],
});

function built(...steps: object[]) {
  const builder = new BodyBuilder(kernel);
  const { repair } = new RepairDraft('Test piece').body('body', 'Body', steps as Step[]);
  const { check, steps: outcomes } = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const behind = builder.behind('drawn', 'outline');
  const seen = builder.seen('drawn', 'outline');
  builder.dispose();
  const last = outcomes.at(-1)!;
  return {
    volumeMm3: check?.volumeMm3 ?? 0,
    fault: last.state === 'failed' ? last.fault : null,
    behind,
    seen,
  };
}
const edgesIn = (seen: readonly SeenPiece[]) => seen.filter(({ of }) => 'edge' in of);
/** What of the part lies, as it is seen, where a test says. */
const followedAt = (seen: readonly SeenPiece[], is: (piece: SeenPiece) => boolean): Followed =>
  seen.filter(is).sort((a, b) => a.offMm - b.offMm)[0]!.of;
const isLineAt =
  (axis: 0 | 1, at: number) =>
  ({ curve, of }: SeenPiece) =>
    'edge' in of &&
    curve.kind === 'line' &&
    Math.abs(curve.from[axis] - at) < 1e-6 &&
    Math.abs(curve.to[axis] - at) < 1e-6;

test('what of a block with a bore can be followed: its edges, its corners seen from their ends, round mouths', () => {
  const { seen } = built(block(40), bored(8, 10), raised(empty, { x: n(0), y: n(0) }));
  const kinds = edgesIn(seen).map(({ curve }) => curve.kind);
  expect(kinds.filter((kind) => kind === 'line')).toHaveLength(8);
  expect(kinds.filter((kind) => kind === 'point')).toHaveLength(4);
  const rounds = edgesIn(seen).flatMap(({ curve }) => (curve.kind === 'circle' ? [curve] : []));
  expect(rounds).toHaveLength(2);
  expect(rounds[0]).toEqual({
    kind: 'circle',
    middle: [expect.closeTo(10, 6), expect.closeTo(0, 6)],
    radius: expect.closeTo(4, 6),
  });
});

test('a round edge seen from its side is a line as long as it is broad; aslant it goes through its points', () => {
  const disc = {
    id: 'disc',
    kind: 'disc',
    effect: 'add',
    diameter: n(20),
    width: n(5),
    on: 'bottom',
    x: n(0),
    y: n(0),
  };
  const front = built(disc, raised(empty, { on: 'front' })).seen;
  const lines = edgesIn(front).map(({ curve }) => curve);
  expect(lines.map(({ kind }) => kind)).toEqual(['line', 'line']);
  for (const curve of lines)
    if (curve.kind === 'line') expect(Math.abs(curve.to[0] - curve.from[0])).toBeCloseTo(20, 6);
  const aslant = built(disc, raised(empty, { tilt: 0.5 })).seen;
  const [curve] = edgesIn(aslant).map((piece) => piece.curve);
  if (curve?.kind !== 'spline') throw new Error('an ellipse is followed by points');
  expect(curve.closed).toBe(true);
  // All of its points are on the ellipse that a circle of 10 is at half a radian: 10 by 10 cos 0.5.
  const middleY = curve.points.reduce((sum, [, y]) => sum + y, 0) / curve.points.length;
  for (const [x, y] of curve.points)
    expect((x / 10) ** 2 + ((y - middleY) / (10 * Math.cos(0.5))) ** 2).toBeCloseTo(1, 6);
});

/** A triangle on the block's right edge, 12 high: its two other sides go to a point that is sized from the edge. */
function triangle(follows: Followed) {
  return drawing(
    [point('A', 20, -10), point('B', 20, 10), point('C', 8, 0)],
    [
      { kind: 'line', from: 'A', to: 'B', id: 'edge', follows },
      { kind: 'line', from: 'B', to: 'C', id: 'c2' },
      { kind: 'line', from: 'C', to: 'A', id: 'c3' },
    ],
    { dimensions: [{ id: 'd1', kind: 'fromLine', point: 'C', curve: 'edge', value: n(12) }] },
  );
}

test('a drawing follows an edge as the part changes, and its sizes hold from there', () => {
  const { seen } = built(block(40), raised(empty));
  const follows = followedAt(seen, isLineAt(0, 20));
  for (const [length, breadth] of [
    [40, 20],
    [56, 20],
    [40, 33],
  ] as const) {
    const made = built(block(length, 6, breadth), raised(triangle(follows)));
    expect(made.fault).toBeNull();
    // Half of the edge's length times 12, 4 high.
    expect(made.volumeMm3).toBeCloseTo(length * breadth * 6 + (breadth * 12 * 4) / 2, 4);
    const reach = made.behind!.followed.points;
    expect(reach.A).toEqual([expect.closeTo(length / 2, 6), expect.closeTo(-breadth / 2, 6)]);
  }
});

test('the mouth of a bore is followed by its middle and its size: a boss round it, 2 wide', () => {
  const { seen } = built(block(40), bored(8, 10), raised(empty));
  const follows = followedAt(seen, ({ curve }) => curve.kind === 'circle');
  const boss = drawing(
    [point('M', 10, 0)],
    [
      { kind: 'circle', middle: 'M', diameter: n(8), id: 'mouth', follows },
      { kind: 'circle', middle: 'M', diameter: n(12), id: 'c2' },
    ],
    { dimensions: [{ id: 'd1', kind: 'diameter', curve: 'c2', value: n(12) }] },
  );
  for (const [diameter, x] of [
    [8, 10],
    [6, -3],
  ] as const) {
    const { volumeMm3 } = built(block(40), bored(diameter, x), raised(boss));
    const flat = (d: number) => (Math.PI * d * d) / 4;
    expect(volumeMm3).toBeCloseTo(40 * 20 * 6 - flat(diameter) * 6 + (flat(12) - flat(diameter)) * 4, 4);
  }
});

test('where the plane of a turned outline cuts the part is followed: a collar stays on its face', () => {
  const pin = (diameter: number) => ({
    id: 'pin',
    kind: 'disc',
    effect: 'add',
    diameter: n(diameter),
    width: n(30),
    on: 'bottom',
    x: n(0),
    y: n(0),
  });
  const turnedBy = (outline: object) => ({
    id: 'drawn',
    kind: 'revolve',
    effect: 'add',
    outline,
    away: n(5),
    up: n(-15),
    angle: 2 * Math.PI,
    turn: 0,
    on: 'top',
    x: n(0),
    y: n(0),
  });
  const { seen } = built(pin(10), turnedBy(empty));
  const wall = seen.find(
    ({ of, curve }) => 'cut' in of && curve.kind === 'line' && Math.abs(curve.from[0]) < 1e-6,
  )!;
  expect(wall.curve).toEqual({
    kind: 'line',
    from: [expect.closeTo(0, 6), expect.any(Number)],
    to: [expect.closeTo(0, 6), expect.any(Number)],
  });
  const collar = drawing(
    [
      point('A', 0, -15),
      point('B', 0, 15),
      point('P', 0, -2),
      point('Q', 3, -2),
      point('R', 3, 2),
      point('S', 0, 2),
    ],
    [
      { kind: 'line', from: 'A', to: 'B', id: 'wall', helper: true, follows: wall.of },
      { kind: 'line', from: 'P', to: 'Q', id: 'c1' },
      { kind: 'line', from: 'Q', to: 'R', id: 'c2' },
      { kind: 'line', from: 'R', to: 'S', id: 'c3' },
      { kind: 'line', from: 'S', to: 'P', id: 'c4' },
    ],
    {
      relations: [
        { id: 'r1', kind: 'onCurve', point: 'P', curve: 'wall' },
        { id: 'r2', kind: 'onCurve', point: 'S', curve: 'wall' },
        { id: 'r3', kind: 'level', points: ['P', 'Q'] },
        { id: 'r4', kind: 'level', points: ['S', 'R'] },
        { id: 'r5', kind: 'upright', points: ['Q', 'R'] },
      ],
      dimensions: [
        { id: 'd1', kind: 'distance', points: ['P', 'Q'], value: n(3) },
        { id: 'd2', kind: 'distance', points: ['Q', 'R'], value: n(4) },
      ],
    },
  );
  for (const diameter of [10, 13]) {
    const made = built(pin(diameter), turnedBy(collar));
    expect(made.fault).toBeNull();
    const r = diameter / 2;
    expect(made.volumeMm3).toBeCloseTo(Math.PI * (r * r * 30 + ((r + 3) ** 2 - r * r) * 4), 3);
  }
});

test('what is gone, of another form, or has no place to be seen from is told', () => {
  const { seen } = built(block(40), bored(8, 10), raised(empty));
  const mouth = followedAt(seen, ({ curve }) => curve.kind === 'circle');
  const edge = followedAt(seen, isLineAt(0, 20));
  const round = drawing(
    [point('M', 10, 0)],
    [{ kind: 'circle', middle: 'M', diameter: n(8), id: 'c1', follows: mouth }],
  );
  expect(built(block(40), raised(round)).fault).toMatchObject({ code: 'step.pickLost' });
  // The upright edge of the front is a point from above, and a line from the side.
  const corner = followedAt(seen, ({ curve }) => curve.kind === 'point');
  const byCorner = { ...triangle(edge), curves: triangle(corner).curves };
  expect(built(block(40), raised(byCorner)).fault).toEqual({ code: 'outline.followsOther', place: 1 });
  expect(built(block(40), raised(triangle(edge), { xFrom: 'lowFlush' })).fault).toEqual({
    code: 'outline.followsFlush',
  });
  const run = {
    id: 'drawn',
    kind: 'sweep',
    effect: 'add',
    outline: triangle(edge),
    path: [
      { x: n(0), y: n(0), up: n(0) },
      { x: n(0), y: n(0), up: n(20) },
    ],
    bend: n(0),
    along: 'straight',
    closed: false,
    on: 'top',
    x: n(0),
    y: n(0),
  };
  expect(built(block(40), run).fault).toEqual({ code: 'outline.followsNowhere' });
  // What can't be followed leaves the part behind it in view, to choose anew.
  expect(built(block(40), raised(round)).seen.length).toBeGreaterThan(0);
});

test('a corner seen from its end is a point, and goes along', () => {
  const { seen } = built(block(40), raised(empty));
  const corner = followedAt(
    seen,
    ({ curve }) => curve.kind === 'point' && curve.at[0] > 0 && curve.at[1] > 0,
  );
  const disc = drawing(
    [{ ...point('K', 20, 10), follows: corner }, point('M', 10, 0)],
    [{ kind: 'circle', middle: 'M', diameter: n(6), id: 'c1' }],
    {
      relations: [],
      dimensions: [
        { id: 'd1', kind: 'along', points: ['M', 'K'], axis: 'x', value: n(10) },
        { id: 'd2', kind: 'along', points: ['M', 'K'], axis: 'y', value: n(10) },
        { id: 'd3', kind: 'diameter', curve: 'c1', value: n(6) },
      ],
    },
  );
  const { volumeMm3, behind } = built(block(60, 6, 30), raised(disc));
  expect(volumeMm3).toBeCloseTo(60 * 30 * 6 + Math.PI * 9 * 4, 4);
  expect(behind!.followed.points.K).toEqual([expect.closeTo(30, 6), expect.closeTo(15, 6)]);
});
