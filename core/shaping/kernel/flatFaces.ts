import type { Vec3 } from '@core/foundations/vectors';
import { frameFacing, toLocal } from '@core/shaping/part';

import { pointsAlong } from './dividedEdge';
import type { FacePiece } from './facePiece';
import { flatArea } from './flatArea';
import type { Kernel, Shape } from './kernel';
import type { PlaneOut } from './planeOf';
import type { Scope } from './scope';
import { partsOf } from './topology';

/** Ends of edges nearer than this meet, mm: single precision at the far end of a part. */
const MEET_MM = 1e-4;

/**
 * Triangles of a flat face between the points of its edges, which its neighbours have too. Null where these do not close, so that the
 * kernel has to do it.
 * @param linesOf the segments of an edge, six numbers each.
 */
export function flatTriangles(
  kernel: Kernel,
  scope: Scope,
  face: Shape,
  { at, normal }: PlaneOut,
  linesOf: (edge: Shape) => Float32Array,
): FacePiece | null {
  const frame = frameFacing(at, normal);
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
    normals: Float32Array.from({ length: 3 * corners.length }, (_, index) => normal[index % 3]!),
    indices: Uint32Array.from(indices),
  };
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
