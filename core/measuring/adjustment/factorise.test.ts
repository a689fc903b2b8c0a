import fc from 'fast-check';

import { dependenciesOf, factorise, outsideOf, partsOf } from '@core/measuring/adjustment';

/** A matrix of a rank that is known: a product of two random ones. */
const ofRank = fc
  .record({
    rows: fc.integer({ min: 1, max: 9 }),
    columns: fc.integer({ min: 1, max: 9 }),
    rank: fc.integer({ min: 0, max: 9 }),
    cells: fc.array(fc.double({ min: -10, max: 10, noNaN: true }), { minLength: 200, maxLength: 200 }),
  })
  .map(({ rows, columns, rank, cells }) => {
    const most = Math.min(rows, columns, rank);
    const matrix = new Float64Array(rows * columns);
    // Unit lower times upper, so that the rank is what it is said to be.
    const left = (row: number, k: number) => (row === k ? 1 : row < k ? 0 : cells[row * 9 + k]! / 10);
    const right = (k: number, column: number) =>
      column === k ? 2 : column < k ? 0 : cells[90 + k * 9 + column]! / 10;
    for (let column = 0; column < columns; column += 1)
      for (let row = 0; row < rows; row += 1)
        for (let k = 0; k < most; k += 1) matrix[column * rows + row]! += left(row, k) * right(k, column);
    return { rows, columns, rank: most, matrix };
  });
const columnsOf = (matrix: Float64Array, rows: number) =>
  Array.from({ length: matrix.length / rows }, (_, column) =>
    matrix.subarray(column * rows, (column + 1) * rows),
  );
const dot = (a: Float64Array, b: Float64Array) => a.reduce((sum, one, index) => sum + one * b[index]!, 0);

test('the rank is found, what is outside is square to all columns, and dependent columns add up to nothing', () => {
  fc.assert(
    fc.property(ofRank, ({ rows, columns, rank, matrix }) => {
      const factored = factorise(matrix, rows, columns);
      expect(factored.rank).toBe(rank);
      const outside = outsideOf(factored);
      expect(outside).toHaveLength(rows - rank);
      for (const [index, way] of outside.entries()) {
        for (const column of columnsOf(matrix, rows)) expect(Math.abs(dot(way, column))).toBeLessThan(1e-8);
        for (const [other, another] of outside.entries())
          expect(dot(way, another)).toBeCloseTo(index === other ? 1 : 0, 9);
      }
      const dependent = dependenciesOf(factored);
      expect(dependent).toHaveLength(columns - rank);
      for (const factors of dependent)
        for (let row = 0; row < rows; row += 1) {
          const total = columnsOf(matrix, rows).reduce(
            (sum, column, index) => sum + factors[index]! * column[row]!,
            0,
          );
          expect(Math.abs(total)).toBeLessThan(1e-6);
        }
    }),
  );
});

test('what shares no unknown is in parts of its own', () => {
  const parts = partsOf([{ at: [0, 1] }, { at: [3, 4] }, { at: [1, 2] }, { at: [4] }, { at: [] }], 7);
  expect(parts.map(({ equations, unknowns }) => [equations, unknowns])).toEqual([
    [
      [0, 2],
      [0, 1, 2],
    ],
    [
      [1, 3],
      [3, 4],
    ],
    [[4], []],
  ]);
});
