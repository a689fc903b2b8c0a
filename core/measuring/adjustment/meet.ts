import { CholeskyDecomposition, Matrix } from 'ml-matrix';

import type { Equation, Prediction } from './equation';

/** Where the unknowns came out that meet equations, moving as little as they can. */
export interface Met {
  values: Float64Array;
  /** Value less target of each equation. */
  residuals: Float64Array;
  converged: boolean;
  iterations: number;
  /** Systems of equations that were factorised. */
  solves: number;
  factored: FactoredSlopes | null;
}

export interface MeetOptions {
  /** How readily each unknown moves; 1 if left out. One that is held under a finger hardly does. */
  mobility?: Float64Array;
  /** At most so many steps. */
  most?: number;
  /** Conditions that are missed by no more are met, mm. */
  metTo?: number;
  /** The slopes of a time before, for the same equations nearby: they may serve again. */
  factored?: FactoredSlopes | null;
}

/** Slopes of equations, with their system ready to be solved. */
export interface FactoredSlopes {
  decomposition: CholeskyDecomposition;
  holding: readonly (readonly { row: number; slope: number }[])[];
}

const MOST_ITERATIONS = 50;
/** Slopes of before are kept while a step leaves no more than this of the squares of what was missed. */
const CHORD_LEAVES = 0.1;
/** So many steps that each take off less than this share of what is missed lead nowhere. */
const [IDLE_SHARE, MOST_IDLE] = [1e-3, 10];
/** Steps smaller than this, mm, are none. */
const SETTLED_MM = 1e-9;
/** Residuals of conditions below this are nothing, mm. */
export const MET_MM = 1e-7;
/** Least damping, as a share of the mean of J Jᵀ: dependent equations stay solvable, and conditions outweigh observations by far. */
const LEAST_DAMPING = 1e-13;

/**
 * Conditions are met, observations by least squares after their weights, and what is left free moves as little as it can. Gauss and Newton with
 * Levenberg's damping in its dual form: p = −M Jᵀ (J M Jᵀ + V + µ)⁻¹ r, whose system is as large as there are equations. With V = 0 it is the shortest step that
 * meets the conditions (Nocedal and Wright, Numerical Optimization, 2nd ed., 10.3 and 18.1). Equations that depend on each other, and fewer of
 * them than unknowns, are no trouble.
 */
export function meet(equations: readonly Equation[], start: Float64Array, options: MeetOptions = {}): Met {
  const { most = MOST_ITERATIONS, mobility, metTo = MET_MM * 1e-3 } = options;
  const values = Float64Array.from(start);
  let rows = linearise(equations, values);
  let merit = meritOf(equations, rows);
  let damping = LEAST_DAMPING;
  let factored = options.factored ?? null;
  let isOld = factored !== null;
  let [iterations, solves, idle, converged] = [0, 0, 0, equations.length === 0];
  if (!converged && areExact(equations) && areMet(rows, metTo)) converged = true;
  while (!converged && iterations < most) {
    iterations += 1;
    if (!factored) {
      factored = factoredAt(equations, rows, values.length, damping, mobility);
      isOld = false;
      solves += 1;
    }
    const step = factored && stepBy(factored, rows, mobility);
    if (!step) {
      factored = null;
      damping = Math.max(damping, 1e-12) * 100;
      continue;
    }
    const tried = Float64Array.from(values);
    let largest = 0;
    for (let index = 0; index < tried.length; index += 1) {
      tried[index]! += step[index]!;
      largest = Math.max(largest, Math.abs(step[index]!));
    }
    const next = linearise(equations, tried);
    const nextMerit = meritOf(equations, next);
    const isBetter = nextMerit <= merit * (1 + 1e-9) || largest < SETTLED_MM;
    // Slopes of before serve as long as each step leaves little (a chord, after Newton); otherwise they are taken anew.
    const isQuick = nextMerit <= merit * CHORD_LEAVES;
    if (isBetter && (isQuick || !isOld)) {
      idle = nextMerit > merit * (1 - IDLE_SHARE) ? idle + 1 : 0;
      values.set(tried);
      [rows, merit] = [next, nextMerit];
      damping = Math.max(damping / 100, LEAST_DAMPING);
      converged = largest < SETTLED_MM || idle >= MOST_IDLE || (areExact(equations) && areMet(rows, metTo));
      if (isQuick && areExact(equations)) isOld = true;
      else if (!converged) factored = null;
    } else {
      factored = null;
      // Slopes of before were to blame: taken anew, the same step is tried again.
      if (isOld) continue;
      damping = Math.max(damping, 1e-6) * 10;
      // Nothing makes it better: as near as it comes.
      converged = damping > 1e12;
    }
  }
  return {
    values,
    residuals: Float64Array.from(rows, ({ residual }) => residual),
    converged,
    iterations,
    solves,
    factored,
  };
}

interface Row extends Prediction {
  residual: number;
}

const linearise = (equations: readonly Equation[], values: Float64Array): Row[] =>
  equations.map((equation) => {
    const predicted = equation.predict(values);
    return { ...predicted, residual: predicted.value - equation.target };
  });

const areExact = (equations: readonly Equation[]) => equations.every(({ standard }) => standard === 0);
const areMet = (rows: readonly Row[], mm: number) => rows.every(({ residual }) => Math.abs(residual) < mm);

/** A condition weighs as an observation that is known to this, mm. */
const CONDITION_MM = 1e-4;

/** Sum of squared residuals over their doubts. */
const meritOf = (equations: readonly Equation[], rows: readonly Row[]): number =>
  rows.reduce(
    (sum, { residual }, index) =>
      sum + residual ** 2 / Math.max(equations[index]!.standard, CONDITION_MM) ** 2,
    0,
  );

/** The system of a damped step; null where rounding has made it unsound. */
function factoredAt(
  equations: readonly Equation[],
  rows: readonly Row[],
  size: number,
  damping: number,
  mobility: Float64Array | undefined,
): FactoredSlopes | null {
  const count = rows.length;
  // By unknowns: few equations hold any one of them.
  const holding: { row: number; slope: number }[][] = Array.from({ length: size }, () => []);
  for (const [row, { at, slopes }] of rows.entries())
    for (const [index, unknown] of at.entries()) holding[unknown]!.push({ row, slope: slopes[index]! });
  const cells = Array.from({ length: count }, () => new Float64Array(count));
  for (const [unknown, held] of holding.entries()) {
    const moves = mobility?.[unknown] ?? 1;
    for (const one of held) {
      const row = cells[one.row]!;
      for (const other of held) if (other.row <= one.row) row[other.row]! += moves * one.slope * other.slope;
    }
  }
  let mean = 0;
  for (let row = 0; row < count; row += 1) mean += cells[row]![row]! / count;
  for (let row = 0; row < count; row += 1) {
    cells[row]![row]! += damping * (mean || 1) + equations[row]!.standard ** 2;
    for (let column = 0; column < row; column += 1) cells[column]![row] = cells[row]![column]!;
  }
  const decomposition = new CholeskyDecomposition(new Matrix(cells));
  return decomposition.isPositiveDefinite() ? { decomposition, holding } : null;
}

/** The step that the system gives for what is still missed; null where it is no number. */
function stepBy(
  { decomposition, holding }: FactoredSlopes,
  rows: readonly Row[],
  mobility: Float64Array | undefined,
): Float64Array | null {
  const multipliers = decomposition.solve(Matrix.columnVector(rows.map(({ residual }) => residual)));
  const step = new Float64Array(holding.length);
  for (const [unknown, held] of holding.entries()) {
    let sum = 0;
    for (const { row, slope } of held) sum += slope * multipliers.get(row, 0);
    step[unknown] = -sum * (mobility?.[unknown] ?? 1);
  }
  return step.every(Number.isFinite) ? step : null;
}
