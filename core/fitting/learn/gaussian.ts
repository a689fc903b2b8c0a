/**
 * Numbers of a symmetric positive definite matrix, row by row. Learning needs the inverse of a few hundred small ones at a time; written for flat
 * arrays it takes an eighth of what a library for matrices of any kind takes (`npm run bench -- learning`).
 */
export interface Inverse {
  /** n × n, symmetric. */
  inverse: Float64Array;
  /** Logarithm of the matrix's determinant. */
  logDeterminant: number;
}

/**
 * Inverse and determinant, from the lower half, by Cholesky's factor (Golub & Van Loan, "Matrix Computations", 4.2): A = L Lᵀ, A⁻¹ = L⁻ᵀ L⁻¹.
 *
 * @throws RangeError when it is not positive definite.
 */
export function inverseOf(matrix: Float64Array, n: number): Inverse {
  const lower = matrix.slice();
  let logDeterminant = 0;
  for (let row = 0; row < n; row += 1) {
    for (let column = 0; column <= row; column += 1) {
      let sum = lower[row * n + column]!;
      for (let k = 0; k < column; k += 1) sum -= lower[row * n + k]! * lower[column * n + k]!;
      if (row !== column) {
        lower[row * n + column] = sum / lower[column * n + column]!;
      } else {
        if (!(sum > 0)) throw new RangeError('a covariance must be positive definite');
        lower[row * n + row] = Math.sqrt(sum);
        logDeterminant += Math.log(sum);
      }
    }
  }
  // L⁻¹, in place of L.
  for (let column = 0; column < n; column += 1) {
    lower[column * n + column] = 1 / lower[column * n + column]!;
    for (let row = column + 1; row < n; row += 1) {
      let sum = 0;
      for (let k = column; k < row; k += 1) sum -= lower[row * n + k]! * lower[k * n + column]!;
      lower[row * n + column] = sum / lower[row * n + row]!;
    }
  }
  const inverse = new Float64Array(n * n);
  for (let row = 0; row < n; row += 1) {
    for (let column = 0; column <= row; column += 1) {
      let sum = 0;
      for (let k = row; k < n; k += 1) sum += lower[k * n + row]! * lower[k * n + column]!;
      inverse[row * n + column] = sum;
      inverse[column * n + row] = sum;
    }
  }
  return { inverse, logDeterminant };
}

/** A x of a symmetric matrix. */
export function times(matrix: Float64Array, x: Float64Array): Float64Array {
  const n = x.length;
  const product = new Float64Array(n);
  for (let row = 0; row < n; row += 1) {
    let sum = 0;
    for (let column = 0; column < n; column += 1) sum += matrix[row * n + column]! * x[column]!;
    product[row] = sum;
  }
  return product;
}

export function inner(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let index = 0; index < a.length; index += 1) sum += a[index]! * b[index]!;
  return sum;
}

/** (A + v u uᵀ)⁻¹ from A⁻¹, in place (Sherman & Morrison, 1950). @param image A⁻¹ u. */
export function addOuter(inverse: Float64Array, image: Float64Array, v: number, uImage: number): void {
  const n = image.length;
  const factor = v / (1 + v * uImage);
  for (let row = 0; row < n; row += 1) {
    const scaled = factor * image[row]!;
    if (scaled === 0) continue;
    for (let column = 0; column < n; column += 1) inverse[row * n + column]! -= scaled * image[column]!;
  }
}
