import {
  coordinatesOf,
  LAYER_QUALITY,
  type MassProperties,
  meshMoments,
  openEdgeCount,
  weld,
} from '@core/part';

import { checkShape } from './check';
import type { Kernel, Shape } from './kernel';
import { meshShape } from './mesh';
import { scoped } from './scope';

/** Where the kernel's own integration comes to the volume, its centre and moment are right too: a share of the volume. */
const AGREE = 5e-5;

/**
 * Volume, centre and moment of a closed solid: the volume to some 1e-8, centre and moment to some 1e-4 where edges are smooth lines. There
 * the kernel is off by 0.3 % and more (kernel-notes), so that they are those of the triangles, made as large as the solid is.
 */
export function massProperties(kernel: Kernel, shape: Shape): MassProperties {
  const { volumeMm3 } = checkShape(kernel, shape);
  return scoped((scope) => {
    const own = scope.keep(new kernel.GProp_GProps());
    kernel.BRepGProp.VolumeProperties(shape, own, false, false, false);
    if (Math.abs(own.Mass() / volumeMm3 - 1) > AGREE) {
      const byTriangles = propertiesByTriangles(kernel, shape, volumeMm3);
      if (byTriangles) return byTriangles;
    }
    const centre = scope.keep(own.CentreOfMass());
    const upright = scope.keep(new kernel.gp_Ax1(centre, scope.keep(new kernel.gp_Dir(0, 0, 1))));
    return { volumeMm3, centre: coordinatesOf(centre), momentMm5: own.MomentOfInertia(upright) };
  });
}

/** Null where the triangles do not close. */
function propertiesByTriangles(kernel: Kernel, shape: Shape, volumeMm3: number): MassProperties | null {
  const welded = weld(meshShape(kernel, shape, LAYER_QUALITY, () => ''));
  if (openEdgeCount(welded) > 0) return null;
  const found = meshMoments(welded);
  // Chords lie within round sides by a share that the section's area has twice and its second moment four times.
  const momentMm5 = found.momentMm5 * (volumeMm3 / found.volumeMm3) ** 2;
  return { volumeMm3, centre: found.centre, momentMm5 };
}
