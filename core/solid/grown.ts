import { KernelRefusal } from './kernel';
import { unwrapped } from './operations';
import { scoped } from './scope';
import { tagFresh, type FaceTag, type TaggedSolid } from './tagged';
import { listed, ShapeMap } from './topology';

/** Gap below which the kernel takes faces for one, mm (kernel-notes). */
const TOLERANCE_MM = 1e-4;

/** A solid whose faces have all moved out by a length (in, if negative), its edges kept sharp. The solid stays whole. */
export function grown(solid: TaggedSolid, mm: number): TaggedSolid {
  const { kernel } = solid;
  return scoped((scope) => {
    const maker = scope.keep(new kernel.BRepOffsetAPI_MakeOffsetShape());
    maker.PerformByJoin(
      solid.shape,
      mm,
      TOLERANCE_MM,
      'BRepOffset_Skin',
      false,
      false,
      'GeomAbs_Intersection',
      false,
      scope.keep(new kernel.Message_ProgressRange()),
    );
    if (!maker.IsDone()) throw new KernelRefusal('the faces can’t be moved that far');
    const names = new ShapeMap<FaceTag>(kernel);
    for (const [face, tag] of solid.tagMap().entries()) {
      for (const next of [...listed(scope, maker.Generated(face)), ...listed(scope, maker.Modified(face))]) {
        names.set(next, tag);
      }
    }
    return tagFresh(
      kernel,
      unwrapped(kernel, maker.Shape()),
      (face) => names.get(face) ?? solid.tagList()[0]!,
    );
  });
}
