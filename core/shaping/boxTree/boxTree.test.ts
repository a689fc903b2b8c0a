import { nearestTo } from './boxTree';

/** A bumpy sheet of triangles in an order that has nothing to do with where they lie. */
function sheet(side: number) {
  const height = (x: number, y: number) => Math.sin(x) + Math.cos(1.3 * y);
  const positions: number[] = [];
  for (let y = 0; y <= side; y += 1) for (let x = 0; x <= side; x += 1) positions.push(x, y, height(x, y));
  const triangles: number[][] = [];
  for (let y = 0; y < side; y += 1) {
    for (let x = 0; x < side; x += 1) {
      const a = y * (side + 1) + x;
      triangles.push([a, a + 1, a + side + 2], [a, a + side + 2, a + side + 1]);
    }
  }
  const shuffled = triangles.map((_, index) => triangles[(index * 7919) % triangles.length]!);
  return { positions: new Float32Array(positions), indices: new Uint32Array(shuffled.flat()) };
}

test('the nearest place lies on the triangle that is named, and no corner is nearer', () => {
  const mesh = sheet(20);
  const corner = (index: number) => [0, 1, 2].map((axis) => mesh.positions[3 * index + axis]!);
  for (let turn = 0; turn < 200; turn += 1) {
    const point = [(turn * 1.37) % 20, (turn * 2.11) % 20, ((turn * 0.71) % 8) - 4] as const;
    const found = nearestTo(mesh, point)!;
    const [a, b, c] = [0, 1, 2].map((side) => corner(mesh.indices[found.at + side]!)) as [
      number[],
      number[],
      number[],
    ];
    // Of three smaller triangles that meet at the place, the areas add up to the whole's only if it lies within it.
    const area = (p: readonly number[], q: readonly number[], r: readonly number[]) => {
      const [u, v] = [q, r].map((end) => end.map((mm, axis) => mm - p[axis]!)) as [number[], number[]];
      return (
        Math.hypot(
          u[1]! * v[2]! - u[2]! * v[1]!,
          u[2]! * v[0]! - u[0]! * v[2]!,
          u[0]! * v[1]! - u[1]! * v[0]!,
        ) / 2
      );
    };
    const { place } = found;
    expect(area(a, b, place) + area(b, c, place) + area(c, a, place)).toBeCloseTo(area(a, b, c), 4);
    const corners = Array.from({ length: mesh.positions.length / 3 }, (_, index) => corner(index));
    const nearest = Math.min(
      ...corners.map((one) => Math.hypot(...one.map((mm, axis) => mm - point[axis]!))),
    );
    expect(found.mm).toBeLessThanOrEqual(nearest + 1e-5);
    expect(found.mm).toBeCloseTo(Math.hypot(...place.map((mm, axis) => mm - point[axis]!)), 5);
  }
});

test('further than asked is nothing', () => {
  expect(nearestTo(sheet(4), [2, 2, 50], 10)).toBeNull();
  expect(nearestTo(sheet(4), [2, 2, 50])!.mm).toBeGreaterThan(45);
});
