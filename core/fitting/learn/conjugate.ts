import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/**
 * What is believed of a straight relation and of the scatter about it: normal-inverse-gamma. Given the scatter σ², the coefficients
 * are normal about `mean` with covariance σ² × `spread`; σ² is inverse gamma of `shape` and `rate`.
 */
export interface Belief {
  /** Of the coefficients, p of them. */
  mean: readonly number[];
  /** p × p, symmetric and positive definite; covariance over σ². */
  spread: readonly (readonly number[])[];
  shape: number;
  rate: number;
}

/** One measured value and what it depends on. */
export interface Observed {
  /** The p factors of the coefficients. */
  design: readonly number[];
  value: number;
  /** Its variance is σ² over this: 1 for one that scatters as the others do, 0 for one that is not counted. */
  weight: number;
  /** How much it counts towards the scatter, 0 to 1. */
  counts: number;
}

/** What is expected of a new value: Student's t about `mean` of `scale`, with so many degrees of freedom. */
export interface Expected {
  mean: number;
  scale: number;
  degrees: number;
}

/**
 * The belief after values were seen, in closed form (Bishop, Pattern Recognition and Machine Learning, 2006, exercise 3.12; Gelman et
 * al., Bayesian Data Analysis, 3rd ed., 14.8): precision P = P₀ + XᵀWX, mean m = P⁻¹(P₀m₀ + XᵀWy), shape a + n/2, rate
 * b + ½[(y − Xm)ᵀW(y − Xm) + (m − m₀)ᵀP₀(m − m₀)].
 *
 * One coefficient, believed 0 ± σ (spread 1), one value of 2: the mean becomes 1, the spread ½, the rate b + 1.
 *
 * @throws RangeError when `spread` is not positive definite.
 */
export function believedAfter(before: Belief, seen: readonly Observed[]): Belief {
  const priorPrecision = inverseOf(before.spread);
  const precision = priorPrecision.clone();
  const priorMean = Matrix.columnVector([...before.mean]);
  const pull = priorPrecision.mmul(priorMean);
  const size = before.mean.length;
  for (const { design, value, weight } of seen) {
    if (weight === 0) continue;
    for (let row = 0; row < size; row += 1) {
      const weighed = weight * design[row]!;
      if (weighed === 0) continue;
      pull.set(row, 0, pull.get(row, 0) + weighed * value);
      for (let column = 0; column < size; column += 1) {
        precision.set(row, column, precision.get(row, column) + weighed * design[column]!);
      }
    }
  }
  const spread = inverseOf(precision.to2DArray());
  const mean = spread.mmul(pull).to1DArray();
  const moved = Matrix.columnVector(mean.map((one, index) => one - before.mean[index]!));
  const squares = seen.reduce(
    (sum, { design, value, weight }) => sum + weight * (value - dot(design, mean)) ** 2,
    moved.transpose().mmul(priorPrecision).mmul(moved).get(0, 0),
  );
  return {
    mean,
    spread: spread.to2DArray(),
    shape: before.shape + seen.reduce((sum, { counts }) => sum + counts, 0) / 2,
    rate: before.rate + squares / 2,
  };
}

/** What is expected of the next value: t with 2a degrees of freedom, scale² = b/a (1/weight + xᵀVx) (the same sources). */
export function expectedOf(belief: Belief, design: readonly number[], weight = 1): Expected {
  const { shape, rate, mean } = belief;
  const scale = Math.sqrt((rate / shape) * (1 / weight + leverage(belief, design)));
  return { mean: dot(design, mean), scale, degrees: 2 * shape };
}

/** xᵀVx: how much of σ² the doubt of the coefficients adds at a place. */
export function leverage({ spread }: Pick<Belief, 'spread'>, design: readonly number[]): number {
  return spread.reduce((sum, row, index) => sum + design[index]! * dot(row, design), 0);
}

export const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, one, index) => sum + one * b[index]!, 0);

function inverseOf(symmetric: readonly (readonly number[])[]): Matrix {
  // What rounding made of it is not quite symmetric.
  const even = symmetric.map((row, index) =>
    row.map((one, column) => (one + symmetric[column]![index]!) / 2),
  );
  const parts = new CholeskyDecomposition(even);
  if (!parts.isPositiveDefinite()) throw new RangeError('a spread must be positive definite');
  return parts.solve(Matrix.eye(symmetric.length));
}
