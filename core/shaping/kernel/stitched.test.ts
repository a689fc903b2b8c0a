import { stitched, type Sides } from './stitched';

/** Numbers from 0 to below 1 that look drawn by lot and are the same each time. */
function lots(seed: number) {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

const even = (pieces: number) => Array.from({ length: pieces + 1 }, (_, at) => at / pieces);

/** Where the points round the border and within it are. */
function pointsOf({ bottom, right, top, left }: Sides, inner: [number, number][]): [number, number][] {
  return [
    ...bottom.slice(0, -1).map((s): [number, number] => [s, 0]),
    ...right.slice(0, -1).map((t): [number, number] => [1, t]),
    ...top
      .slice(1)
      .reverse()
      .map((s): [number, number] => [s, 1]),
    ...left
      .slice(1)
      .reverse()
      .map((t): [number, number] => [0, t]),
    ...inner,
  ];
}

/** Fills the square once, with every border edge at one triangle and every other edge at two. */
function expectFilled(sides: Sides, columns: number, rows: number) {
  const { inner, triangles } = stitched(sides, columns, rows);
  const points = pointsOf(sides, inner);
  const edges = new Map<string, number>();
  let area = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    const corners = triangles.slice(at, at + 3);
    const [a, b, c] = corners.map((corner) => points[corner]!) as [number, number][];
    const twice = (b![0] - a![0]) * (c![1] - a![1]) - (b![1] - a![1]) * (c![0] - a![0]);
    expect(twice).toBeGreaterThan(-1e-12);
    area += twice / 2;
    for (const side of [0, 1, 2]) {
      const key = `${corners[side]} ${corners[(side + 1) % 3]}`;
      edges.set(key, (edges.get(key) ?? 0) + 1);
    }
  }
  expect(area).toBeCloseTo(1, 9);
  expect(Math.max(...edges.values())).toBe(1);
  const border = points.length - inner.length;
  const outside = [...edges.keys()].filter((key) => !edges.has(key.split(' ').reverse().join(' ')));
  expect(outside.sort()).toEqual(
    Array.from({ length: border }, (_, at) => `${at} ${(at + 1) % border}`).sort(),
  );
}

test.each([
  ['a strip', [63, 1, 63, 1], 63, 1],
  ['a strip between unlike circles', [63, 1, 100, 1], 100, 1],
  ['a strip upwards', [1, 16, 1, 12], 1, 16],
  ['one square', [1, 1, 1, 1], 1, 1],
  ['a grid', [63, 16, 63, 16], 63, 16],
  ['a grid of one point', [3, 3, 3, 3], 2, 2],
  ['a grid of one row', [9, 3, 9, 3], 9, 2],
  ['sides that the neighbours divide otherwise', [7, 5, 31, 2], 12, 6],
  ['a strip whose short side is divided', [12, 2, 12, 1], 12, 1],
] as const)('%s is filled', (_name, [bottom, right, top, left], columns, rows) => {
  const sides = { bottom: even(bottom), right: even(right), top: even(top), left: even(left) };
  expectFilled(sides, columns, rows);
});

test('two hundred squares with uneven sides are filled', () => {
  const lot = lots(7);
  const side = () => {
    const between = Array.from({ length: Math.floor(lot() * 12) }, lot).sort((a, b) => a - b);
    return [0, ...between, 1];
  };
  for (let turn = 0; turn < 200; turn += 1) {
    const sides = { bottom: side(), right: side(), top: side(), left: side() };
    expectFilled(sides, 1 + Math.floor(lot() * 9), 1 + Math.floor(lot() * 9));
  }
});
