import { ok, type Result } from '@core/foundations/fault';
import { type Kernel, type Shape, planeOf, scoped, tagFresh, type TaggedSolid } from '@core/shaping/kernel';
import type { FaceTag } from '@core/shaping/part';

import { roundPlate, type PlateFault } from './roundPlate';

/**
 * The space between a face and itself moved out by a length (in, if negative), mm: of a flat one a prism, of a round one
 * what lies between it and one about the same axis. All of its faces carry `tag`.
 */
export function facePlate(
  kernel: Kernel,
  face: Shape,
  tag: FaceTag,
  mm: number,
): Result<TaggedSolid, PlateFault> {
  const plane = planeOf(kernel, face);
  if (!plane) return roundPlate(kernel, face, tag, mm);
  return scoped((scope) => {
    const [x, y, z] = plane.normal;
    const way = scope.keep(new kernel.gp_Vec(x * mm, y * mm, z * mm));
    const prism = scope.keep(new kernel.BRepPrimAPI_MakePrism(face, way, true, true));
    return ok(tagFresh(kernel, prism.Shape(), () => tag));
  });
}
