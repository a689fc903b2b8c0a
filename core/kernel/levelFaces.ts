import { planeOf } from './planeOf';
import type { Kernel, Shape } from './kernel';
import { scoped } from './scope';
import { spansOf } from './spans';
import { standingOf } from './standing';
import { partsOf } from './topology';

/** Pieces that each span of a curve is integrated in: the cubic of a spline, for which the rule is exact, and any other. */
const [PIECES_OF_CUBIC, PIECES] = [2, 24];
/** Places and weights of Gauss and Legendre's rule with three points, on −1 to 1: exact to degree 5. */
const RULE: readonly (readonly [at: number, weight: number])[] = [
  [-Math.sqrt(3 / 5), 5 / 9],
  [0, 8 / 9],
  [Math.sqrt(3 / 5), 5 / 9],
];

/**
 * Volume of a solid whose faces are level or stand upright, and that has smooth edges: of each level face its height times its area, by
 * the divergence of (0, 0, z); the area round its edges by Green's theorem. Null for any other solid. The kernel's own integration
 * is off by some thousandths where a level face is bounded by a smooth line through few points (kernel-notes).
 */
export function volumeOfLevels(kernel: Kernel, shape: Shape): number | null {
  return scoped((scope) => {
    const faces = partsOf(kernel, scope, shape, 'TopAbs_FACE');
    const kinds: ReturnType<typeof standingOf>[] = [];
    for (const face of faces) {
      const kind = standingOf(kernel, scope, face);
      // Most parts have one that leans or is bent.
      if (kind === 'other') return null;
      kinds.push(kind);
    }
    if (!kinds.includes('smooth')) return null;
    let volume = 0;
    for (const [index, face] of faces.entries()) {
      if (kinds[index] !== 'level') continue;
      const { at, normal } = planeOf(kernel, face)!;
      volume += at[2] * Math.sign(normal[2]) * Math.abs(areaOfLevel(kernel, face));
    }
    return volume;
  });
}

/** Area of a level face, mm²: outside and holes run opposite ways round. The sign is that of its outside. */
function areaOfLevel(kernel: Kernel, face: Shape): number {
  return scoped((scope) => {
    let area = 0;
    for (const edge of partsOf(kernel, scope, face, 'TopAbs_EDGE')) {
      const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
      const isStraight = curve.GetType() === 'GeomAbs_Line';
      const pieces = isStraight ? 1 : curve.GetType() === 'GeomAbs_BSplineCurve' ? PIECES_OF_CUBIC : PIECES;
      const spans = spansOf(kernel, scope, curve);
      let swept = 0;
      for (const [span, from] of spans.slice(0, -1).entries()) {
        const step = (spans[span + 1]! - from) / pieces;
        for (let piece = 0; piece < pieces; piece += 1) {
          for (const [at, weight] of RULE) {
            const t = from + step * (piece + (at + 1) / 2);
            const point = scope.keep(curve.Value(t));
            const way = scope.keep(curve.EvalDN(t, 1));
            swept += (weight * step * (point.X() * way.Y() - point.Y() * way.X())) / 4;
          }
        }
      }
      area += edge.Orientation() === 'TopAbs_REVERSED' ? -swept : swept;
    }
    return area;
  });
}
