import earcut from 'earcut';
import { coordinatesOf, frameFacing, toLocal, type Frame, type Vec3 } from '@core/part';

import type { Kernel, Shape } from './kernel';
import type { Scope } from './scope';
import { partsOf } from './topology';

/** Flat faces with more edges than this are triangulated here: the kernel's time grows with the square of the points on a face. */
const MANY_EDGES = 24;

/** Ends of edges nearer than this meet, mm: single precision at the far end of a part. */
const MEET_MM = 1e-4;
/** Triangles miss a face by more than this share of it where a hole was lost. */
const LOST = 1e-6;

/** Flat faces with many edges, such as the plate of a grille. */
export function busyFacesOf(kernel: Kernel, scope: Scope, shape: Shape): Shape[] {
  // Most parts have fewer in all.
  if (!hasMore(kernel, scope, shape)) return [];
  return partsOf(kernel, scope, shape, 'TopAbs_FACE').filter((face) => {
    if (!hasMore(kernel, scope, face)) return false;
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), false));
    return surface.GetType() === 'GeomAbs_Plane';
  });
}

function hasMore(kernel: Kernel, scope: Scope, shape: Shape): boolean {
  const explorer = scope.keep(new kernel.TopExp_Explorer(shape, 'TopAbs_EDGE', 'TopAbs_SHAPE'));
  let count = 0;
  for (; count <= MANY_EDGES && explorer.More(); explorer.Next()) count += 1;
  return count > MANY_EDGES;
}

/** Triangles of one face, flat arrays, mm: three corners a triangle, anticlockwise from outside, counted among its own. */
export interface FacePiece {
  positions: Float32Array;
  normals: Float32Array;
  indices: Uint32Array;
}

/**
 * Triangles of a flat face between the points of its edges, which its neighbours have too. Null where these do not close, so that the
 * kernel has to do it.
 * @param linesOf the segments of an edge, six numbers each.
 */
export function trianglesOf(
  kernel: Kernel,
  scope: Scope,
  face: Shape,
  linesOf: (edge: Shape) => Float32Array,
): FacePiece | null {
  const frame = frameOut(kernel, scope, face);
  const loops: { points: Vec3[]; flat: number[]; area: number }[] = [];
  for (const wire of partsOf(kernel, scope, face, 'TopAbs_WIRE')) {
    const points = loopOf(partsOf(kernel, scope, wire, 'TopAbs_EDGE').map((edge) => pointsOf(linesOf(edge))));
    if (!points || points.length < 3) return null;
    const flat = points.flatMap((point) => toLocal(frame, point).slice(0, 2));
    loops.push({ points, flat, area: Math.abs(areaOf(flat)) });
  }
  // The largest is the outline, the others are holes in it.
  loops.sort((a, b) => b.area - a.area);
  const holes: number[] = [];
  let corners = 0;
  for (const { points } of loops) {
    if (corners > 0) holes.push(corners);
    corners += points.length;
  }
  const flat = loops.flatMap((loop) => loop.flat);
  const found = earcut(flat, holes, 2);
  // As large as the face, or a hole was lost.
  const area = loops.reduce((rest, loop, index) => (index === 0 ? loop.area : rest - loop.area), 0);
  if (earcut.deviation(flat, holes, 2, found) > LOST || !(area > 0)) return null;
  return {
    positions: Float32Array.from(loops.flatMap(({ points }) => points.flat())),
    normals: Float32Array.from({ length: 3 * corners }, (_, at) => frame.z[at % 3]!),
    indices: Uint32Array.from(anticlockwise(found, flat)),
  };
}

/** A frame on a flat face that looks out of the part. */
function frameOut(kernel: Kernel, scope: Scope, face: Shape): Frame {
  const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), false));
  const plane = scope.keep(surface.Plane());
  const axis = scope.keep(scope.keep(plane.Axis()).Direction());
  const [x, y, z] = coordinatesOf(axis);
  const isDirect = plane.Direct();
  const out = (face.Orientation() === 'TopAbs_REVERSED') === isDirect ? -1 : 1;
  return frameFacing(coordinatesOf(scope.keep(plane.Location())), [out * x, out * y, out * z]);
}

const pointsOf = (lines: Float32Array): Vec3[] => {
  const points: Vec3[] = [];
  for (let at = 0; at < lines.length; at += 6) points.push([lines[at]!, lines[at + 1]!, lines[at + 2]!]);
  points.push([lines.at(-3)!, lines.at(-2)!, lines.at(-1)!]);
  return points;
};

const meet = (a: Vec3, b: Vec3) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]) < MEET_MM;

/** Edges in any order end to end, each point once; null where they do not close. */
function loopOf(edges: Vec3[][]): Vec3[] | null {
  const left = [...edges];
  const loop = [...left.shift()!];
  while (left.length > 0) {
    const end = loop.at(-1)!;
    const next = left.findIndex((points) => meet(points[0]!, end) || meet(points.at(-1)!, end));
    if (next < 0) return null;
    const [points] = left.splice(next, 1) as [Vec3[]];
    const onward = meet(points[0]!, end) ? points : [...points].reverse();
    loop.push(...onward.slice(1));
  }
  return meet(loop[0]!, loop.at(-1)!) ? loop.slice(0, -1) : null;
}

function areaOf(flat: readonly number[]): number {
  let sum = 0;
  for (let at = 0; at < flat.length; at += 2) {
    const next = (at + 2) % flat.length;
    sum += flat[at]! * flat[next + 1]! - flat[next]! * flat[at + 1]!;
  }
  return sum / 2;
}

/** Turned round where they go clockwise. */
function anticlockwise(indices: readonly number[], flat: readonly number[]): number[] {
  const turned: number[] = [];
  for (let at = 0; at < indices.length; at += 3) {
    const [a, b, c] = [indices[at]!, indices[at + 1]!, indices[at + 2]!];
    const [ax, ay] = [flat[2 * a]!, flat[2 * a + 1]!];
    const area =
      (flat[2 * b]! - ax) * (flat[2 * c + 1]! - ay) - (flat[2 * b + 1]! - ay) * (flat[2 * c]! - ax);
    turned.push(...(area >= 0 ? [a, b, c] : [a, c, b]));
  }
  return turned;
}
