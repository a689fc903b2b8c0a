import type { Kernel } from '@core/shaping/kernel';
import type { OutlineShape, Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { buildPiece, outlineOf, raised, stepOf } from '@core/testing/pieces';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});
jest.setTimeout(300_000);

const circle = (diameter: number) => outlineOf('circle', { diameter });
const bore = { effect: 'cut', on: 'top' };
const sector = (angle: number) =>
  ({ ...outlineOf('sector', { inner: 20, outer: 26 }), angle }) as OutlineShape;
const spun = (outline: OutlineShape, away: number, up: number, turn: number, angle: number, on = 'bottom') =>
  ({
    ...stepOf('revolve', { effect: 'add', on, x: 0, y: 0, outline, away, up, turn }),
    angle,
  }) as Step;
const rectangle = (length: number, breadth: number) =>
  outlineOf('rectangle', { length, breadth, cornerRadius: 0 });
const again = (of: string, count: number) =>
  ({ ...stepOf('pattern', { of }), pattern: { by: 'round', count } }) as Step;

/** Area of the ring between 20 and 26 across, mm²; a sector of it has angle / 2π of that. */
const RING = (Math.PI * (26 ** 2 - 20 ** 2)) / 4;
const ofRing = (angle: number) => (RING * angle) / (2 * Math.PI);

const TURNS = [0, 0.5, Math.PI / 2, Math.PI, 4, 2.2, 5.5];

interface Case {
  name: string;
  steps: Step[];
  wanted: number;
}

/** A tube of 26 and 20, 10 high, made in several ways: their seams lie in different places. */
const TUBES: Record<string, () => Step[]> = {
  raised: () => [raised(circle(26), 10), raised(circle(20), 'through', bore)],
  drilled: () => [
    stepOf('disc', { diameter: 26, width: 10 }),
    stepOf('hole', { diameter: 20, depth: 'through', x: 0, y: 0 }),
  ],
  spun: () => [spun(rectangle(3, 10), 11.5, 5, 1, 2 * Math.PI)],
  hollowed: () => [stepOf('disc', { diameter: 26, width: 10 }), stepOf('shell', { wall: 3, open: 'both' })],
};

/** What is put on it flush with both its walls: on top, from within it, from its foot, below it; or a notch out of it. */
const DOGS: Record<string, { high: number; more: Record<string, unknown>; adds: number }> = {
  'on top': { high: 4, more: { on: 'top' }, adds: 4 },
  'from within': { high: 7, more: { on: 'top', lift: -3 }, adds: 4 },
  'from its foot': { high: 14, more: { on: 'bottom' }, adds: 4 },
  below: { high: 7, more: { on: 'bottom', lift: -4 }, adds: 4 },
  notch: { high: 4, more: { on: 'top', effect: 'cut' }, adds: -4 },
};

function tubes(): Case[] {
  return Object.entries(TUBES).flatMap(([made, tube]) =>
    Object.entries(DOGS).flatMap(([where, { high, more, adds }]) =>
      TURNS.flatMap((turn, index) => {
        const angle = [0.4, 1.5, 3, 4.5, 1, 2, 0.8][index]!;
        const count = [3, 3, 2, 1, 4, 1, 5][index]!;
        const dog = raised(sector(angle), high, { turn, ...more });
        return {
          name: `${count} of ${angle} ${where} of a ${made} tube, from ${turn.toFixed(2)}`,
          steps: [...tube(), dog, ...(count > 1 ? [again(dog.id, count)] : [])],
          wanted: 10 * RING + count * adds * ofRing(angle),
        };
      }),
    ),
  );
}

/** A cone that goes on where another ends, a ring closed by its other half, and a sector of a cone's sleeve on it. */
function spunOnes(): Case[] {
  const stump = (lower: number, upper: number, height: number) =>
    (Math.PI * height * (lower ** 2 + lower * upper + upper ** 2)) / 12;
  const cone = (lower: number, upper: number, height: number, on: string) =>
    stepOf('cone', { effect: 'add', lower, upper, height, on, x: 0, y: 0 });
  const ring = 2 * Math.PI * 12 * Math.PI * 3 ** 2;
  return TURNS.flatMap((turn) => [
    {
      name: `a cone goes on, ${turn.toFixed(2)}`,
      steps: [cone(30, 20, 10, 'bottom'), cone(20, 15, 5, 'top')],
      wanted: stump(30, 15, 15),
    },
    ...[1, Math.PI, 5].map((angle) => ({
      name: `the rest of a ring, ${angle.toFixed(2)} from ${turn.toFixed(2)}`,
      steps: [spun(circle(6), 12, 3, turn, angle), spun(circle(6), 12, 3, turn + angle, 2 * Math.PI - angle)],
      wanted: ring,
    })),
    ...[0.7, 2.5].map((angle) => ({
      name: `a part of a sleeve of a cone, ${angle} from ${turn.toFixed(2)}`,
      steps: [spun(rectangle(3, 10), 11.5, 5, 0, 2 * Math.PI), spun(rectangle(3, 14), 11.5, 7, turn, angle)],
      wanted: 10 * RING + 4 * ofRing(angle),
    })),
  ]);
}

/** Walls of one outline on top of each other, and half of it. */
function smooth(): Case[] {
  const outlines: [string, OutlineShape, number][] = [
    ['oval', outlineOf('ellipse', { length: 30, breadth: 18 }), (Math.PI * 30 * 18) / 4],
    ['slot', outlineOf('slot', { length: 30, breadth: 12 }), 18 * 12 + Math.PI * 36],
    [
      'rounded plate',
      outlineOf('rectangle', { length: 30, breadth: 18, cornerRadius: 4 }),
      30 * 18 - (4 - Math.PI) * 16,
    ],
  ];
  return outlines.flatMap(([name, outline, area]) =>
    [0, 0.6].flatMap((turn) => [
      {
        name: `${name} on itself, ${turn}`,
        steps: [raised(outline, 6, { turn }), raised(outline, 4, { turn, on: 'top' })],
        wanted: area * 10,
      },
      {
        name: `${name} through itself, ${turn}`,
        steps: [raised(outline, 6, { turn }), raised(outline, 9, { turn, on: 'bottom' })],
        wanted: area * 9,
      },
      {
        name: `${name} below itself, ${turn}`,
        steps: [raised(outline, 6, { turn }), raised(outline, 5, { turn, on: 'bottom', lift: -3 })],
        wanted: area * 9,
      },
      {
        name: `${name} with a ring cut away and filled, ${turn}`,
        steps: [
          raised(outline, 6, { turn }),
          raised(circle(8), 'through', bore),
          raised(circle(8), 6, { on: 'bottom' }),
        ],
        wanted: area * 6,
      },
    ]),
  );
}

const ALL = [...tubes(), ...spunOnes(), ...smooth()];

test('what is added or cut flush with the walls that stand comes out as large as it is, in every way that it is made', () => {
  const wrong = ALL.flatMap(({ name, steps, wanted }) => {
    const { faults, volume, check } = buildPiece(kernel, steps);
    const isRight = faults.length === 0 && check?.pieces === 1 && Math.abs(volume - wanted) < 1e-5 * wanted;
    return isRight ? [] : [`${name}: ${JSON.stringify(faults)} ${volume.toFixed(3)} of ${wanted.toFixed(3)}`];
  });
  expect(ALL.length).toBeGreaterThan(200);
  expect(wrong).toEqual([]);
});
