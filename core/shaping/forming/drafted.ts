import type { Vec3 } from '@core/foundations/vectors';
import { KernelRefusal, type FaceTag, type Origins } from '@core/shaping/part';
import { scoped, type TaggedSolid, tagFresh, listed, partsOf, ShapeMap } from '@core/shaping/kernel';

/**
 * A solid with some of its faces leaned in, held where they meet a level plane. Kinds of faces that can't lean (level
 * ones, splines) are left out; null if none is left. The solid stays whole.
 *
 * @param angle radians; the solid narrows along `direction`, or widens if it is negative.
 */
export function drafted(
  solid: TaggedSolid,
  leans: (tag: FaceTag) => boolean,
  { direction, angle, heldAt }: { direction: Vec3; angle: number; heldAt: Vec3 },
): TaggedSolid | null {
  const { kernel } = solid;
  return scoped((scope) => {
    const maker = scope.keep(new kernel.BRepOffsetAPI_DraftAngle(solid.shape));
    const pull = scope.keep(new kernel.gp_Dir(...direction));
    const plane = scope.keep(new kernel.gp_Pln(scope.keep(new kernel.gp_Pnt(...heldAt)), pull));
    let leaning = 0;
    for (const [face, tag] of solid.tagMap().entries()) {
      if (!leans(tag) || !canLean(solid, face, direction)) continue;
      maker.Add(scope.keep(kernel.TopoDS.Face(face)), pull, angle, plane, true);
      if (!maker.AddDone()) throw new KernelRefusal('a side can’t lean');
      leaning += 1;
    }
    if (leaning === 0) return null;
    maker.Build(scope.keep(new kernel.Message_ProgressRange()));
    if (!maker.IsDone()) throw new KernelRefusal('the sides can’t lean');
    // Leaned faces are listed as generated, their neighbours as modified (kernel-notes).
    const names = new ShapeMap<Origins>(kernel);
    for (const [face, origins] of solid.originMap().entries()) {
      const next = [...listed(scope, maker.Modified(face)), ...listed(scope, maker.Generated(face))];
      for (const made of next) names.set(made, origins);
      if (next.length === 0) names.set(face, origins);
    }
    const shape = maker.Shape();
    const inside = partsOf(kernel, scope, shape, 'TopAbs_SOLID');
    const whole = inside.length === 1 ? scope.release(inside[0]!) : shape;
    if (whole !== shape) shape.delete();
    return tagFresh(kernel, whole, (face) => {
      const tag = names.get(face);
      if (tag === undefined) throw new KernelRefusal('a leaned side has no origin');
      return tag;
    });
  });
}

/** Upright planes and cylinders, and what stands upright as well as they do. */
function canLean({ kernel }: TaggedSolid, face: TaggedSolid['shape'], direction: Vec3): boolean {
  return scoped((scope) => {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
    const kind = surface.GetType();
    if (kind === 'GeomAbs_Plane') {
      const normal = scope.keep(scope.keep(scope.keep(surface.Plane()).Axis()).Direction());
      return (
        Math.abs(normal.X() * direction[0] + normal.Y() * direction[1] + normal.Z() * direction[2]) < 0.99
      );
    }
    if (kind === 'GeomAbs_Cylinder') {
      const axis = scope.keep(scope.keep(scope.keep(surface.Cylinder()).Axis()).Direction());
      return Math.abs(axis.X() * direction[0] + axis.Y() * direction[1] + axis.Z() * direction[2]) > 0.999999;
    }
    return false;
  });
}
