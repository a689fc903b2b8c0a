import { coordinatesOf, type MassProperties } from '@core/part';

import type { Kernel, Shape } from './kernel';
import { scoped } from './scope';
import { volumeProperties } from './volume';

/**
 * Volume, centre and moment of a closed solid, integrated over its faces: to some 1e-6, and the moment to some 1e-4 where
 * edges are smooth lines.
 */
export function massProperties(kernel: Kernel, shape: Shape): MassProperties {
  return scoped((scope) => {
    const properties = volumeProperties(kernel, scope, shape);
    const centre = scope.keep(properties.CentreOfMass());
    const upright = scope.keep(new kernel.gp_Ax1(centre, scope.keep(new kernel.gp_Dir(0, 0, 1))));
    return {
      volumeMm3: properties.Mass(),
      centre: coordinatesOf(centre),
      momentMm5: properties.MomentOfInertia(upright),
    };
  });
}
