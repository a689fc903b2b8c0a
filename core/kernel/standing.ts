import type { Kernel, Shape } from './kernel';
import { planeOf } from './planeOf';
import type { Scope } from './scope';

/** Ways that differ by less than this are the same, as the cosine's distance from 1. */
const SAME_WAY = 1e-9;

/** How a face stands: level; upright, flat or round; upright and smooth; or any other way. */
export type Standing = 'level' | 'upright' | 'smooth' | 'other';

export function standingOf(kernel: Kernel, scope: Scope, face: Shape): Standing {
  const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
  const isUp = (z: number) => 1 - Math.abs(z) < SAME_WAY;
  switch (surface.GetType()) {
    case 'GeomAbs_Plane': {
      const [, , up] = planeOf(kernel, face)!.normal;
      if (isUp(up)) return 'level';
      return Math.abs(up) < SAME_WAY ? 'upright' : 'other';
    }
    case 'GeomAbs_Cylinder':
      return isUp(scope.keep(scope.keep(scope.keep(surface.Cylinder()).Axis()).Direction()).Z())
        ? 'upright'
        : 'other';
    case 'GeomAbs_SurfaceOfExtrusion':
      return isUp(scope.keep(surface.Direction()).Z()) ? 'smooth' : 'other';
    default:
      return 'other';
  }
}
