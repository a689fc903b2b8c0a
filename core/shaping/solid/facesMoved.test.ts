import type { Kernel } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, outlineOf, raised, stepOf } from '@core/testing/pieces';
import { expectNear, wholeVolume } from '@core/testing/volumes';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const whole = (...steps: Step[]) => wholeVolume(kernel, ...steps);

const base = block(40, 30, 10);

const BASE = 12000;

const moved = (of: Step, by: number) => ({ ...stepOf('offset', { by }), of: of.id }) as Step;

const on = (x = 0, y = 0) => ({ on: 'top', x, y });

const square = (length: number, breadth: number) =>
  outlineOf('rectangle', { length, breadth, cornerRadius: 0 });

/** Volume of a stump of a cone. */
const stump = (r: number, s: number, h: number) => (Math.PI * h * (r * r + r * s + s * s)) / 3;

describe('all faces of one step moved: corners stay sharp', () => {
  test.each([0.3, -0.3])('a peg, by %s', (by) => {
    const peg = stepOf('peg', { diameter: 8, height: 6, ...on() });
    expectNear(whole(base, peg, moved(peg, by)), BASE + Math.PI * (4 + by) ** 2 * (6 + by));
  });

  test.each([0.3, -0.3])('a block on another, by %s: its four upper corners too', (by) => {
    const tower = raised(square(12, 8), 6, on());
    expectNear(whole(base, tower, moved(tower, by)), BASE + (12 + 2 * by) * (8 + 2 * by) * (6 + by));
  });

  test.each([0.3, -0.3])('a blind hole and a pocket, by %s: what is to go in must sit on the floor', (by) => {
    const hole = stepOf('hole', { diameter: 8, depth: 6, ...on(-10) });
    expectNear(whole(base, hole, moved(hole, by)), BASE - Math.PI * (4 - by) ** 2 * (6 - by));
    const pocket = raised(square(12, 8), 6, { effect: 'cut', ...on(8) });
    expectNear(whole(base, pocket, moved(pocket, by)), BASE - (12 - 2 * by) * (8 - 2 * by) * (6 - by));
  });

  test.each([0.3, -0.3])('a hexagon, by %s: corners that are not square', (by) => {
    const hexagon = raised(outlineOf('polygon', { sides: 6, by: 'flats', across: 10 }), 5, on());
    // Half of its width across flats, times the tangent of half a sixth of a turn.
    const area = (across: number) => 6 * (across / 2) ** 2 * Math.tan(Math.PI / 6);
    expectNear(whole(base, hexagon, moved(hexagon, by)), BASE + area(10 + 2 * by) * (5 + by), 1e-4);
  });

  test.each([0.3, -0.3])('a stump of a cone, and the room for one, by %s', (by) => {
    const cone = stepOf('cone', { effect: 'add', lower: 16, upper: 8, height: 8, ...on() });
    // Its wall leans by a half: out by `by` it is so much further from the axis.
    const aside = by * Math.hypot(1, 0.5);
    const high = 8 + by;
    const at = (h: number) => 8 + aside - h / 2;
    expectNear(whole(base, cone, moved(cone, by)), BASE + stump(at(0), at(high), high));
    const room = stepOf('cone', { effect: 'cut', lower: 8, upper: 16, height: 8, ...on() });
    const wide = (h: number) => 8 - aside - h / 2;
    expectNear(whole(base, room, moved(room, by)), BASE - stump(wide(0), wide(8 - by), 8 - by));
  });

  test('a pointed cone keeps its point, further out', () => {
    const cone = stepOf('cone', { effect: 'add', lower: 12, upper: 0, height: 12, ...on() });
    const aside = 0.3 * Math.hypot(1, 0.5);
    expectNear(whole(base, cone, moved(cone, 0.3)), BASE + stump(6 + aside, 0, 12 + 2 * aside));
  });

  test.each([0.4, -0.4])('a ball that is let into a block, by %s', (by) => {
    const ball = stepOf('sphere', { effect: 'add', diameter: 12, up: 2, ...on() });
    // Above the level of the block, 2 under its middle: a cap of a height.
    const above = (r: number) => {
      const h = r + 2;
      return Math.PI * h * h * (r - h / 3);
    };
    expectNear(whole(base, ball, moved(ball, by)), BASE + above(6 + by));
    const socket = stepOf('sphere', { effect: 'cut', diameter: 12, up: 2, ...on() });
    const below = (r: number) => (4 / 3) * Math.PI * r ** 3 - above(r);
    expectNear(whole(base, socket, moved(socket, by)), BASE - below(6 - by));
  });
});

test('what is moved past its middle, or is of another form, is refused in words', () => {
  const hole = stepOf('hole', { diameter: 2, depth: 6, ...on() });
  const faults = (...steps: Step[]) => buildPiece(kernel, steps).faults;
  expect(faults(base, hole, moved(hole, 1.5))).toEqual([
    { code: 'offset.pastMiddle', face: { tag: `${hole.id}:wall`, place: 2 } },
  ]);
  const ring = stepOf('torus', { effect: 'add', across: 20, thick: 4, up: 1, ...on() });
  expect(faults(base, ring, moved(ring, 0.2))).toEqual([
    { code: 'offset.otherForm', face: { tag: `${ring.id}:wall`, place: 2 } },
  ]);
});
