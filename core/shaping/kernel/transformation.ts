import type { Frame } from '@core/shaping/part';

import type { Kernel } from './kernel';
import type { Scope } from './scope';

/** The kernel's transformation that brings what stands in a frame's axes to its place in space. */
export function transformationOf(kernel: Kernel, scope: Scope, frame: Frame) {
  const axes = scope.keep(
    new kernel.gp_Ax3(
      scope.keep(new kernel.gp_Pnt(...frame.origin)),
      scope.keep(new kernel.gp_Dir(...frame.z)),
      scope.keep(new kernel.gp_Dir(...frame.x)),
    ),
  );
  const world = scope.keep(
    new kernel.gp_Ax3(
      scope.keep(new kernel.gp_Pnt(0, 0, 0)),
      scope.keep(new kernel.gp_Dir(0, 0, 1)),
      scope.keep(new kernel.gp_Dir(1, 0, 0)),
    ),
  );
  const transformation = scope.keep(new kernel.gp_Trsf());
  transformation.SetDisplacement(world, axes);
  return transformation;
}
