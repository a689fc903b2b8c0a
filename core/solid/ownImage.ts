import type { StepOf } from '@core/model';

import { coordinatesOf } from './frame';
import type { Kernel, Shape } from './kernel';
import { scoped } from './scope';
import type { TaggedSolid } from './tagged';
import { partsOf } from './topology';

/** Areas that differ by less than this share, and middles by less than so much, mm, are alike. */
const [SHARE, APART_MM] = [1e-6, 1e-5];

interface Patch {
  area: number;
  middle: readonly [number, number, number];
}

/**
 * Whether a solid is its own mirror image across a plane through the origin: every face has one of the same area whose middle is
 * its image. Cheap, where joining the two would cut every face with every other.
 */
export function isOwnImage(solid: TaggedSolid, across: StepOf<'mirror'>['across']): boolean {
  const axis = { sides: 0, frontBack: 1, upDown: 2 }[across];
  const patches = scoped((scope) =>
    partsOf(solid.kernel, scope, solid.shape, 'TopAbs_FACE').map((face) => patchOf(solid.kernel, face)),
  );
  const left = [...patches];
  return patches.every(({ area, middle }) => {
    const image = middle.map((mm, at) => (at === axis ? -mm : mm));
    const found = left.findIndex(
      (other) =>
        Math.abs(other.area - area) <= SHARE * area &&
        Math.hypot(...other.middle.map((mm, at) => mm - image[at]!)) < APART_MM,
    );
    if (found < 0) return false;
    left.splice(found, 1);
    return true;
  });
}

function patchOf(kernel: Kernel, face: Shape): Patch {
  return scoped((scope) => {
    const properties = scope.keep(new kernel.GProp_GProps());
    kernel.BRepGProp.SurfaceProperties(face, properties, false, false);
    return { area: properties.Mass(), middle: coordinatesOf(scope.keep(properties.CentreOfMass())) };
  });
}
