import type { Vec3 } from '@core/foundations/vectors';
import { coordinatesOf } from '@core/shaping/part';

import type { Kernel, Shape } from './kernel';
import { scoped } from './scope';

/** A plane, looking out of the solid. */
export interface PlaneOut {
  at: Vec3;
  normal: Vec3;
}

/** The plane of a flat face; null for a face that is not flat. */
export function planeOf(kernel: Kernel, face: Shape): PlaneOut | null {
  return scoped((scope) => {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), false));
    if (surface.GetType() !== 'GeomAbs_Plane') return null;
    const plane = scope.keep(surface.Plane());
    const normal = scope.keep(scope.keep(plane.Axis()).Direction());
    const at = scope.keep(plane.Location());
    // The surface's own way may look into the solid: then the face is turned round.
    const handed = scope.keep(plane.Position()).Direct() ? 1 : -1;
    const out = (face.Orientation() === 'TopAbs_REVERSED' ? -1 : 1) * handed;
    return {
      at: coordinatesOf(at),
      normal: [out * normal.X(), out * normal.Y(), out * normal.Z()],
    };
  });
}
