import { isParallel, isSquare } from '@core/foundations/tolerance';

import type { Kernel, Shape } from './kernel';
import { planeOf } from './planeOf';
import type { Scope } from './scope';

/** How a face stands: level; upright, flat or round; upright and smooth; or any other way. */
export type FaceSlope = 'level' | 'upright' | 'smooth' | 'other';

export function faceSlopeOf(kernel: Kernel, scope: Scope, face: Shape): FaceSlope {
  const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
  switch (surface.GetType()) {
    case 'GeomAbs_Plane': {
      const [, , up] = planeOf(kernel, face)!.normal;
      if (isParallel(up)) return 'level';
      return isSquare(up) ? 'upright' : 'other';
    }
    case 'GeomAbs_Cylinder':
      return isParallel(scope.keep(scope.keep(scope.keep(surface.Cylinder()).Axis()).Direction()).Z())
        ? 'upright'
        : 'other';
    case 'GeomAbs_SurfaceOfExtrusion':
      return isParallel(scope.keep(surface.Direction()).Z()) ? 'smooth' : 'other';
    default:
      return 'other';
  }
}
