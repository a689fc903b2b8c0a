import { along, type Vec3 } from '@core/foundations/vectors';
import { coordinatesOf, type MeshQuality } from '@core/shaping/part';

import type { Kernel, Shape } from './kernel';
import type { Scope } from './scope';
import { partsOf } from './topology';

/** The kernel divides an arc into no fewer. */
const FEWEST = 3;

/**
 * How large a piece of an arc may be, radians, as the kernel has it for edges: half of what may be turned and half of the gap, so that the
 * gap of a face between two of them is within it. A chord over an angle α lies r (1 − cos(α / 2)) within its arc.
 */
export const pieceOfArc = (radius: number, { gapMm, angle }: MeshQuality): number =>
  Math.min(angle / 2, 2 * Math.acos(Math.max(0, 1 - gapMm / 2 / radius)));

/**
 * Segments along a straight or round edge, six numbers each, mm, where the kernel itself would divide it: its neighbours may be divided by
 * either. Null for any other edge.
 */
export function dividedEdge(
  kernel: Kernel,
  scope: Scope,
  edge: Shape,
  quality: MeshQuality,
): Float32Array | null {
  const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
  const type = curve.GetType();
  if (type === 'GeomAbs_Line') {
    const corners = cornersOf(kernel, scope, edge);
    // One that has corners within it, or none, is left to the kernel.
    return corners.length === 2 ? segments(corners) : null;
  }
  if (type !== 'GeomAbs_Circle') return null;
  const [from, to] = [curve.FirstParameter(), curve.LastParameter()];
  const circle = scope.keep(curve.Circle());
  const place = scope.keep(circle.Position());
  const centre = coordinatesOf(scope.keep(place.Location()));
  const [x, y] = [place.XDirection(), place.YDirection()].map((way) => coordinatesOf(scope.keep(way))) as [
    Vec3,
    Vec3,
  ];
  const radius = circle.Radius();
  const count = Math.max(FEWEST, Math.ceil((to - from) / pieceOfArc(radius, quality)));
  const points = Array.from({ length: count + 1 }, (_, index) => {
    const angle = from + ((to - from) * index) / count;
    return along(along(centre, x, radius * Math.cos(angle)), y, radius * Math.sin(angle));
  });
  return segments(withEndsAtCorners(kernel, scope, edge, points));
}

/** Where an edge begins and ends: both in one corner if it goes all round. */
const cornersOf = (kernel: Kernel, scope: Scope, edge: Shape): Vec3[] =>
  partsOf(kernel, scope, edge, 'TopAbs_VERTEX').map((vertex) =>
    coordinatesOf(scope.keep(kernel.BRep_Tool.Pnt(scope.keep(kernel.TopoDS.Vertex(vertex))))),
  );

/** Edges that meet in a corner end there, and not each where its own curve does. */
function withEndsAtCorners(kernel: Kernel, scope: Scope, edge: Shape, points: Vec3[]): Vec3[] {
  const corners = cornersOf(kernel, scope, edge);
  const nearest = (to: Vec3) =>
    corners.reduce((best, corner) => (far(corner, to) < far(best, to) ? corner : best), corners[0] ?? to);
  return points.map((point, index) => (index === 0 || index === points.length - 1 ? nearest(point) : point));
}

const far = (a: Vec3, b: Vec3) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

const segments = (points: readonly Vec3[]): Float32Array =>
  Float32Array.from(points.slice(1).flatMap((point, index) => [...points[index]!, ...point]));

/** The points along segments, one more than there are. */
export const pointsAlong = (lines: Float32Array): Vec3[] => {
  const points: Vec3[] = [];
  for (let at = 0; at < lines.length; at += 6) points.push([lines[at]!, lines[at + 1]!, lines[at + 2]!]);
  points.push([lines.at(-3)!, lines.at(-2)!, lines.at(-1)!]);
  return points;
};
