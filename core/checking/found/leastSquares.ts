import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** What one place says of the numbers that are looked for: `off` = Σ slope × number. */
export interface Row {
  slopes: readonly number[];
  off: number;
}

/** How little everything is held where it is, beside what a place holds. */
const HOLD = 1e-6;

/** The first so many numbers by least squares; null where they can't be found. What nothing holds, such as a wheel about its axle, stays where it is. */
export function leastSquares(rows: readonly Row[], count: number): number[] | null {
  const [normal, right] = [Matrix.zeros(count, count), Matrix.zeros(count, 1)];
  for (const { slopes, off } of rows) {
    for (let i = 0; i < count; i += 1) {
      right.set(i, 0, right.get(i, 0) + slopes[i]! * off);
      for (let j = 0; j < count; j += 1) normal.set(i, j, normal.get(i, j) + slopes[i]! * slopes[j]!);
    }
  }
  for (let i = 0; i < count; i += 1) normal.set(i, i, normal.get(i, i) + HOLD * rows.length);
  const solver = new CholeskyDecomposition(normal);
  return solver.isPositiveDefinite() ? solver.solve(right).getColumn(0) : null;
}
