import type { Kernel } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, outlineOf, raised, stepOf } from '@core/testing/pieces';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const shadow = (by = 0) =>
  ({ shape: 'offset', of: { whole: true }, by: { from: 'number', mm: by } }) as const;

/** What is there, set on a plate of its own outline so high, far above it: only that is looked at. */
function areaOf(steps: Step[], by = 0) {
  const high = 1;
  const alone = buildPiece(kernel, steps);
  const both = buildPiece(kernel, [
    ...steps,
    raised(shadow(by), high, { effect: 'apart', on: 'top', lift: 5, xFrom: 'there', yFrom: 'there' }),
  ]);
  expect(both.faults).toEqual([]);
  return {
    area: (both.volume - alone.volume) / high,
    faces: both.roles.length - alone.roles.length,
    box: both.box,
  };
}

test('a block with a peg that overhangs: two lines and arcs, exactly', () => {
  const { area, faces } = areaOf([
    block(30, 20, 5),
    stepOf('peg', { diameter: 12, height: 4, on: 'top', x: 15, y: 0 }),
  ]);
  // Half of the peg stands over the block's right side.
  expect(area).toBeCloseTo(600 + (Math.PI * 36) / 2, 2);
  // Top, bottom, five lines and one arc.
  expect(faces).toBe(8);
});

test('a wheel with a bore is a circle round a circle, larger all round by the play', () => {
  const { area, faces } = areaOf(
    [
      stepOf('disc', { diameter: 40, width: 8 }),
      stepOf('hole', { diameter: 10, depth: 'through', on: 'top', x: 0, y: 0 }),
    ],
    0.2,
  );
  expect(area).toBeCloseTo(Math.PI * (20.2 ** 2 - 4.8 ** 2), 2);
  expect(faces).toBe(4);
});

const ball = (fields: Record<string, unknown>) =>
  stepOf('sphere', { effect: 'add', on: 'bottom', y: 0, ...fields });
/** About the x axis, from the right side of a block of 10. */
const lyingOn = (kind: 'peg' | 'cone', fields: Record<string, unknown>) => [
  block(10, 10, 10),
  stepOf(kind, { effect: 'add', on: 'right', x: 0, y: 5, yFrom: 'low', ...fields }),
];

/** Bodies whose outline turns on round faces, what it encloses when it is moved out, mm², and of how many curves it is. */
const TURNING: readonly [string, Step[], (by: number) => number, number][] = [
  ['a ball', [ball({ diameter: 20, up: 10, x: 0 })], (by) => Math.PI * (10 + by) ** 2, 1],
  [
    'a bar with a ball in its middle',
    [block(50, 12, 10), ball({ diameter: 24, up: 5, x: 0 })],
    (by) => {
      const [radius, half] = [12 + by, 6 + by];
      // What of the ball lies beside the bar, and the bar.
      const angle = 2 * Math.acos(half / radius);
      return (50 + 2 * by) * 2 * half + radius ** 2 * (angle - Math.sin(angle));
    },
    8,
  ],
  [
    'a peg on its side',
    lyingOn('peg', { diameter: 8, height: 20 }),
    (by) => (10 + 2 * by) ** 2 + 20 * (8 + 2 * by),
    8,
  ],
  [
    'a cone on its side',
    lyingOn('cone', { lower: 8, upper: 3, height: 20 }),
    (by) => {
      // Its sides lean in by 2.5 on 20: moved out they lie higher by so much more than by.
      const up = by * Math.hypot(1, 0.125);
      return (10 + 2 * by) ** 2 + 20 * (4 + up - 0.125 * by + 1.5 + up - 0.125 * by);
    },
    8,
  ],
  [
    'a level ring round a block',
    [
      block(27, 10, 4),
      stepOf('torus', { effect: 'add', across: 30, thick: 8, up: 2, on: 'bottom', x: 0, y: 0 }),
    ],
    // The block's corners lie within the ring; between them and the ring it is open.
    (by) => {
      const hole = 11 - by;
      const half = 5 + by;
      const angle = 2 * Math.acos(half / hole);
      return Math.PI * (19 + by) ** 2 - hole ** 2 * (angle - Math.sin(angle));
    },
    5,
  ],
];

test.each(TURNING)(
  '%s is exact, and so it is moved out and in, by arcs and lines',
  (_, steps, expected, curves) => {
    for (const by of [0, 0.3, 2, -0.3]) {
      const { area, faces } = areaOf(steps, by);
      expect(area).toBeCloseTo(expected(by), 3);
      expect(faces).toBe(curves + 2);
    }
  },
);

test('what lies two hundredths beside a round face is not taken for it', () => {
  // A block's sides two hundredths outside of a peg that lies along it, and a disc as much wider than a ball.
  const beside = [
    block(10, 8.04, 4),
    stepOf('peg', { diameter: 8, height: 20, on: 'right', x: 0, y: 2, yFrom: 'low' }),
  ];
  expect(areaOf(beside).area).toBeCloseTo(10 * 8.04 + 20 * 8, 3);
  const ballInDisc = [stepOf('disc', { diameter: 20.04, width: 2 }), ball({ diameter: 20, up: 1, x: 0 })];
  expect(areaOf(ballInDisc).area).toBeCloseTo(Math.PI * 10.02 ** 2, 3);
});

test('a disc on edge, aslant, is of other curves: within a few micrometres, moved out and in too', () => {
  const tilt = 0.6;
  const steps = [
    stepOf('disc', { diameter: 30, width: 6 }),
    { ...stepOf('move', { dx: 0, dy: 0, dz: 0, axis: 'x', turn: tilt }), scale: 1 } as Step,
  ];
  // Two halves of an ellipse and what lies between them; its length by Ramanujan.
  const [a, b, apart] = [15, 15 * Math.cos(tilt), 6 * Math.sin(tilt)];
  const h = ((a - b) / (a + b)) ** 2;
  const round = Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h))) + 2 * apart;
  for (const by of [0, 0.3, 2, -0.3]) {
    const expected = Math.PI * a * b + 2 * a * apart + round * by + Math.PI * by ** 2;
    expect(Math.abs(areaOf(steps, by).area - expected)).toBeLessThan(0.003 * round);
  }
});

test('a ball and a cylinder on its side are as broad as they are, within a hundredth', () => {
  expect(
    areaOf([stepOf('sphere', { effect: 'add', diameter: 20, up: 10, on: 'bottom', x: 0, y: 0 })]).area /
      (Math.PI * 100),
  ).toBeCloseTo(1, 3);
  const lying = [
    block(10, 10, 10),
    stepOf('peg', { diameter: 8, height: 20, on: 'right', x: 0, y: 5, yFrom: 'low' }),
  ];
  expect(areaOf(lying).area).toBeCloseTo(100 + 20 * 8, 1);
});

test('it stays where the part stands, wherever that is', () => {
  const aside = raised(outlineOf('rectangle', { length: 10, breadth: 6, cornerRadius: 0 }), 3, {
    x: 17,
    y: -4,
  });
  const { box } = areaOf([aside]);
  expect(box!.slice(0, 2)).toEqual([expect.closeTo(12, 4), expect.closeTo(-7, 4)]);
});

test('what falls apart as seen from above is no one outline, and is told', () => {
  const apart = [
    block(10, 10, 5),
    raised(outlineOf('circle', { diameter: 5 }), 5, { effect: 'apart', x: 30 }),
  ];
  expect(buildPiece(kernel, [...apart, raised(shadow(), 1, { on: 'top' })]).faults).toEqual([
    { code: 'outline.loopsAside' },
  ]);
});
