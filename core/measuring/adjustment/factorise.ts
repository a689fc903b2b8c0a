/** A matrix by columns, split into Q and R with its columns in the order of what each adds to those before it. */
export interface Factored {
  /** Columns that are independent of those before them. */
  rank: number;
  /** Columns of the matrix, in the order in which they were taken. */
  order: readonly number[];
  /** Upper triangle, column by column in that order: `r[k * rows + i]`. */
  r: Float64Array;
  rows: number;
  columns: number;
  /** Householder vectors, one after another, each of `rows` numbers; zero above its own place. */
  reflectors: Float64Array;
}

/** What is left of a column may be this share of its length and still be nothing. */
const RANK_SHARE = 1e-9;

/**
 * QR by Householder reflections with column pivoting, which shows the rank (Golub and Van Loan, Matrix Computations, 4th ed., 5.4.2). A column
 * counts as dependent when less than RANK_SHARE of the largest is left of it.
 *
 * @param matrix its columns one after another, each of `rows` numbers; it is left alone.
 */
export function factorise(matrix: Float64Array, rows: number, columns: number): Factored {
  const r = Float64Array.from(matrix);
  const order = Array.from({ length: columns }, (_, index) => index);
  const most = Math.min(rows, columns);
  const reflectors = new Float64Array(most * rows);
  const left = new Float64Array(columns);
  for (let column = 0; column < columns; column += 1) left[column] = squareOf(r, column * rows, rows, 0);
  const largest = left.reduce((longest, square) => Math.max(longest, square), 0);
  let rank = 0;
  while (rank < most) {
    let best = rank;
    for (let column = rank + 1; column < columns; column += 1) if (left[column]! > left[best]!) best = column;
    // What was subtracted from has lost digits: worked out anew before it decides.
    const square = squareOf(r, best * rows, rows, rank);
    if (square < left[best]! * 0.5) {
      for (let column = rank; column < columns; column += 1)
        left[column] = squareOf(r, column * rows, rows, rank);
      if (left.subarray(rank).some((one) => one > square * 1.01)) continue;
    }
    if (square <= largest * RANK_SHARE * RANK_SHARE || square === 0) break;
    swapColumns(r, rows, order, left, rank, best);
    const v = reflectors.subarray(rank * rows, (rank + 1) * rows);
    const diagonal = r[rank * rows + rank]!;
    const length = Math.sqrt(square);
    const alpha = diagonal > 0 ? -length : length;
    for (let row = rank; row < rows; row += 1) v[row] = r[rank * rows + row]!;
    v[rank] = diagonal - alpha;
    scaleToUnit(v, rank);
    for (let column = rank; column < columns; column += 1) {
      reflect(r, column * rows, v, rank);
      const above = r[column * rows + rank]!;
      left[column] = Math.max(0, left[column]! - above * above);
    }
    rank += 1;
  }
  return { rank, order, r, rows, columns, reflectors };
}

/** An orthonormal basis of what no column reaches (the null space of the transposed matrix): `rows − rank` vectors. */
export function outsideOf({ rank, rows, reflectors }: Factored): Float64Array[] {
  return Array.from({ length: rows - rank }, (_, index) => {
    const vector = new Float64Array(rows);
    vector[rank + index] = 1;
    for (let k = rank - 1; k >= 0; k -= 1)
      reflect(vector, 0, reflectors.subarray(k * rows, (k + 1) * rows), k);
    return vector;
  });
}

/**
 * How each dependent column comes of the independent ones: for each, factors of all columns whose sum is nothing (the null space of the
 * matrix), its own being 1.
 */
export function dependenciesOf({ rank, order, r, rows, columns }: Factored): Float64Array[] {
  return order.slice(rank).map((dependent, index) => {
    const factors = new Float64Array(columns);
    factors[dependent] = 1;
    const at = (rank + index) * rows;
    for (let row = rank - 1; row >= 0; row -= 1) {
      let sum = r[at + row]!;
      for (let k = row + 1; k < rank; k += 1) sum += r[k * rows + row]! * factors[order[k]!]!;
      factors[order[row]!] = -sum / r[row * rows + row]!;
    }
    return factors;
  });
}

function squareOf(cells: Float64Array, at: number, rows: number, from: number): number {
  let sum = 0;
  for (let row = from; row < rows; row += 1) sum += cells[at + row]! ** 2;
  return sum;
}

function scaleToUnit(vector: Float64Array, from: number): void {
  const length = Math.sqrt(squareOf(vector, 0, vector.length, from));
  for (let row = from; row < vector.length; row += 1) vector[row]! /= length;
}

/** x − 2 v (v·x), from a row on. */
function reflect(cells: Float64Array, at: number, v: Float64Array, from: number): void {
  let sum = 0;
  for (let row = from; row < v.length; row += 1) sum += v[row]! * cells[at + row]!;
  if (sum === 0) return;
  for (let row = from; row < v.length; row += 1) cells[at + row]! -= 2 * sum * v[row]!;
}

function swapColumns(
  r: Float64Array,
  rows: number,
  order: number[],
  left: Float64Array,
  one: number,
  other: number,
): void {
  if (one === other) return;
  for (let row = 0; row < rows; row += 1) {
    const held = r[one * rows + row]!;
    r[one * rows + row] = r[other * rows + row]!;
    r[other * rows + row] = held;
  }
  [order[one], order[other]] = [order[other]!, order[one]!];
  [left[one], left[other]] = [left[other]!, left[one]!];
}
