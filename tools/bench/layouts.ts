import { CholeskyDecomposition, Matrix } from 'ml-matrix';

import { solveLayout } from '@core/measuring/layout';
import { LayoutDraft, noiseFrom } from '@core/testing/layoutDraft';

import { figure, timePair, type Figure } from './figure';

const POINTS = 40;
const DISTANCES = 200;

/** A layout of 40 points and 200 noisy distances against one dense factorisation of as many unknowns. */
export function layoutFigures(): Figure[] {
  const { uniform, normal } = noiseFrom(3);
  const spots = Array.from({ length: POINTS }, () => ({ x: 300 * uniform(), y: 200 * uniform() }));
  const sketch = spots.map(({ x, y }) => ({ x: x + 6 * normal(), y: y + 6 * normal() }));
  const draft = new LayoutDraft(spots, sketch);
  for (let number = 0; number < DISTANCES; number += 1) {
    const step = 1 + Math.floor(number / POINTS);
    draft.between(1 + (number % POINTS), 1 + ((number + step) % POINTS), 0.02 * normal());
  }
  const size = 2 * POINTS - 3;
  const random = Matrix.from1DArray(
    size,
    size,
    Array.from({ length: size * size }, () => normal()),
  );
  const definite = random.mmul(random.transpose()).add(Matrix.eye(size));
  // Symmetric to the last digit, as the factorisation asks.
  for (let row = 0; row < size; row += 1) {
    for (let column = 0; column < row; column += 1) definite.set(column, row, definite.get(row, column));
  }
  const [solving, factoring] = timePair(
    40,
    10,
    () => {
      const { fault } = solveLayout(draft.layout, (source) =>
        source.from === 'number' ? { mm: source.value, standardMm: 0.02 } : null,
      );
      if (fault) throw new Error(fault.code);
    },
    () => void new CholeskyDecomposition(definite).lowerTriangularMatrix,
  );
  return [
    figure(
      `a layout of ${POINTS} points and ${DISTANCES} distances, against one dense factorisation`,
      'ms',
      solving,
      factoring,
      { atMost: 15 },
    ),
  ];
}
