import { Matrix, solve } from 'ml-matrix';

import { dependenciesOf, factorise } from '@core/measuring/adjustment';

import { jacobianOf } from './freedom';
import { freeOf } from './settle';
import type { System } from './system';

/** A measured size after the adjustment. */
export interface MeasuredResidual {
  /** The dimension. */
  id: string;
  takenMm: number;
  adjustedMm: number;
  /** Adjusted less taken over its own standard deviation; 0 where nothing checks it. */
  standardised: number;
}

/** A factor below this is rounding. */
const TAKES_PART = 1e-9;
/** An error that shows by less than this share in its own residual is checked by nothing. */
const LEAST_CHECKED = 1e-5;

/**
 * How measured sizes go with each other where there are more than needed. Condition equations: with K the left null space of the Jacobian, the cofactor of the residuals
 * is V K (Kᵀ V K)⁻¹ Kᵀ V (Mikhail and Ackermann, Observations and Least Squares, 1976, 5.3: adjustment of observations only).
 */
export function residualsOf(system: System, values: ArrayLike<number>): MeasuredResidual[] {
  const equations = freeOf(system);
  const free = Array.from({ length: system.unknowns.size }, (_, unknown) => unknown).filter(
    (unknown) => !system.unknowns.held.has(unknown),
  );
  const factored = factorise(
    jacobianOf(equations, free, system.unknowns.size, values),
    free.length,
    equations.length,
  );
  const checks = dependenciesOf(factored).filter((factors) =>
    factors.some((factor, index) => Math.abs(factor) > TAKES_PART && equations[index]!.standard > 0),
  );
  const cofactor = (index: number): number => {
    if (checks.length === 0) return 0;
    const variance = (row: number) => equations[row]!.standard ** 2;
    const kvk = new Matrix(
      checks.map((one) =>
        checks.map((other) =>
          one.reduce((sum, factor, row) => sum + factor * variance(row) * other[row]!, 0),
        ),
      ),
    );
    const own = Matrix.columnVector(checks.map((factors) => factors[index]! * variance(index)));
    return own.transpose().mmul(solve(kvk, own)).get(0, 0);
  };
  return equations.flatMap(({ of, target, standard, predict }, index) => {
    if (standard === 0 || of === null) return [];
    const adjustedMm = predict(values).value;
    const variance = cofactor(index);
    const isChecked = variance > LEAST_CHECKED * standard ** 2;
    return [
      {
        id: of,
        takenMm: target,
        adjustedMm,
        standardised: isChecked ? Math.abs(adjustedMm - target) / Math.sqrt(variance) : 0,
      },
    ];
  });
}

/** Beyond this a residual is taken for a slip, as in layouts (Baarda, 1968). */
export const DISAGREES_BEYOND = 3.29;
