import { coordinatesOf, frameFacing, toLocal, type Frame, type Vec3 } from '@core/part';

import { pointsAlong } from './dividedEdge';
import type { FacePiece } from './facePiece';
import { flatArea } from './flatArea';
import type { Kernel, Shape } from './kernel';
import type { Scope } from './scope';
import { partsOf } from './topology';

/** Ends of edges nearer than this meet, mm: single precision at the far end of a part. */
const MEET_MM = 1e-4;

/** Whether a face is flat. */
export function isFlat(kernel: Kernel, scope: Scope, face: Shape): boolean {
  const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), false));
  return surface.GetType() === 'GeomAbs_Plane';
}

/**
 * Triangles of a flat face between the points of its edges, which its neighbours have too. Null where these do not close, so that the
 * kernel has to do it.
 * @param linesOf the segments of an edge, six numbers each.
 */
export function flatTriangles(
  kernel: Kernel,
  scope: Scope,
  face: Shape,
  linesOf: (edge: Shape) => Float32Array,
): FacePiece | null {
  const frame = frameOut(kernel, scope, face);
  const loops: Vec3[][] = [];
  for (const wire of partsOf(kernel, scope, face, 'TopAbs_WIRE')) {
    const edges = partsOf(kernel, scope, wire, 'TopAbs_EDGE');
    const points = loopOf(edges.map((edge) => pointsAlong(linesOf(edge))));
    if (!points || points.length < 3) return null;
    loops.push(points);
  }
  const triangles = flatArea(
    loops.map((points) =>
      points.map((point) => {
        const [x, y] = toLocal(frame, point);
        return [x, y] as const;
      }),
    ),
  );
  if (!triangles) return null;
  const { corners, indices } = triangles;
  return {
    positions: Float32Array.from(corners.flatMap(([loop, point]) => loops[loop]![point]!)),
    normals: Float32Array.from({ length: 3 * corners.length }, (_, at) => frame.z[at % 3]!),
    indices: Uint32Array.from(indices),
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
