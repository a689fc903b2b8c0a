import { along } from '@core/foundations/vectors';
import { type Frame, frameFacing } from '@core/shaping/part';

import { boundingBox } from './check';
import type { Kernel, Shape } from './kernel';
import { planeOf } from './planeOf';
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
    const origin = along(along(frame.origin, frame.x, mx), frame.y, my);
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
