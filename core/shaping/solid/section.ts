import {
  framePlane,
  outlineFace,
  meshShape,
  scoped,
  listed,
  partsOf,
  hashOf,
  type TaggedSolid,
} from '@core/shaping/kernel';
import { squareLoop } from '@core/shaping/outline';
import { along, dot } from '@core/foundations/vectors';
import {
  type Box,
  frameFacing,
  type MeshQuality,
  type CutPlane,
  type OpenedSolid,
  CUT_TAG,
  KernelRefusal,
  middleOfBox,
} from '@core/shaping/part';
import { hatch } from '@core/shaping/hatching';

/**
 * Cuts a solid open at a plane.
 *
 * @param hatchStepMm distance between hatch lines.
 * @returns null if the plane leaves nothing.
 */
export function cutOpen(
  solid: TaggedSolid,
  box: Box,
  plane: CutPlane,
  quality: MeshQuality,
  hatchStepMm: number,
): OpenedSolid | null {
  const { kernel } = solid;
  const middle = middleOfBox(box);
  const reach = Math.hypot(...[0, 1, 2].map((axis) => box[axis + 3]! - box[axis]!)) + 2;
  // In the plane, before the middle of the part.
  const frame = frameFacing(
    along(middle, plane.towards, plane.at - dot(middle, plane.towards)),
    plane.towards,
  );
  return scoped((scope) => {
    // The block that is taken away: all that there may be on the viewer's side.
    const square = squareLoop(reach, CUT_TAG);
    const { face } = outlineFace(kernel, scope, square, framePlane(frame));
    const way = scope.keep(new kernel.gp_Vec(...along([0, 0, 0], frame.z, 2 * reach)));
    const block = scope.keep(scope.keep(new kernel.BRepPrimAPI_MakePrism(face, way, false, true)).Shape());
    const cut = scope.keep(new kernel.BRepAlgoAPI_Cut(solid.shape, block));
    if (!cut.IsDone() || cut.HasErrors()) throw new KernelRefusal('the cut failed');
    const shape = scope.keep(cut.Shape());
    if (partsOf(kernel, scope, shape, 'TopAbs_SOLID').length === 0) return null;

    const tags = new Map<number, string>();
    for (const [face, tag] of solid.tagMap().entries()) {
      const modified = listed(scope, cut.Modified(face));
      for (const next of modified) tags.set(hashOf(kernel, next), tag);
      if (modified.length === 0 && !cut.IsDeleted(face)) tags.set(hashOf(kernel, face), tag);
    }
    // Whatever did not come from the solid came from the block: the cut faces.
    const mesh = meshShape(kernel, shape, quality, (hash) => tags.get(hash) ?? CUT_TAG);
    const cutTriangles = mesh.faces.filter((face) => face.tag === CUT_TAG);
    return { mesh, ...hatch(mesh, cutTriangles, frame, hatchStepMm) };
  });
}
