import type { Layout } from '@core/record/model';

import type { SolvedLayout } from './solveLayout';

/**
 * Where the coordinates that a layout hands out begin, in the frame that it was solved in, mm: at the frame's own
 * zero, or in the middle, between the two edges where both are known and else between the outermost points. Plates
 * lie with their middle on the axle line, so that the middle is what a recipe mostly wants.
 */
export function zeroOf(
  { zero }: Pick<Layout, 'zero'>,
  { points, right, top }: Pick<SolvedLayout, 'points' | 'right' | 'top'>,
): { x: number; y: number } {
  if (zero === 'start' || points.length === 0) return { x: 0, y: 0 };
  const middle = (axis: 'x' | 'y', farEdge: number | null) => {
    if (farEdge !== null) return farEdge / 2;
    const along = points.map((point) => point[axis]);
    return (Math.min(...along) + Math.max(...along)) / 2;
  };
  return { x: middle('x', right), y: middle('y', top) };
}

/** A coordinate of a point from the layout's zero, mm; null for a point that is not there or not placed yet. */
export function coordinateOf(
  { layout, solved }: { layout: Layout; solved: SolvedLayout },
  pointId: string,
  axis: 'x' | 'y',
): number | null {
  const point = solved.points.find(({ id }) => id === pointId);
  return point && !point.loose ? point[axis] - zeroOf(layout, solved)[axis] : null;
}
