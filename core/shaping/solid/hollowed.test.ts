import { Triangle, Vector3 } from 'three';
import type { Kernel } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { alongSmooth, smoothLine } from '@core/shaping/outline';
import { block, buildPiece, plain, raised, outlineOf, stepOf } from '@core/testing/pieces';
import { expectNear } from '@core/testing/volumes';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const build = (...steps: Step[]) => buildPiece(kernel, steps);

const hollow = (wall: number, open: string) => stepOf('shell', { wall, open });

/** What a hollow takes out of what was there. */
function taken(wall: number, open: string, ...steps: Step[]): number {
  const [whole, hollowed] = [build(...steps), build(...steps, hollow(wall, open))];
  expect(hollowed.faults).toEqual([]);
  expect(hollowed.check).toMatchObject({ pieces: 1, valid: true, closed: true });
  return whole.volume - hollowed.volume;
}

describe('a wall thicker than the rounds outside: the inside has square corners', () => {
  const plate = stepOf('plate', { length: 50, breadth: 28, thickness: 10, cornerRadius: 0.9 });

  test.each([
    ['top', 8],
    ['bottom', 8],
    ['both', 10],
    ['closed', 6],
  ])('of a plate with small corners, open at %s', (open, deep) => {
    expectNear(taken(2, open, plate), 46 * 24 * deep);
  });

  test('as thick as they are, and thinner: the inside keeps what is left of them', () => {
    const round = (radius: number) =>
      stepOf('plate', { length: 50, breadth: 28, thickness: 10, cornerRadius: radius });
    // Just as thick, there is a hair less room than none.
    expect(Math.abs(taken(2, 'top', round(2)) / (46 * 24 * 8) - 1)).toBeLessThan(1e-3);
    expectNear(taken(2, 'top', round(5)), (46 * 24 - (4 - Math.PI) * 9) * 8);
  });

  test('of a block rounded all over, closed and open', () => {
    const base = block(40, 30, 20);
    const soft = { ...stepOf('fillet', { size: 1 }), where: { edges: 'all', of: base.id } } as Step;
    expectNear(taken(2, 'closed', base, soft), 36 * 26 * 16);
    // Open, the way out goes straight up from the inside.
    expectNear(taken(2, 'top', base, soft), 36 * 26 * 18);
    const softer = { ...stepOf('fillet', { size: 3 }), where: { edges: 'all', of: base.id } } as Step;
    // Rounds of 3 leave 1 inside: a box less twelve edges, and eight corners that those count too often.
    const [a, b, c, r] = [36, 26, 16, 1];
    const edges = (1 - Math.PI / 4) * r * r * 4 * (a + b + c - 6 * r);
    const corners = 8 * (1 - Math.PI / 6) * r ** 3;
    expectNear(taken(2, 'closed', base, softer), a * b * c - edges - corners);
  });
});

test('the faces inside are its own, so that those outside keep their names to themselves', () => {
  const base = block(40, 30, 20);
  const { roles } = build(base, hollow(2, 'closed'));
  expect(roles.filter((role) => role === 'inside')).toHaveLength(6);
  expect(roles.filter((role) => role === 'top')).toHaveLength(1);
});

test('moved out past a hollow round, or in past a hole, the kernel is not believed blindly', () => {
  const tube = raised(outlineOf('circle', { diameter: 20 }), 10);
  const bore = stepOf('hole', { diameter: 3, depth: 'through', x: 0, y: 0 });
  const moved = (by: number) => build(tube, bore, stepOf('offset', { of: 'all', by }));
  expectNear(moved(1).volume, Math.PI * (121 - 0.25) * 12);
  // Grown by more than its bore: the kernel would turn the bore inside out and call it sound.
  const closed = moved(2);
  expect(closed.faults).toMatchObject([{ code: 'step.kernelFailed' }]);
});

describe('a smooth plate, its outline moved in', () => {
  const points = Array.from({ length: 10 }, (_, index): [number, number] => {
    const turn = (2 * Math.PI * index) / 10;
    const radius = 30 + 4 * Math.cos(3 * turn);
    return [radius * Math.cos(turn), 0.6 * radius * Math.sin(turn)];
  });
  const plate = raised(
    { shape: 'points', between: 'smooth', points: points.map(([x, y]) => plain({ x, y })) } as never,
    8,
  );
  const line = alongSmooth(smoothLine(points, true), 400) as unknown as [number, number][];
  const next = (index: number) => line[(index + 1) % line.length]!;
  const area = line.reduce((sum, [x, y], index) => sum + (x * next(index)[1] - y * next(index)[0]) / 2, 0);
  const rim = line.reduce(
    (sum, [x, y], index) => sum + Math.hypot(next(index)[0] - x, next(index)[1] - y),
    0,
  );

  test.each([
    ['top', 6.5],
    ['bottom', 6.5],
    ['both', 8],
    ['closed', 5],
  ])('open at %s: the area of Steiner, as deep as it goes', (open, deep) => {
    const inner = area - rim * 1.5 + Math.PI * 1.5 ** 2;
    expect(Math.abs(taken(1.5, open, plate) / (inner * deep) - 1)).toBeLessThan(3e-5);
  });

  test('the whole of it, by the area of its line', () => {
    expect(Math.abs(build(plate).volume / (area * 8) - 1)).toBeLessThan(1e-6);
  });

  test('through many points, of which a few would not do', () => {
    const many = Array.from({ length: 40 }, (_, index): [number, number] => {
      const turn = (2 * Math.PI * index) / 40;
      const radius = 30 + 0.5 * Math.cos(10 * turn);
      return [radius * Math.cos(turn), radius * Math.sin(turn)];
    });
    const wavy = raised(
      { shape: 'points', between: 'smooth', points: many.map(([x, y]) => plain({ x, y })) } as never,
      8,
    );
    const round = alongSmooth(smoothLine(many, true), 100) as unknown as [number, number][];
    const on = (index: number) => round[(index + 1) % round.length]!;
    const own = round.reduce((sum, [x, y], at) => sum + (x * on(at)[1] - y * on(at)[0]) / 2, 0);
    const long = round.reduce((sum, [x, y], at) => sum + Math.hypot(on(at)[0] - x, on(at)[1] - y), 0);
    expect(Math.abs(build(wavy).volume / (own * 8) - 1)).toBeLessThan(1e-5);
    const inner = own - long + Math.PI;
    expect(Math.abs(taken(1, 'top', wavy) / (inner * 7) - 1)).toBeLessThan(5e-5);
  });

  test('with a hole: a wall stands round that too', () => {
    const hole = stepOf('hole', { diameter: 10, depth: 'through', x: 0, y: 0 });
    const inner = area - rim * 1.5 + Math.PI * 1.5 ** 2 - Math.PI * 6.5 ** 2;
    expect(Math.abs(taken(1.5, 'top', plate, hole) / (inner * 6.5) - 1)).toBeLessThan(3e-5);
  });
});

test('from a square to a circle, hollowed through: an even wall, made while one waits', () => {
  const blend = {
    ...stepOf('loft', { effect: 'add', turn: 0, on: 'bottom', x: 0, y: 0 }),
    sections: [
      {
        outline: outlineOf('rectangle', { length: 30, breadth: 30, cornerRadius: 0 }),
        ...plain({ at: 0, x: 0, y: 0 }),
        turn: 0,
      },
      { outline: outlineOf('circle', { diameter: 20 }), ...plain({ at: 30, x: 0, y: 0 }), turn: 0 },
    ],
    between: 'straight',
  } as unknown as Step;
  const tube = build(blend, hollow(2, 'both'));
  expect(tube.check).toMatchObject({ pieces: 1, valid: true, closed: true });
  const { positions, indices, faces } = tube.mesh()!;
  const corner = (at: number) => new Vector3(...positions.subarray(3 * indices[at]!, 3 * indices[at]! + 3));
  const sidesOf = (isInside: boolean) =>
    faces
      .filter(({ tag }) => tag.endsWith(':inside') === isInside)
      .flatMap(({ start, count }) => Array.from({ length: count }, (_, at) => start + at));
  const outside: Triangle[] = [];
  const outer = sidesOf(false).map(corner);
  for (let at = 0; at < outer.length; at += 3) {
    outside.push(new Triangle(outer[at], outer[at + 1], outer[at + 2]));
  }
  // Nearer to an end the way goes straight out.
  const inside = sidesOf(true)
    .map(corner)
    .filter(({ z }) => z > 4 && z < 26);
  expect(inside.length).toBeGreaterThan(50);
  const closest = new Vector3();
  for (const point of inside.filter((_, index) => index % 9 === 0)) {
    const wall = Math.min(...outside.map((one) => one.closestPointToPoint(point, closest).distanceTo(point)));
    // Triangles lie up to 0.05 within what they stand for.
    expect(Math.abs(wall - 2)).toBeLessThan(0.06);
  }
});
