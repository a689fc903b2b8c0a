import { no, ok, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';
import {
  checkSolid,
  guarded,
  type Kernel,
  type Shape,
  booleanWithAll,
  planeOf,
  scoped,
  type Scope,
  carryTags,
  tagFresh,
  type TaggedSolid,
  partsOf,
  raisedLoop,
} from '@core/shaping/kernel';
import type { SettledStepOf } from '@core/record/model';
import { along, dot, minus } from '@core/foundations/vectors';
import { type Box, OVERRUN_MM, faceTag, type FaceTag, KernelRefusal } from '@core/shaping/part';
import {
  grown,
  hasBentFace,
  keepsAny,
  offsetWays,
  vanishingRounds,
  type OffsetWay,
  faceOfPick,
  type StepInput,
  type StepSolid,
  offsetRegion,
  smoothPrism,
} from '@core/shaping/forming';
import { isParallel, isSameLength, isSameWay } from '@core/foundations/tolerance';

/** Gap below which the kernel takes faces for one, mm (kernel-notes). */
const TOLERANCE_MM = 1e-3;
/** A volume that differs by less than this share is the same. */
const NO_CHANGE = 1e-9;

/** A body hollowed to a wall of even thickness, open at its top, its bottom or both. Its faces: inside. */
export const solid: StepSolid<'shell'> = {
  bound: 'cuts',
  build(step, { wall }, { kernel, before, box, earlier }) {
    if (!before || !box) return no({ code: 'step.firstMustAdd', verb: 'Hollow' });
    // A wall half as thick as the body leaves nothing inside; the kernel would not say so (kernel-notes).
    const size = [0, 1, 2].map((axis) => box[axis + 3]! - box[axis]!);
    const limitMm = Math.min(size[0]!, size[1]!, step.open === 'both' ? Infinity : 2 * size[2]!) / 2;
    if (wall.mm >= limitMm) return no({ code: 'shell.wallTooThick', wall, limitMm });
    const wanted = step.open;
    const tag = faceTag(step.id, 'inside');
    if (typeof wanted === 'string') {
      const quick = hollowedPrism(before, wanted, wall, tag);
      if (quick) return ok(quick);
    }
    if (wanted === 'closed') return ok(hollowedByCut(before, [], wall.mm, tag));
    return scoped((scope) => {
      const open = facesToOpen(scope, before, wanted, box, earlier);
      if (!open.ok) return open;
      const ways = offsetWays(kernel, before.shape, -wall.mm, false);
      // Between outlines few ways lead to a wall, and each takes long: the cut comes after the first of them.
      const first = hasBentFace(kernel, scope, before.shape) ? 1 : ways.length;
      const byWay = (way: OffsetWay) => thickened(before, open.value, wall.mm, way, tag);
      const quick = firstOf(ways.slice(0, first), byWay);
      if (quick) return ok(quick);
      try {
        return ok(hollowedByCut(before, open.value, wall.mm, tag));
      } catch (error) {
        const slow = error instanceof KernelRefusal && firstOf(ways.slice(first), byWay);
        if (slow) return ok(slow);
        throw error;
      }
    });
  },
};

/** What the first way gives that gives anything. */
function firstOf<Way, Made>(ways: readonly Way[], make: (way: Way) => Made | null): Made | null {
  for (const way of ways) {
    const made = make(way);
    if (made) return made;
  }
  return null;
}

/**
 * A straight prism with smooth sides, its outline moved in and cut down to the floor, or through. Null for any other part, and
 * where nothing is left of the outline.
 */
function hollowedPrism(
  before: TaggedSolid,
  open: Extract<SettledStepOf<'shell'>['open'], string>,
  wall: NamedLength,
  tag: FaceTag,
): TaggedSolid | null {
  const { kernel } = before;
  const prism = smoothPrism(before);
  const inner = prism && offsetRegion(kernel, prism.region, { ...wall, mm: -wall.mm });
  if (!prism || !inner?.ok) return null;
  const isOpen = (end: 'top' | 'bottom') => open === 'both' || open === end;
  const low = isOpen('bottom') ? prism.low - OVERRUN_MM : prism.low + wall.mm;
  const high = isOpen('top') ? prism.high + OVERRUN_MM : prism.high - wall.mm;
  const room = raisedLoop(kernel, inner.value, { z: low, height: high - low }, () => tag);
  const rest = booleanWithAll('cut', before, [room]);
  room.dispose();
  return rest;
}

/** The wall made in one go by the kernel; null where what it gives is not sound, or no less than before. */
function thickened(
  before: TaggedSolid,
  open: readonly Shape[],
  wallMm: number,
  { complete, join, more }: OffsetWay,
  tag: FaceTag,
): TaggedSolid | null {
  const { kernel } = before;
  const make = () =>
    scoped((scope) => {
      const closing = scope.keep(new kernel.NCollection_List_TopoDS_Shape());
      for (const face of open) closing.Append(face);
      const maker = scope.keep(new kernel.BRepOffsetAPI_MakeThickSolid());
      maker.MakeThickSolidByJoin(
        before.shape,
        closing,
        -(wallMm + more),
        TOLERANCE_MM,
        'BRepOffset_Skin',
        complete,
        false,
        join,
        complete,
        scope.keep(new kernel.Message_ProgressRange()),
      );
      maker.Build(scope.keep(new kernel.Message_ProgressRange()));
      if (!maker.IsDone()) return null;
      const made = maker.Shape();
      if (keepsAny(kernel, scope, made, maker, vanishingRounds(kernel, scope, before.shape, -wallMm))) {
        made.delete();
        return null;
      }
      return carryTags([before], made, maker, tag);
    });
  try {
    const made = guarded(kernel, make);
    if (!made) return null;
    const [old, now] = [checkSolid(before), checkSolid(made)];
    if (now.valid && now.closed && now.volumeMm3 > 0 && now.volumeMm3 < old.volumeMm3 * (1 - NO_CHANGE))
      return made;
    made.dispose();
    return null;
  } catch (error) {
    if (error instanceof KernelRefusal) return null;
    throw error;
  }
}

/**
 * What lies further in than the wall taken out, and over it a way straight out through each open face. So the wall of
 * what is rounded all over ends at an open face, where the kernel gives up.
 *
 * @throws KernelRefusal where there is no inside, or an open face is not flat.
 */
function hollowedByCut(
  before: TaggedSolid,
  open: readonly Shape[],
  wallMm: number,
  tag: FaceTag,
): TaggedSolid {
  const { kernel } = before;
  const inner = grown(before, -wallMm, false).retagged(() => tag);
  const ways = open.map((face) => wayOut(kernel, inner, face, wallMm, tag));
  const rest = booleanWithAll('cut', before, [inner, ...ways]);
  for (const tool of [inner, ...ways]) tool.dispose();
  return rest;
}

/** From the inner face that lies behind an open one, out through it. */
function wayOut(kernel: Kernel, inner: TaggedSolid, open: Shape, wallMm: number, tag: FaceTag): TaggedSolid {
  return scoped((scope) => {
    const plane = planeOf(kernel, open);
    if (!plane) throw new KernelRefusal('only a flat face can be opened here');
    const behind = partsOf(kernel, scope, inner.shape, 'TopAbs_FACE').find((face) => {
      const found = planeOf(kernel, face);
      if (!found || !isSameWay(dot(found.normal, plane.normal))) return false;
      return Math.abs(dot(minus(plane.at, found.at), plane.normal) - wallMm) < TOLERANCE_MM;
    });
    if (!behind) throw new KernelRefusal('nothing inside lies behind the open face');
    // Begun a little within the inside, so that no skin is left between.
    const [from, far] = [-OVERRUN_MM / 2, wallMm + OVERRUN_MM];
    const start = scope.keep(new kernel.gp_Trsf());
    start.SetTranslation(scope.keep(new kernel.gp_Vec(...along([0, 0, 0], plane.normal, from))));
    const face = scope.keep(behind.Moved(scope.keep(new kernel.TopLoc_Location(start)), true));
    const way = scope.keep(new kernel.gp_Vec(...along([0, 0, 0], plane.normal, far - from)));
    return tagFresh(
      kernel,
      scope.keep(new kernel.BRepPrimAPI_MakePrism(face, way, true, true)).Shape(),
      () => tag,
    );
  });
}

function facesToOpen(
  scope: Scope,
  before: TaggedSolid,
  open: Exclude<SettledStepOf<'shell'>['open'], 'closed'>,
  box: Box,
  earlier: StepInput['earlier'],
): Result<Shape[], StepFault> {
  if (typeof open === 'string') {
    const found = openFaces(scope, before, open, [box[2], box[5]]);
    return found.length > 0 ? ok(found) : no({ code: 'shell.nothingToOpen', open });
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
  return partsOf(kernel, scope, shape, 'TopAbs_FACE').filter((face) => {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
    if (surface.GetType() !== 'GeomAbs_Plane') return false;
    const plane = scope.keep(surface.Plane());
    const normal = scope.keep(scope.keep(plane.Axis()).Direction());
    if (!isParallel(normal.Z())) return false;
    const z = scope.keep(plane.Location()).Z();
    return (open !== 'bottom' && isSameLength(z, high)) || (open !== 'top' && isSameLength(z, low));
  });
}
