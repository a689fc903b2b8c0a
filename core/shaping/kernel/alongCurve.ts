import type { Vec3 } from '@core/foundations/vectors';
import { coordinatesOf } from '@core/shaping/part';

import type { Kernel, Shape } from './kernel';
import type { Scope } from './scope';
import { spansOf } from './spans';

/** Pieces that each span of a curve is integrated in: a straight one, the cubic of a spline, and any other. */
const [PIECES_OF_LINE, PIECES_OF_CUBIC, PIECES] = [1, 2, 24];
/** Places and weights of Gauss and Legendre's rule with three points, on −1 to 1: exact to degree 5. */
const RULE: readonly (readonly [at: number, weight: number])[] = [
  [-Math.sqrt(3 / 5), 5 / 9],
  [0, 8 / 9],
  [Math.sqrt(3 / 5), 5 / 9],
];

/**
 * The integral of something along an edge's curve, over its own parameter.
 * @param of what is integrated, by the point and by how fast it moves there, mm.
 */
export function alongCurve(
  kernel: Kernel,
  scope: Scope,
  edge: Shape,
  of: (point: Vec3, direction: Vec3) => number,
  finer = 1,
): number {
  const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
  const pieces = finer * piecesOf(curve.GetType());
  const spans = spansOf(kernel, scope, curve);
  let sum = 0;
  for (const [span, from] of spans.slice(0, -1).entries()) {
    const step = (spans[span + 1]! - from) / pieces;
    for (let piece = 0; piece < pieces; piece += 1) {
      for (const [at, weight] of RULE) {
        const t = from + step * (piece + (at + 1) / 2);
        const point = coordinatesOf(scope.keep(curve.Value(t)));
        sum += ((weight * step) / 2) * of(point, coordinatesOf(scope.keep(curve.EvalDN(t, 1))));
      }
    }
  }
  return sum;
}

const piecesOf = (type: unknown): number =>
  type === 'GeomAbs_Line' ? PIECES_OF_LINE : type === 'GeomAbs_BSplineCurve' ? PIECES_OF_CUBIC : PIECES;
