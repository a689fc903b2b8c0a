import { planeOf } from './planeOf';
import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import { partsOf } from './topology';

/** Ways that differ by less than this are the same, as the cosine's distance from 1. */
const SAME_WAY = 1e-9;
/** Pieces that an edge is integrated in which is not straight: one that goes all round, and any other. */
const [PIECES_ROUND, PIECES] = [96, 12];
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
    const kinds = faces.map((face) => kindOf(kernel, scope, face));
    if (kinds.includes('other') || !kinds.includes('smooth')) return null;
    let volume = 0;
    for (const [index, face] of faces.entries()) {
      if (kinds[index] !== 'level') continue;
      const { at, normal } = planeOf(kernel, face)!;
      volume += at[2] * Math.sign(normal[2]) * Math.abs(areaOfLevel(kernel, face));
    }
    return volume;
  });
}

function kindOf(kernel: Kernel, scope: Scope, face: Shape): 'level' | 'upright' | 'smooth' | 'other' {
  const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
  switch (surface.GetType()) {
    case 'GeomAbs_Plane': {
      const up = Math.abs(planeOf(kernel, face)!.normal[2]);
      return 1 - up < SAME_WAY ? 'level' : up < SAME_WAY ? 'upright' : 'other';
    }
    case 'GeomAbs_Cylinder': {
      const axis = scope.keep(scope.keep(scope.keep(surface.Cylinder()).Axis()).Direction());
      return 1 - Math.abs(axis.Z()) < SAME_WAY ? 'upright' : 'other';
    }
    case 'GeomAbs_SurfaceOfExtrusion':
      return 1 - Math.abs(scope.keep(surface.Direction()).Z()) < SAME_WAY ? 'smooth' : 'other';
    default:
      return 'other';
  }
}

/** Area of a level face, mm²: outside and holes run opposite ways round. The sign is that of its outside. */
function areaOfLevel(kernel: Kernel, face: Shape): number {
  return scoped((scope) => {
    let area = 0;
    for (const edge of partsOf(kernel, scope, face, 'TopAbs_EDGE')) {
      const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
      const [first, last] = [curve.FirstParameter(), curve.LastParameter()];
      const pieces = curve.GetType() === 'GeomAbs_Line' ? 1 : curve.IsClosed() ? PIECES_ROUND : PIECES;
      const step = (last - first) / pieces;
      let swept = 0;
      for (let piece = 0; piece < pieces; piece += 1) {
        for (const [at, weight] of RULE) {
          const t = first + step * (piece + (at + 1) / 2);
          const point = scope.keep(curve.Value(t));
          const way = scope.keep(curve.EvalDN(t, 1));
          swept += (weight * step * (point.X() * way.Y() - point.Y() * way.X())) / 4;
        }
      }
      area += edge.Orientation() === 'TopAbs_REVERSED' ? -swept : swept;
    }
    return area;
  });
}
