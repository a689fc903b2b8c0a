import { flatArea } from './flatArea';

type Point = readonly [number, number];

const rectangle = (x: number, y: number, long: number, broad: number): Point[] => [
  [x, y],
  [x + long, y],
  [x + long, y + broad],
  [x, y + broad],
];

/** Every point is a corner, every edge of the loops is one of a triangle, and the areas add up. */
function expectFilled(loops: Point[][], area: number) {
  const found = flatArea(loops)!;
  const at = (index: number) => {
    const [loop, point] = found.corners[index]!;
    return loops[loop]![point]!;
  };
  const edges = new Set<string>();
  let sum = 0;
  for (let first = 0; first < found.indices.length; first += 3) {
    const [a, b, c] = [0, 1, 2].map((corner) => at(found.indices[first + corner]!)) as [Point, Point, Point];
    const twice = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
    // Without height it would be no triangle for a file.
    expect(twice).toBeGreaterThan(1e-9);
    sum += twice / 2;
    for (const [from, to] of [
      [a, b],
      [b, c],
      [c, a],
    ] as const) {
      const key = `${from.join(' ')} > ${to.join(' ')}`;
      expect(edges.has(key)).toBe(false);
      edges.add(key);
    }
  }
  expect(sum).toBeCloseTo(area, 9);
  const outside = [...edges].filter((key) => !edges.has(key.split(' > ').reverse().join(' > ')));
  const wanted = loops.flatMap((loop, index) => {
    const outward = [...loop];
    // Anticlockwise for the outline, clockwise for what is cut out of it.
    if (areaOf(loop) > 0 !== (index === 0)) outward.reverse();
    return outward.map(
      (from, place) => `${from.join(' ')} > ${outward[(place + 1) % outward.length]!.join(' ')}`,
    );
  });
  expect(outside.sort()).toEqual(wanted.sort());
}

const areaOf = (loop: readonly Point[]) =>
  loop.reduce((sum, [x, y], index) => {
    const [nextX, nextY] = loop[(index + 1) % loop.length]!;
    return sum + (x * nextY - nextX * y) / 2;
  }, 0);

test('a point in line with its neighbours is a corner, whichever side it is on', () => {
  const [a, b, c, d] = rectangle(0, 0, 10, 6) as [Point, Point, Point, Point];
  expectFilled([[a, [3, 0], [5, 0], [8, 0], b, c, [4, 6], d, [0, 2]]], 60);
});

test('holes in one line are cut out, and nothing of their edges is left', () => {
  const holes = [1, 4, 7].map((x) => rectangle(x, 2, 2, 1));
  expectFilled([rectangle(0, 0, 10, 6), ...holes], 60 - 6);
  expectFilled([rectangle(0, 0, 10, 6), ...holes.map((hole) => [...hole].reverse())], 60 - 6);
});

test('slots in line with each other and with a point of the outline', () => {
  const [a, b, c, d] = rectangle(0, 0, 40, 20) as [Point, Point, Point, Point];
  const slots = [5, 15, 30].map((x) => rectangle(x, 10, 3, 4));
  expectFilled([[a, b, [40, 10], c, d, [0, 10]], ...slots], 800 - 36);
});

test.each([3, 12, 40])('a grid of %i by 3 square holes', (count) => {
  const holes = Array.from({ length: 3 * count }, (_, at) =>
    rectangle(1 + 2 * (at % count), 1 + 2 * Math.floor(at / count), 1, 1),
  );
  expectFilled([rectangle(0, 0, 2 * count + 1, 7), ...holes], 7 * (2 * count + 1) - 3 * count);
});

test('a loop that crosses itself is left to others', () => {
  expect(
    flatArea([
      [
        [0, 0],
        [10, 0],
        [0, 6],
        [10, 6],
      ],
    ]),
  ).toBeNull();
});
