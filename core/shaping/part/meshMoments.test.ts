import { meshMoments } from './meshMoments';

/** A block from one corner to another, two triangles a side, anticlockwise from outside. */
function block([x0, y0, z0]: readonly number[], [x1, y1, z1]: readonly number[]) {
  const positions = [z0, z1].flatMap((z) => [x0, y0, z, x1, y0, z, x1, y1, z, x0, y1, z]);
  const sides = [
    [3, 2, 1, 0],
    [4, 5, 6, 7],
    [0, 1, 5, 4],
    [1, 2, 6, 5],
    [2, 3, 7, 6],
    [3, 0, 4, 7],
  ] as const;
  const indices = sides.flatMap(([a, b, c, d]) => [a, b, c, a, c, d]);
  return { positions: Float32Array.from(positions as number[]), indices: Uint32Array.from(indices) };
}

test('a block away from the origin, by hand', () => {
  const { volumeMm3, centre, momentMm5 } = meshMoments(block([10, -4, 2], [16, 4, 5]));
  expect(volumeMm3).toBeCloseTo(6 * 8 * 3, 6);
  expect(centre.map((mm) => Number(mm.toFixed(6)))).toEqual([13, 0, 3.5]);
  // About its own upright line: m (a² + b²) / 12.
  expect(momentMm5).toBeCloseTo((144 * (36 + 64)) / 12, 4);
});
