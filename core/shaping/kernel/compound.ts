import type { Origins } from '@core/shaping/part';

import type { Kernel } from './kernel';
import { scoped } from './scope';
import { TaggedSolid } from './tagged';
import { partsOf, ShapeMap } from './topology';

/** Several solids as one shape of several pieces. Takes them over. */
export function compoundOf(kernel: Kernel, solids: readonly TaggedSolid[]): TaggedSolid {
  if (solids.length === 1) return solids[0]!;
  const whole = scoped((scope) => {
    const builder = scope.keep(new kernel.TopoDS_Builder());
    const compound = new kernel.TopoDS_Compound();
    builder.MakeCompound(compound);
    const all = new ShapeMap<Origins>(kernel);
    for (const solid of solids) {
      builder.Add(compound, solid.shape);
      for (const [face, origins] of solid.originMap().entries()) all.set(face, origins);
    }
    const faces = partsOf(kernel, scope, compound, 'TopAbs_FACE').map((face) => ({
      face: scope.release(face),
      origins: all.get(face)!,
    }));
    return new TaggedSolid(kernel, compound, faces);
  });
  for (const solid of solids) solid.dispose();
  return whole;
}
