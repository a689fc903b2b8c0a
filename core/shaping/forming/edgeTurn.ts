import { type Kernel, type Shape, scoped, type Scope, partsOf } from '@core/shaping/kernel';
import { type Vec3, cross, dot } from '@core/foundations/vectors';
import { coordinatesOf } from '@core/shaping/part';

/** How two faces meet at an edge, at its middle. */
export interface EdgeTurn {
  at: Vec3;
  /** Outward normals of both faces, unit vectors. */
  normals: readonly [Vec3, Vec3];
  /** Sine of the turn from one to the other: above nought the corner is hollow, below it stands out. */
  sine: number;
}

/** Corners flatter than this, as the sine of their turn, are none: faces that run into each other smoothly. */
export const FLAT_SINE = 1e-3;

/** Whether the material makes a hollow corner at an edge. */
export const isHollow = (kernel: Kernel, edge: Shape, first: Shape, second: Shape): boolean =>
  (edgeTurn(kernel, edge, first, second)?.sine ?? 0) > FLAT_SINE;

/**
 * Going along the edge with the first face on the left, the way into that face is n₁ × t. Where the second face looks
 * that way too, the two enclose empty space: a hollow corner. Null for an edge that is none of the first face.
 */
export function edgeTurn(kernel: Kernel, edge: Shape, first: Shape, second: Shape): EdgeTurn | null {
  return scoped((scope) => {
    const own = partsOf(kernel, scope, first, 'TopAbs_EDGE').find((one) => one.IsSame(edge));
    if (!own) return null;
    const typed = scope.keep(kernel.TopoDS.Edge(own));
    const curve = scope.keep(new kernel.BRepAdaptor_Curve(typed));
    const middle = (curve.FirstParameter() + curve.LastParameter()) / 2;
    const tangent = scope.keep(curve.EvalDN(middle, 1));
    const sign = own.Orientation() === 'TopAbs_REVERSED' ? -1 : 1;
    const t: Vec3 = [sign * tangent.X(), sign * tangent.Y(), sign * tangent.Z()];
    const length = Math.hypot(...t);
    const [n1, n2] = [first, second].map((face) => normalAt(kernel, scope, face, typed, middle));
    if (!n1 || !n2 || length === 0) return null;
    const point = scope.keep(curve.Value(middle));
    return {
      at: coordinatesOf(point),
      normals: [n1, n2],
      sine: dot(cross(n1, t), n2) / length,
    };
  });
}

/** The outward normal of a face at a parameter of one of its edges; a unit vector. */
function normalAt(
  kernel: Kernel,
  scope: Scope,
  face: Shape,
  edge: Parameters<Kernel['TopoDS']['Edge']>[0],
  at: number,
): Vec3 | null {
  const typed = scope.keep(kernel.TopoDS.Face(face));
  const flat = scope.keep(new kernel.BRepAdaptor_Curve2d(scope.keep(kernel.TopoDS.Edge(edge)), typed));
  const uv = scope.keep(flat.Value(at));
  const surface = scope.keep(new kernel.BRepAdaptor_Surface(typed, false));
  const [du, dv] = [
    scope.keep(surface.EvalDN(uv.X(), uv.Y(), 1, 0)),
    scope.keep(surface.EvalDN(uv.X(), uv.Y(), 0, 1)),
  ];
  const normal = scope.keep(du.Crossed(dv));
  const size = normal.Magnitude();
  if (size < 1e-12) return null;
  const out = (face.Orientation() === 'TopAbs_REVERSED' ? -1 : 1) / size;
  return [out * normal.X(), out * normal.Y(), out * normal.Z()];
}
