import type { Kernel } from './kernel';
import { TaggedSolid, type FaceTag } from './tagged';
import { scoped } from './scope';
import { partsOf, ShapeMap } from './topology';

/** Several solids as one shape of several pieces. Takes them over. */
export function compoundOf(kernel: Kernel, solids: readonly TaggedSolid[]): TaggedSolid {
  if (solids.length === 1) return solids[0]!;
  const whole = scoped((scope) => {
    const builder = scope.keep(new kernel.TopoDS_Builder());
    const compound = new kernel.TopoDS_Compound();
    builder.MakeCompound(compound);
    const tags = new ShapeMap<FaceTag>(kernel);
    for (const solid of solids) {
      builder.Add(compound, solid.shape);
      for (const [face, tag] of solid.tagMap().entries()) tags.set(face, tag);
    }
    const faces = partsOf(kernel, scope, compound, 'TopAbs_FACE').map((face) => ({
      face: scope.release(face),
      tag: tags.get(face)!,
    }));
    return new TaggedSolid(kernel, compound, faces);
  });
  for (const solid of solids) solid.dispose();
  return whole;
}
