import { evaluateRepair } from '@core/fitting/fit';
import { numberValue, type Step } from '@core/record/model';
import type { DrawnOutline } from '@core/foundations/fields';
import type { Kernel } from '@core/shaping/kernel';
import { withPatch } from '@core/shaping/recipe';
import { stepSentence } from '@core/shaping/steps';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';

import { BodyBuilder } from './bodyBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const n = numberValue;
const point = (id: string, x: number, y: number) => ({ id, x: n(x), y: n(y) });
const drawing = (
  points: DrawnOutline['points'],
  curves: DrawnOutline['curves'],
  more: Partial<DrawnOutline> = {},
): DrawnOutline => ({ shape: 'drawn', points, curves, relations: [], ...more });

const run = (drawn: DrawnOutline, more: object = {}) => ({
  id: 'run',
  kind: 'sweep',
  effect: 'add',
  outline: { shape: 'circle', diameter: n(4) },
  path: { drawn, lies: 'level' },
  bend: n(0),
  along: 'straight',
  closed: false,
  on: 'bottom',
  x: n(0),
  y: n(0),
  ...more,
});

function built(...steps: object[]) {
  const builder = new BodyBuilder(kernel);
  const { repair } = new RepairDraft('Test piece').body('body', 'Body', steps as Step[]);
  const { check, steps: outcomes, box } = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  builder.dispose();
  const last = outcomes.at(-1)!;
  return { volumeMm3: check?.volumeMm3 ?? 0, box, fault: last.state === 'failed' ? last.fault : null };
}
/** By Pappus: the section's area times how far its middle goes. */
const wireMm3 = (mm: number) => Math.PI * 4 * mm;

/** A hook: a leg of 20, a half round of radius 8, and a leg of 10 back; drawn in another order, and from either side. */
const hook = drawing(
  [point('A', 0, 0), point('B', 20, 0), point('V', 28, 8), point('C', 20, 16), point('D', 10, 16)],
  [
    { kind: 'arc', from: 'C', via: 'V', to: 'B', id: 'c1' },
    { kind: 'line', from: 'C', to: 'D', id: 'c2' },
    { kind: 'line', from: 'A', to: 'B', id: 'c3' },
  ],
);

test('a hook is run along lines and an arc in each plane of its place', () => {
  for (const [lies, broad] of [
    ['level', [0, 1]],
    ['right', [0, 2]],
    ['back', [1, 2]],
  ] as const) {
    const { volumeMm3, box, fault } = built(run(hook, { path: { drawn: hook, lies } }));
    expect(fault).toBeNull();
    expect(volumeMm3).toBeCloseTo(wireMm3(30 + 8 * Math.PI), 3);
    // From the start to the far side of the half round, and over both legs.
    const span = broad.map((axis) => box![axis + 3]! - box![axis]!);
    expect(span[0]).toBeCloseTo(30, 2);
    expect(span[1]).toBeCloseTo(20, 2);
  }
});

test('sizes of the path hold: a leg made longer, its relations kept', () => {
  const sized = (long: number): DrawnOutline => ({
    ...hook,
    relations: [
      { id: 'r1', kind: 'level', points: ['A', 'B'] },
      { id: 'r2', kind: 'level', points: ['C', 'D'] },
      { id: 'r3', kind: 'tangent', curves: ['c3', 'c1'] },
      { id: 'r4', kind: 'tangent', curves: ['c2', 'c1'] },
      { id: 'r5', kind: 'fixed', point: 'A' },
    ],
    dimensions: [
      { id: 'd1', kind: 'distance', points: ['A', 'B'], value: n(long) },
      { id: 'd2', kind: 'radius', curve: 'c1', value: n(9) },
      { id: 'd3', kind: 'distance', points: ['C', 'D'], value: n(12) },
    ],
  });
  for (const long of [20, 31])
    expect(built(run(sized(long))).volumeMm3).toBeCloseTo(wireMm3(long + 12 + 9 * Math.PI), 2);
});

test('closed paths: a ring, a frame with mitred corners, a round frame; construction lines are left out', () => {
  const ring = drawing(
    [point('M', 3, 2), point('N', 9, 9)],
    [
      { kind: 'circle', middle: 'M', diameter: n(40), id: 'c1' },
      { kind: 'line', from: 'M', to: 'N', id: 'c2', helper: true },
    ],
  );
  expect(built(run(ring)).volumeMm3).toBeCloseTo(wireMm3(40 * Math.PI), 2);
  const corners = [point('A', 0, 0), point('B', 40, 0), point('C', 40, 30), point('D', 0, 30)];
  const frame = drawing(corners, [
    { kind: 'line', from: 'A', to: 'B', id: 'c1' },
    { kind: 'line', from: 'C', to: 'B', id: 'c2' },
    { kind: 'line', from: 'C', to: 'D', id: 'c3' },
    { kind: 'line', from: 'D', to: 'A', id: 'c4' },
  ]);
  const square = { shape: 'rectangle', length: n(4), breadth: n(4), cornerRadius: n(0) };
  // A mitred frame of square bar is the band between two rectangles.
  expect(built(run(frame, { outline: square })).volumeMm3).toBeCloseTo((44 * 34 - 36 * 26) * 4, 3);
  const stadium = drawing(
    [...corners, point('V', 55, 15), point('W', -15, 15)],
    [
      { kind: 'line', from: 'A', to: 'B', id: 'c1' },
      { kind: 'arc', from: 'B', via: 'V', to: 'C', id: 'c2' },
      { kind: 'line', from: 'C', to: 'D', id: 'c3' },
      { kind: 'arc', from: 'D', via: 'W', to: 'A', id: 'c4' },
    ],
  );
  expect(built(run(stadium)).volumeMm3).toBeCloseTo(wireMm3(80 + 30 * Math.PI), 2);
});

test('what is no path is told', () => {
  const loose = drawing(
    [point('A', 0, 0), point('B', 20, 0), point('C', 25, 0), point('D', 40, 9)],
    [
      { kind: 'line', from: 'A', to: 'B', id: 'c1' },
      { kind: 'line', from: 'C', to: 'D', id: 'c2' },
    ],
  );
  expect(built(run(loose)).fault).toEqual({ code: 'path.inPieces' });
  const fork = drawing(loose.points, [
    { kind: 'line', from: 'A', to: 'B', id: 'c1' },
    { kind: 'line', from: 'B', to: 'C', id: 'c2' },
    { kind: 'line', from: 'B', to: 'D', id: 'c3' },
  ]);
  expect(built(run(fork)).fault).toEqual({ code: 'path.forks', x: 20, y: 0 });
  const ellipse = drawing(
    [point('M', 0, 0)],
    [{ kind: 'ellipse', middle: 'M', length: n(30), breadth: n(20), id: 'c1' }],
  );
  expect(built(run(ellipse)).fault).toEqual({ code: 'path.ellipse' });
  expect(built(run(drawing([point('O', 0, 0)], []))).fault).toEqual({ code: 'outline.nothingDrawn' });
  // An arc of 1.5 has no room for a wire of 2 to its middle.
  const tight = drawing(
    [point('A', 0, 0), point('B', 20, 0), point('V', 21.5, 1.5), point('C', 20, 3)],
    [
      { kind: 'line', from: 'A', to: 'B', id: 'c1' },
      { kind: 'arc', from: 'B', via: 'V', to: 'C', id: 'c2' },
    ],
  );
  expect(built(run(tight)).fault).toMatchObject({ code: 'sweep.bentTooMuch', halfMm: 2 });
});

test('a path follows an edge of the part: a bead along it', () => {
  const block = {
    id: 'block',
    kind: 'extrude',
    effect: 'add',
    outline: { shape: 'rectangle', length: n(40), breadth: n(20), cornerRadius: n(0) },
    turn: 0,
    height: n(6),
    on: 'bottom',
    x: n(0),
    y: n(0),
  };
  const long = (length: number) => ({ ...block, outline: { ...block.outline, length: n(length) } });
  const bead = drawing(
    [point('A', -20, 10), point('B', 20, 10)],
    [
      {
        kind: 'line',
        from: 'A',
        to: 'B',
        id: 'c1',
        follows: { edge: { tags: ['block:top', 'block:back'], near: [0, 10, 6] } },
      },
    ],
  );
  for (const length of [40, 52]) {
    const { volumeMm3, fault } = built(long(length), run(bead, { on: 'top' }));
    expect(fault).toBeNull();
    // Three quarters of the bead stand out of the block.
    expect(volumeMm3).toBeCloseTo(length * 120 + 0.75 * wireMm3(length), 2);
  }
});

test('points of a path become a drawing of the same wire, and the sentence says which it is', () => {
  const byPoints = run(hook, {
    path: [
      { x: n(0), y: n(0), up: n(0) },
      { x: n(30), y: n(0), up: n(0) },
      { x: n(30), y: n(0), up: n(18) },
    ],
  }) as unknown as Step;
  const sentence = stepSentence(byPoints, [byPoints]);
  const given = sentence.find((part) => part.kind === 'choice' && part.what === 'how the path is given');
  if (given?.kind !== 'choice') throw new Error('no such choice');
  expect(given.text).toBe('a path of');
  const [drawn] = withPatch([byPoints], 'run', given.options[1]!.patch);
  if (drawn?.kind !== 'sweep') throw new Error('no run');
  expect(drawn.path).toMatchObject({ lies: 'right', drawn: { curves: [{}, {}] } });
  expect(built(drawn).volumeMm3).toBeCloseTo(built(byPoints).volumeMm3, 4);
});
