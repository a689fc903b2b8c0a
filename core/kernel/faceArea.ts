import type { Vec3 } from '@core/part';

import type { Kernel, Shape } from './kernel';
import { planeOf } from './planeOf';
import { scoped } from './scope';
import { spansOf } from './spans';
import { partsOf } from './topology';

/** Pieces that each span of a curve is integrated in: the cubic of a spline, for which the rule is exact, and any other. */
const [PIECES_OF_CUBIC, PIECES] = [2, 24];
/** Places and weights of Gauss and Legendre's rule with three points, on −1 to 1: exact to degree 5. */
const RULE: readonly (readonly [at: number, weight: number])[] = [
  [-Math.sqrt(3 / 5), 5 / 9],
  [0, 8 / 9],
  [Math.sqrt(3 / 5), 5 / 9],
];

/** Curves that the kernel's own integration follows as they are. */
const PLAIN: ReadonlySet<unknown> = new Set(['GeomAbs_Line', 'GeomAbs_Circle', 'GeomAbs_Ellipse']);

/**
 * Area of one face, mm². Of flat ones with smooth edges by Green's theorem round them: the kernel's own integration is off by up to a
 * thousandth there (kernel-notes).
 */
export function faceArea(kernel: Kernel, face: Shape): number {
  const plane = planeOf(kernel, face);
  return plane && hasSmoothEdge(kernel, face)
    ? areaOfFlat(kernel, face, plane.normal)
    : surfaceArea(kernel, face);
}

const hasSmoothEdge = (kernel: Kernel, face: Shape): boolean =>
  scoped((scope) =>
    partsOf(kernel, scope, face, 'TopAbs_EDGE').some((edge) => {
      const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
      return !PLAIN.has(curve.GetType());
    }),
  );

/** Area of a flat face, mm²: outside and holes run opposite ways round. */
export function areaOfFlat(kernel: Kernel, face: Shape, [nx, ny, nz]: Vec3): number {
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
            const [x, y, z] = [point.X(), point.Y(), point.Z()];
            const [dx, dy, dz] = [way.X(), way.Y(), way.Z()];
            const turned = nx * (y * dz - z * dy) + ny * (z * dx - x * dz) + nz * (x * dy - y * dx);
            swept += (weight * step * turned) / 4;
          }
        }
      }
      area += edge.Orientation() === 'TopAbs_REVERSED' ? -swept : swept;
    }
    return Math.abs(area);
  });
}

/** Area of all faces, mm², as the kernel adds it up. */
export function surfaceArea(kernel: Kernel, shape: Shape): number {
  return scoped((scope) => {
    const area = scope.keep(new kernel.GProp_GProps());
    kernel.BRepGProp.SurfaceProperties(shape, area, false, false);
    return area.Mass();
  });
}
