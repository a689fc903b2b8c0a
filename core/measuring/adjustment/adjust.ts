import { CholeskyDecomposition, EigenvalueDecomposition, Matrix } from 'ml-matrix';

import type { Equation } from './equation';

/** What an adjustment gave: the unknowns, and how well they are known. */
export interface Adjustment {
  /** All unknowns, held ones included, mm. */
  values: Float64Array;
  /** Unknowns that were free, in the order of the rows of `cofactor`. */
  free: readonly number[];
  /** Their covariances for unit weight, mm²; null while something is missing. */
  cofactor: Matrix | null;
  /** Adjusted less taken, for each observation, mm. */
  residualsMm: Float64Array;
  /** Sum of squared residuals over their standard uncertainties. */
  squareSum: number;
  iterations: number;
  converged: boolean;
  /** Ways in which points can still move: directions in the space of all unknowns, each of length 1. */
  loose: Float64Array[];
}

const MOST_ITERATIONS = 60;
/** A step smaller than this, mm, is none: a hundredth of what any caliper shows. */
const SETTLED_MM = 1e-7;
/** A pivot smaller than the largest by this factor belongs to a direction that no distance holds. */
const LOOSE_PIVOT = 1e-9;

/**
 * Observations alone, with doubts of all of them and of what comes out: least squares after Gauss and Newton with Levenberg's damping (Nocedal and Wright, Numerical Optimization,
 * 2nd ed., 10.3), weights 1/u². Normal equations are used: distances differ in scale by far less
 * than what would cost them digits. Unknowns that nothing touches are free too: they are what is missing.
 *
 * @param held unknowns that stay where they start.
 */
export function adjust(
  observations: readonly Equation[],
  held: ReadonlySet<number>,
  start: Float64Array,
): Adjustment {
  const values = Float64Array.from(start);
  const free = [...values.keys()].filter((unknown) => !held.has(unknown));
  const row = new Int32Array(values.length).fill(-1);
  for (const [index, unknown] of free.entries()) row[unknown] = index;
  const count = free.length;
  let damping = 1e-6;
  let current = linearize(observations, values, row, count);
  let [iterations, converged] = [0, count === 0];
  while (!converged && iterations < MOST_ITERATIONS) {
    iterations += 1;
    const damped = current.normal.slice();
    for (let diagonal = 0; diagonal < damped.length; diagonal += count + 1) {
      // The floor keeps unknowns that nothing holds where they are.
      damped[diagonal] = damped[diagonal]! * (1 + damping) + damping;
    }
    const step = new CholeskyDecomposition(Matrix.from1DArray(count, count, damped)).solve(
      Matrix.columnVector(current.gradient),
    );
    const tried = Float64Array.from(values);
    let largest = 0;
    for (let index = 0; index < count; index += 1) {
      const by = step.get(index, 0);
      tried[free[index]!]! -= by;
      largest = Math.max(largest, Math.abs(by));
    }
    const next = linearize(observations, tried, row, count);
    if (next.squareSum <= current.squareSum * (1 + 1e-12)) {
      values.set(tried);
      current = next;
      damping = Math.max(damping / 10, 1e-12);
    } else {
      damping *= 8;
    }
    converged = largest < SETTLED_MM;
  }
  const solved = invert(Matrix.from1DArray(count, count, current.normal), free, values.length);
  return {
    values,
    free,
    ...solved,
    residualsMm: current.residuals,
    squareSum: current.squareSum,
    iterations,
    converged,
  };
}

interface Linearized {
  /** JᵀWJ, row by row. */
  normal: Float64Array;
  /** JᵀWr. */
  gradient: number[];
  residuals: Float64Array;
  squareSum: number;
}

function linearize(
  observations: readonly Equation[],
  values: Float64Array,
  row: Int32Array,
  count: number,
): Linearized {
  const cells = new Float64Array(count * count);
  const gradient = new Array<number>(count).fill(0);
  const residuals = new Float64Array(observations.length);
  let squareSum = 0;
  for (const [index, observation] of observations.entries()) {
    const { value, at, slopes } = observation.predict(values);
    const residual = value - observation.target;
    const weight = 1 / observation.standard ** 2;
    residuals[index] = residual;
    squareSum += weight * residual * residual;
    for (let i = 0; i < at.length; i += 1) {
      const r = row[at[i]!]!;
      if (r < 0) continue;
      gradient[r]! += weight * slopes[i]! * residual;
      for (let j = 0; j < at.length; j += 1) {
        const c = row[at[j]!]!;
        // One half only: rounding must not make the two differ.
        if (c >= 0 && c <= r) cells[r * count + c]! += weight * slopes[i]! * slopes[j]!;
      }
    }
  }
  mirrorLowerHalf(cells, count);
  return { normal: cells, gradient, residuals, squareSum };
}

/** Inverse of L Lᵀ from its factor: L⁻¹ row by row, then L⁻ᵀ L⁻¹. Takes two factorisations' worth of work. */
function inverseOf(factor: Matrix): Matrix {
  const count = factor.rows;
  const lower = Float64Array.from(factor.to1DArray());
  const inverted = new Float64Array(count * count);
  for (let row = 0; row < count; row += 1) {
    const pivot = lower[row * count + row]!;
    for (let column = 0; column < row; column += 1) {
      let sum = 0;
      for (let k = column; k < row; k += 1) sum += lower[row * count + k]! * inverted[k * count + column]!;
      inverted[row * count + column] = -sum / pivot;
    }
    inverted[row * count + row] = 1 / pivot;
  }
  const product = new Float64Array(count * count);
  for (let k = 0; k < count; k += 1) {
    for (let row = 0; row <= k; row += 1) {
      const factorOfRow = inverted[k * count + row]!;
      for (let column = 0; column <= row; column += 1) {
        product[row * count + column]! += factorOfRow * inverted[k * count + column]!;
      }
    }
  }
  mirrorLowerHalf(product, count);
  return Matrix.from1DArray(count, count, product);
}

/** Copies the half below the diagonal to the one above it. */
function mirrorLowerHalf(cells: Float64Array, count: number): void {
  for (let row = 0; row < count; row += 1) {
    for (let column = 0; column < row; column += 1)
      cells[column * count + row] = cells[row * count + column]!;
  }
}

/** The covariances, or the directions that are loose. */
function invert(
  normal: Matrix,
  free: readonly number[],
  size: number,
): Pick<Adjustment, 'cofactor' | 'loose'> {
  const count = free.length;
  if (count === 0) return { cofactor: new Matrix(0, 0), loose: [] };
  const decomposition = new CholeskyDecomposition(normal);
  const pivots = decomposition.lowerTriangularMatrix.diagonal().map((value) => value * value);
  const largest = normal.diagonal().reduce((most, value) => Math.max(most, value), 0);
  const sound = decomposition.isPositiveDefinite() && pivots.every((pivot) => pivot > largest * LOOSE_PIVOT);
  if (sound) return { cofactor: inverseOf(decomposition.lowerTriangularMatrix), loose: [] };
  const eigen = new EigenvalueDecomposition(normal, { assumeSymmetric: true });
  const most = Math.max(...eigen.realEigenvalues, 0);
  const loose = eigen.realEigenvalues.flatMap((value, column) => {
    if (value > most * LOOSE_PIVOT && most > 0) return [];
    const direction = new Float64Array(size);
    for (const [index, unknown] of free.entries()) {
      direction[unknown] = eigen.eigenvectorMatrix.get(index, column);
    }
    return [direction];
  });
  return { cofactor: null, loose };
}
