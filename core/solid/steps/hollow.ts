import { no, ok, type Result, type StepFault } from '@core/fault';
import type { StepOf } from '@core/model';

import type { Box } from '../check';
import { grown } from '../grown';
import { KernelRefusal, type Shape } from '../kernel';
import { boolean } from '../operations';
import { faceOfPick } from '../picks';
import { resolveAll, resolveLength } from '../resolve';
import { scoped, type Scope } from '../scope';
import type { StepInput, StepType } from '../stepKind';
import { carryTags, faceTag, type TaggedSolid } from '../tagged';
import { partsOf } from '../topology';

/** Gap below which the kernel takes faces for one, mm (kernel-notes). */
const TOLERANCE_MM = 1e-3;

/** A body hollowed to a wall of even thickness, open at its top, its bottom or both. Its faces: inside. */
export const hollow: StepType<'hollow'> = {
  kind: 'hollow',
  effect: 'cuts',
  resolve: (step, numbers) => resolveAll({ wall: resolveLength(step.wall, 'wall', numbers) }),
  build(step, { wall }, { kernel, before, box, earlier }) {
    if (!before || !box) return no({ code: 'step.firstMustAdd', verb: 'Hollow' });
    // A wall half as thick as the body leaves nothing inside; the kernel would not say so (kernel-notes).
    const size = [0, 1, 2].map((axis) => box[axis + 3]! - box[axis]!);
    const limitMm = Math.min(size[0]!, size[1]!, step.open === 'both' ? Infinity : 2 * size[2]!) / 2;
    if (wall!.mm >= limitMm) return no({ code: 'hollow.wallTooThick', wall: wall!, limitMm });
    const wanted = step.open;
    if (wanted === 'closed') {
      // Nothing open: what lies further in than the wall is taken out.
      const inner = grown(before, -wall!.mm);
      const rest = boolean('cut', before, inner);
      inner.dispose();
      return ok(rest);
    }
    return scoped((scope) => {
      const open = facesToOpen(scope, before, wanted, box, earlier);
      if (!open.ok) return open;
      const closing = scope.keep(new kernel.NCollection_List_TopoDS_Shape());
      for (const face of open.value) closing.Append(face);
      const maker = scope.keep(new kernel.BRepOffsetAPI_MakeThickSolid());
      maker.MakeThickSolidByJoin(
        before.shape,
        closing,
        -wall!.mm,
        TOLERANCE_MM,
        'BRepOffset_Skin',
        false,
        false,
        'GeomAbs_Intersection',
        false,
        scope.keep(new kernel.Message_ProgressRange()),
      );
      maker.Build(scope.keep(new kernel.Message_ProgressRange()));
      if (!maker.IsDone()) throw new KernelRefusal('hollow failed');
      return ok(carryTags([before], maker.Shape(), maker, faceTag(step.id, 'inside')));
    });
  },
  annotate: () => ({ annotations: [], centreLines: [] }),
};

function facesToOpen(
  scope: Scope,
  before: TaggedSolid,
  open: Exclude<StepOf<'hollow'>['open'], 'closed'>,
  box: Box,
  earlier: StepInput['earlier'],
): Result<Shape[], StepFault> {
  if (typeof open === 'string') {
    const found = openFaces(scope, before, open, [box[2], box[5]]);
    return found.length > 0 ? ok(found) : no({ code: 'hollow.nothingToOpen', open });
  }
  const faces: Shape[] = [];
  for (const pick of open) {
    const face = faceOfPick(scope, before, pick, earlier);
    if (!face.ok) return face;
    faces.push(face.value);
  }
  return ok(faces);
}

/** Level faces at the very top or bottom of a body. */
function openFaces(
  scope: Scope,
  { kernel, shape }: TaggedSolid,
  open: 'top' | 'bottom' | 'both',
  [low, high]: readonly [number, number],
): Shape[] {
  const near = (z: number, wanted: number) => Math.abs(z - wanted) < 1e-6;
  return partsOf(kernel, scope, shape, 'TopAbs_FACE').filter((face) => {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
    if (surface.GetType() !== 'GeomAbs_Plane') return false;
    const plane = scope.keep(surface.Plane());
    const normal = scope.keep(scope.keep(plane.Axis()).Direction());
    if (Math.abs(Math.abs(normal.Z()) - 1) > 1e-9) return false;
    const z = scope.keep(plane.Location()).Z();
    return (open !== 'bottom' && near(z, high)) || (open !== 'top' && near(z, low));
  });
}
