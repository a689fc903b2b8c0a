import {
  coordinatesOf,
  LAYER_QUALITY,
  type MassProperties,
  meshMoments,
  openEdgeCount,
  weld,
} from '@core/shaping/part';

import { checkShape } from './check';
import type { Kernel, Shape } from './kernel';
import { meshShape } from './mesh';
import { scoped, type Scope } from './scope';
import { partsOf } from './topology';

/** Where the kernel's own integration comes to the volume, its centre and moment are right too: a share of the volume. */
const AGREE = 5e-5;

/** Of triangles the moment is right to some 1e-4. */
const MOMENTS_AGREE = 1e-3;

/**
 * Volume, centre and moment of a closed solid: the volume to some 1e-8, centre and moment to some 1e-4 where edges are smooth lines. There
 * the kernel is off by 0.3 % and more (kernel-notes), so that they are those of the triangles, made as large as the solid is.
 */
export function massProperties(kernel: Kernel, shape: Shape): MassProperties {
  const { volumeMm3 } = checkShape(kernel, shape);
  return scoped((scope) => {
    const own = scope.keep(new kernel.GProp_GProps());
    kernel.BRepGProp.VolumeProperties(shape, own, false, false, false);
    const centre = scope.keep(own.CentreOfMass());
    const upright = scope.keep(new kernel.gp_Ax1(centre, scope.keep(new kernel.gp_Dir(0, 0, 1))));
    const momentMm5 = own.MomentOfInertia(upright);
    const isOff = Math.abs(own.Mass() / volumeMm3 - 1) > AGREE;
    if (isOff || hasFreeFaces(kernel, scope, shape)) {
      const byTriangles = propertiesByTriangles(kernel, shape, volumeMm3);
      // Over long windings its volume may be right and its moment not.
      if (byTriangles && (isOff || Math.abs(momentMm5 / byTriangles.momentMm5 - 1) > MOMENTS_AGREE))
        return byTriangles;
    }
    return { volumeMm3, centre: coordinatesOf(centre), momentMm5 };
  });
}

/** Whether it has faces that are neither flat, round nor made of one line that is moved. */
const hasFreeFaces = (kernel: Kernel, scope: Scope, shape: Shape): boolean =>
  partsOf(kernel, scope, shape, 'TopAbs_FACE').some((face) => {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
    return surface.GetType() === 'GeomAbs_BSplineSurface';
  });

/** Null where the triangles do not close. */
function propertiesByTriangles(kernel: Kernel, shape: Shape, volumeMm3: number): MassProperties | null {
  const welded = weld(meshShape(kernel, shape, LAYER_QUALITY, () => ''));
  if (openEdgeCount(welded) > 0) return null;
  const found = meshMoments(welded);
  // Chords lie within round sides by a share that the section's area has twice and its second moment four times.
  const momentMm5 = found.momentMm5 * (volumeMm3 / found.volumeMm3) ** 2;
  return { volumeMm3, centre: found.centre, momentMm5 };
}
