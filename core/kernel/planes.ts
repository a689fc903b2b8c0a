import { type Vec3, coordinatesOf, type Frame, frameFacing } from '@core/part';

import { boundingBox } from './check';
import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';

/** Shortest distance between two shapes, mm; 0 where they touch or overlap. */
export function distanceBetween(kernel: Kernel, one: Shape, other: Shape): number {
  return scoped((scope) => {
    const measured = scope.keep(new kernel.BRepExtrema_DistShapeShape());
    measured.LoadS1(one);
    measured.LoadS2(other);
    measured.Perform(scope.keep(new kernel.Message_ProgressRange()));
    return measured.Value();
  });
}

/** The plane of a flat face, looking out of the solid; null for a face that is not flat. */
export function planeOf(kernel: Kernel, face: Shape): { at: Vec3; normal: Vec3 } | null {
  return scoped((scope) => {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
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

/** A frame in the middle of a flat face, looking out; null for a face that is not flat. */
export function frameOnFace(kernel: Kernel, face: Shape): { frame: Frame; half: [number, number] } | null {
  const plane = planeOf(kernel, face);
  if (!plane) return null;
  const frame = frameFacing(plane.at, plane.normal);
  return scoped((scope) => {
    const back = scope.keep(transformationBack(kernel, scope, frame));
    const moved = scope.keep(face.Moved(scope.keep(new kernel.TopLoc_Location(back)), true));
    const [x0, y0, , x1, y1] = boundingBox(kernel, moved);
    const [mx, my] = [(x0 + x1) / 2, (y0 + y1) / 2];
    const origin = [0, 1, 2].map(
      (axis) => frame.origin[axis]! + mx * frame.x[axis]! + my * frame.y[axis]!,
    ) as unknown as Vec3;
    return { frame: { ...frame, origin }, half: [(x1 - x0) / 2, (y1 - y0) / 2] };
  });
}

function transformationBack(kernel: Kernel, scope: Scope, { origin, z, x }: Frame) {
  const axes = scope.keep(
    new kernel.gp_Ax3(
      scope.keep(new kernel.gp_Pnt(...origin)),
      scope.keep(new kernel.gp_Dir(...z)),
      scope.keep(new kernel.gp_Dir(...x)),
    ),
  );
  const transformation = new kernel.gp_Trsf();
  transformation.SetTransformation(axes);
  return transformation;
}
