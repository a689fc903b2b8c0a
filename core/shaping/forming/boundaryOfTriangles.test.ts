import { Clipper, FillRule } from 'clipper2-ts';
import fc from 'fast-check';

import { boundaryOfTriangles, type Corner } from './boundaryOfTriangles';

const corner = fc.record({ x: fc.integer({ min: 0, max: 12 }), y: fc.integer({ min: 0, max: 12 }) });
const triangle = fc
  .tuple(corner, corner, corner)
  .map(([a, b, c]): [Corner, Corner, Corner] =>
    (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x) < 0 ? [a, c, b] : [a, b, c],
  )
  .filter(([a, b, c]) => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x) > 0);

/** How often lines wind round a place (Sunday, 2001). */
function winding(loops: readonly (readonly Corner[])[], x: number, y: number): number {
  let turns = 0;
  for (const loop of loops) {
    loop.forEach((a, index) => {
      const b = loop[(index + 1) % loop.length]!;
      const left = (b.x - a.x) * (y - a.y) - (x - a.x) * (b.y - a.y);
      if (a.y <= y && b.y > y && left > 0) turns += 1;
      if (a.y > y && b.y <= y && left < 0) turns -= 1;
    });
  }
  return turns;
}

test('however triangles lie over each other, their boundary winds round a place as often as they cover it', () => {
  fc.assert(
    fc.property(
      fc.array(triangle, { minLength: 1, maxLength: 12 }),
      fc.double({ min: 0, max: 12, noNaN: true }),
      fc.double({ min: 0, max: 12, noNaN: true }),
      (triangles, x, y) => {
        const loops = boundaryOfTriangles(triangles);
        expect(winding(loops, x, y)).toBe(winding(triangles, x, y));
      },
    ),
  );
});

test('of a grid of triangles nothing is left but its border', () => {
  const triangles = Array.from({ length: 100 }, (_, at): [Corner, Corner, Corner][] => {
    const [x, y] = [at % 10, Math.floor(at / 10)];
    const [a, b, c, d] = [
      { x, y },
      { x: x + 1, y },
      { x: x + 1, y: y + 1 },
      { x, y: y + 1 },
    ];
    return [
      [a, b, c],
      [a, c, d],
    ];
  }).flat();
  const loops = boundaryOfTriangles(triangles);
  expect(loops.map(({ length }) => length)).toEqual([40]);
  expect(Clipper.area(Clipper.union(loops, FillRule.NonZero)[0]!)).toBe(100);
});
