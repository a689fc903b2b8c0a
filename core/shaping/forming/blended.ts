import { KernelRefusal, type FaceTag } from '@core/shaping/part';
import {
  type Kernel,
  outlineFace,
  type Plane,
  scoped,
  tagFresh,
  type TaggedSolid,
  ShapeMap,
} from '@core/shaping/kernel';
import type { Loop } from '@core/shaping/outline';
import { SAME_MM } from '@core/foundations/tolerance';

/**
 * A solid from outline to outline. The kernel evens out their numbers of corners (kernel-notes: leaving that out gives
 * invalid solids). `nameFace` gets the roles of the first outline, 'bottom', 'top', and 'side' for what has no parent.
 */
export function blended(
  kernel: Kernel,
  sections: readonly { loop: Loop; plane: Plane }[],
  smooth: boolean,
  nameFace: (role: string) => FaceTag,
): TaggedSolid {
  return scoped((scope) => {
    const maker = scope.keep(new kernel.BRepOffsetAPI_ThruSections(true, !smooth, SAME_MM));
    maker.CheckCompatibility(true);
    const outlined = sections.map(({ loop, plane }) => outlineFace(kernel, scope, loop, plane));
    for (const { wire } of outlined) maker.AddWire(wire);
    maker.Build(scope.keep(new kernel.Message_ProgressRange()));
    if (!maker.IsDone()) throw new KernelRefusal('the blend failed');
    const names = new ShapeMap<FaceTag>(kernel);
    for (const { roles } of outlined) {
      for (const [edge, role] of roles.entries()) {
        const made = scope.keep(maker.GeneratedFace(edge));
        if (!made.IsNull()) names.set(made, nameFace(role));
      }
    }
    names.set(scope.keep(maker.FirstShape()), nameFace('bottom'));
    names.set(scope.keep(maker.LastShape()), nameFace('top'));
    return tagFresh(kernel, maker.Shape(), (face) => names.get(face) ?? nameFace('side'));
  });
}
