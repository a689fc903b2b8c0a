import { along, cross, dot, minus, type Vec3 } from '@core/foundations/vectors';
import { coordinatesOf } from '@core/shaping/part';
import { isSamePoint } from '@core/foundations/tolerance';

import { alongCurve } from './alongCurve';
import type { Kernel, Shape } from './kernel';
import { planeOf } from './planeOf';
import { scoped, type Scope } from './scope';
import { partsOf } from './topology';

/** Curves that the kernel's own integration follows as they are. */
const PLAIN: ReadonlySet<unknown> = new Set(['GeomAbs_Line', 'GeomAbs_Circle', 'GeomAbs_Ellipse']);

/** How fast a point moves along a smooth line is no polynomial, as what it sweeps in a plane is: so many times the pieces. */
const FINER = 8;

/**
 * Area of one face, mm². Of flat ones with smooth edges by Green's theorem round them, and of what a smooth line makes as it is drawn out
 * by the line itself: the kernel's own integration is off by up to a thousandth there (kernel-notes).
 */
export function faceArea(kernel: Kernel, face: Shape): number {
  const plane = planeOf(kernel, face);
  if (plane) {
    return hasSmoothEdge(kernel, face) ? areaOfFlat(kernel, face, plane.normal) : surfaceArea(kernel, face);
  }
  return areaDrawnOut(kernel, face) ?? surfaceArea(kernel, face);
}

const curveOf = (kernel: Kernel, scope: Scope, edge: Shape) =>
  scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));

const hasSmoothEdge = (kernel: Kernel, face: Shape): boolean =>
  scoped((scope) =>
    partsOf(kernel, scope, face, 'TopAbs_EDGE').some(
      (edge) => !PLAIN.has(curveOf(kernel, scope, edge).GetType()),
    ),
  );

/** Area of a flat face, mm²: outside and holes run opposite ways round. */
export const areaOfFlat = (kernel: Kernel, face: Shape, normal: Vec3): number =>
  scoped((scope) => {
    let area = 0;
    for (const edge of partsOf(kernel, scope, face, 'TopAbs_EDGE')) {
      const swept = alongCurve(
        kernel,
        scope,
        edge,
        (point, direction) => dot(normal, cross(point, direction)) / 2,
      );
      area += edge.Orientation() === 'TopAbs_REVERSED' ? -swept : swept;
    }
    return Math.abs(area);
  });

/**
 * Area of what a line makes as it is drawn out straight, mm²: ∫ |c′ × v| along it, v the way that it goes. Null of a face that is not
 * bounded by the line where it begins, where it ends, and the way of its ends.
 */
function areaDrawnOut(kernel: Kernel, face: Shape): number | null {
  return scoped((scope) => {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
    if (surface.GetType() !== 'GeomAbs_SurfaceOfExtrusion') return null;
    const edges = partsOf(kernel, scope, face, 'TopAbs_EDGE');
    if (edges.length !== 4) return null;
    const isStraight = (edge: Shape) => curveOf(kernel, scope, edge).GetType() === 'GeomAbs_Line';
    const [straight, bent] = [edges.filter(isStraight), edges.filter((edge) => !isStraight(edge))];
    if (straight.length !== 2 || bent.length !== 2) return null;
    const [begins, , ends] = threePoints(kernel, scope, straight[0]!);
    const direction = minus(ends, begins);
    const [one, other] = bent.map((edge) => threePoints(kernel, scope, edge)) as [Three, Three];
    if (!isMoved(one, other, direction) && !isMoved(other, one, direction)) return null;
    const swept = (_: Vec3, speed: Vec3) => Math.hypot(...cross(speed, direction));
    return alongCurve(kernel, scope, bent[0]!, swept, FINER);
  });
}

type Three = readonly [Vec3, Vec3, Vec3];

/** Where an edge begins, its middle by its parameter, and where it ends. */
function threePoints(kernel: Kernel, scope: Scope, edge: Shape): Three {
  const curve = curveOf(kernel, scope, edge);
  const [from, to] = [curve.FirstParameter(), curve.LastParameter()];
  return [from, (from + to) / 2, to].map((at) => coordinatesOf(scope.keep(curve.Value(at)))) as never;
}

/** Whether points are others moved some way; from the other end on as well. */
const isMoved = (from: Three, to: Three, direction: Vec3): boolean =>
  [to, [...to].reverse()].some((points) =>
    from.every((point, at) => isSamePoint(along(point, direction, 1), points[at]!)),
  );

/** Area of all faces, mm², as the kernel adds it up. */
export function surfaceArea(kernel: Kernel, shape: Shape): number {
  return scoped((scope) => {
    const area = scope.keep(new kernel.GProp_GProps());
    kernel.BRepGProp.SurfaceProperties(shape, area, false, false);
    return area.Mass();
  });
}
