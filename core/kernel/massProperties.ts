import {
  coordinatesOf,
  LAYER_QUALITY,
  type MassProperties,
  meshMoments,
  openEdgeCount,
  weld,
} from '@core/part';

import { checkSolid } from './check';
import type { Kernel, Shape } from './kernel';
import { meshShape } from './mesh';
import { scoped } from './scope';
import { integrated, isBoundFreely } from './volume';

/**
 * Volume, centre and moment of a closed solid: the volume to some 1e-6, centre and moment to some 1e-4 where edges are smooth lines. There
 * the kernel is off by 0.3 % and more (kernel-notes), so that they are those of the triangles, made as large as the solid is.
 */
export function massProperties(kernel: Kernel, shape: Shape): MassProperties {
  const { volumeMm3 } = checkSolid(kernel, shape);
  if (isBoundFreely(kernel, shape)) {
    const welded = weld(meshShape(kernel, shape, LAYER_QUALITY, () => ''));
    if (openEdgeCount(welded) === 0) {
      const found = meshMoments(welded);
      // Chords lie within round sides by a share that the section's area has twice and its second moment four times.
      return {
        volumeMm3,
        centre: found.centre,
        momentMm5: found.momentMm5 * (volumeMm3 / found.volumeMm3) ** 2,
      };
    }
  }
  return scoped((scope) => {
    const properties = integrated(kernel, scope, shape);
    const centre = scope.keep(properties.CentreOfMass());
    const upright = scope.keep(new kernel.gp_Ax1(centre, scope.keep(new kernel.gp_Dir(0, 0, 1))));
    return { volumeMm3, centre: coordinatesOf(centre), momentMm5: properties.MomentOfInertia(upright) };
  });
}
