import fc from 'fast-check';

import { areaOf, contoursAt, cutTable } from '@core/making/slice';
import { bar, block, cone, together, torus, turnedInside } from '@core/testing/solids3d';

const areaAt = (mesh: Parameters<typeof cutTable>[0], heights: number[]) =>
  [...contoursAt(cutTable(mesh), heights)].map(areaOf);
/** Area of a regular polygon with its corners on a circle. */
const polygon = (radius: number, corners: number) =>
  (corners / 2) * radius ** 2 * Math.sin((2 * Math.PI) / corners);

describe('outlines at a height', () => {
  test('a block has its area, at its faces too, and nothing above it', () => {
    const areas = areaAt(block(20, 10, 8), [-4, -1, 0, 3.999, 4, 5]);
    expect(areas.slice(0, 4)).toEqual([200, 200, 200, 200]);
    expect(areas.slice(4)).toEqual([0, 0]);
  });

  test('a round bar and a cone to a millionth', () => {
    expect(areaAt(bar(10, 8), [1])[0]! / polygon(5, 96)).toBeCloseTo(1, 6);
    const heights = [-9, -3, 2, 8];
    areaAt(cone(10, 20), heights).forEach((area, index) => {
      const radius = 5 * (0.5 - heights[index]! / 20);
      expect(area / polygon(radius, 96)).toBeCloseTo(1, 6);
    });
  });

  test('a ring has a hole, which runs the other way round', () => {
    const [contours] = [...contoursAt(cutTable(torus(20, 6)), [0.01])];
    expect(contours!.begins).toHaveLength(3);
    const expected = polygon(13, 96) - polygon(7, 96);
    expect(areaOf(contours!) / expected).toBeCloseTo(1, 3);
  });

  test('a hollow block is a block less its hollow; two blocks are two', () => {
    const hollow = together(
      { mesh: block(20, 20, 20), at: [0, 0, 0] },
      { mesh: turnedInside(block(10, 10, 10)), at: [0, 0, 0] },
    );
    expect(areaAt(hollow, [-7, 0, 7])).toEqual([400, 300, 400]);
    const two = together({ mesh: block(4, 4, 4), at: [0, 0, 0] }, { mesh: block(2, 2, 2), at: [9, 0, 0] });
    expect(areaAt(two, [0.5, 1.5])).toEqual([20, 16]);
  });

  test('whatever heights are asked for, every loop closes and the slabs add up to the volume', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 40 }),
        fc.double({ min: 2, max: 30, noNaN: true }),
        fc.integer({ min: 50, max: 200 }),
        (corners, height, layers) => {
          const mesh = cone(12, height, corners);
          const table = cutTable(mesh);
          expect(table.open).toBe(0);
          const heights = Array.from(
            { length: layers },
            (_, at) => -height / 2 + ((at + 0.5) * height) / layers,
          );
          const volume = [...contoursAt(table, heights)].reduce(
            (sum, contours) => sum + (areaOf(contours) * height) / layers,
            0,
          );
          // The midpoint rule of a square is low by a twelfth of the step squared.
          const exact = (polygon(6, corners) * height) / 3;
          expect(volume / exact).toBeCloseTo(1 - 1 / (4 * layers ** 2), 5);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('a mesh that misses a triangle is known as open', () => {
    const { positions, indices } = block(4, 4, 4);
    expect(cutTable({ positions, indices: indices.slice(3) }).open).toBe(3);
  });
});
