import fc from 'fast-check';

import { inRows, type Footprint } from './inRows';

/** The least distance between the rectangles of two pieces, along the better of both axes. */
const apart = (a: Footprint, [ax, ay]: [number, number], b: Footprint, [bx, by]: [number, number]) =>
  Math.max(Math.abs(ax - bx) - (a.width + b.width) / 2, Math.abs(ay - by) - (a.depth + b.depth) / 2);

test('whatever is packed lies on the bed, about its middle, and none nearer to another than the gap', () => {
  const footprint = fc.record({
    width: fc.double({ min: 1, max: 60, noNaN: true }),
    depth: fc.double({ min: 1, max: 60, noNaN: true }),
  });
  const room = { width: 220, depth: 180 };
  fc.assert(
    fc.property(fc.array(footprint, { minLength: 1, maxLength: 9 }), (pieces) => {
      const middles = inRows(pieces, room, 5);
      // Nine of 60 × 60 with gaps take 190 × 190.
      if (!middles) return pieces.length > 6;
      for (const [index, [x, y]] of middles.entries()) {
        expect(Math.abs(x) + pieces[index]!.width / 2).toBeLessThanOrEqual(room.width / 2 + 1e-9);
        expect(Math.abs(y) + pieces[index]!.depth / 2).toBeLessThanOrEqual(room.depth / 2 + 1e-9);
        for (let other = 0; other < index; other += 1) {
          expect(apart(pieces[index]!, [x, y], pieces[other]!, middles[other]!)).toBeGreaterThanOrEqual(
            5 - 1e-9,
          );
        }
      }
      return true;
    }),
    { numRuns: 200 },
  );
});

test('four squares lie two by two, six narrow ones as near to a square as they can', () => {
  const room = { width: 200, depth: 200 };
  const square = { width: 20, depth: 20 };
  expect(inRows([square, square, square, square], room, 5)).toEqual([
    [-12.5, -12.5],
    [12.5, -12.5],
    [-12.5, 12.5],
    [12.5, 12.5],
  ]);
  const narrow = { width: 10, depth: 40 };
  const middles = inRows(Array<Footprint>(6).fill(narrow), room, 5)!;
  // Six in a row: 85 × 40. Three and three are as long, 40 × 85, but deep; four and two cover more; two by two are 130 deep.
  expect(2 * Math.max(...middles.map(([x]) => x)) + narrow.width).toBeCloseTo(85, 9);
  expect(middles.map(([, y]) => y)).toEqual([0, 0, 0, 0, 0, 0]);
  expect(inRows([{ width: 250, depth: 1 }], room, 5)).toBeNull();
});
