import { KernelRefusal, type FaceTag } from '@core/shaping/part';

import { type Kernel, type Shape } from './kernel';
import { scoped } from './scope';
import { sharesRoundWall } from './sharedWalls';
import { carryTags, tagFresh, type TaggedSolid } from './tagged';
import { partsOf } from './topology';

/** Faces and edges that turn by less than this where they meet are made one, radians: a micrometre on 10 mm. */
const ONE_FACE_RAD = 1e-4;

/** An upright cylinder standing at (x, y, z), mm. `nameFace` gets 'wall', 'bottom' or 'top'. */
export function cylinder(
  kernel: Kernel,
  at: { x: number; y: number; z: number; radius: number; height: number },
  nameFace: (role: 'wall' | 'bottom' | 'top') => FaceTag,
): TaggedSolid {
  return scoped((scope) => {
    const origin = scope.keep(new kernel.gp_Pnt(at.x, at.y, at.z));
    const up = scope.keep(new kernel.gp_Dir(0, 0, 1));
    const axes = scope.keep(new kernel.gp_Ax2(origin, up));
    const maker = scope.keep(new kernel.BRepPrimAPI_MakeCylinder(axes, at.radius, at.height));
    const middle = at.z + at.height / 2;
    return tagFresh(kernel, maker.Shape(), (face) => {
      const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
      if (surface.GetType() !== 'GeomAbs_Plane') return nameFace('wall');
      const place = scope.keep(scope.keep(surface.Plane()).Location());
      return nameFace(place.Z() < middle ? 'bottom' : 'top');
    });
  });
}

/**
 * Cut, fuse or common of two solids, with tags carried.
 *
 * @param merge makes one face of those that lie in one surface. Inputs stay whole, unless such faces are round: then they may no longer be as they were.
 */
export function boolean(
  kind: 'cut' | 'fuse' | 'common',
  body: TaggedSolid,
  tool: TaggedSolid,
  merge = false,
): TaggedSolid {
  const kernel = body.kernel;
  const Maker = {
    cut: kernel.BRepAlgoAPI_Cut,
    fuse: kernel.BRepAlgoAPI_Fuse,
    common: kernel.BRepAlgoAPI_Common,
  }[kind];
  return scoped((scope) => {
    const operation = scope.keep(new Maker(body.shape, tool.shape));
    if (!operation.IsDone() || operation.HasErrors()) throw new KernelRefusal(`${kind} failed`);
    if (merge && !sharesRoundWall(body, [tool])) operation.SimplifyResult(true, true, ONE_FACE_RAD);
    return carryTags([body, tool], unwrapped(kernel, operation.Shape()), operation);
  });
}

/**
 * As boolean, with many tools at once: one pass of the kernel, however many there are. Tools may touch or overlap each
 * other. Inputs stay whole.
 */
export function booleanWithAll(
  kind: 'cut' | 'fuse',
  body: TaggedSolid,
  tools: readonly TaggedSolid[],
  merge = false,
): TaggedSolid {
  const { kernel } = body;
  return scoped((scope) => {
    const operation = scope.keep(
      kind === 'cut' ? new kernel.BRepAlgoAPI_Cut() : new kernel.BRepAlgoAPI_Fuse(),
    );
    const listOf = (solids: readonly TaggedSolid[]) => {
      const list = scope.keep(new kernel.NCollection_List_TopoDS_Shape());
      for (const { shape } of solids) list.Append(shape);
      return list;
    };
    operation.SetArguments(listOf([body]));
    operation.SetTools(listOf(tools));
    operation.Build(scope.keep(new kernel.Message_ProgressRange()));
    if (!operation.IsDone() || operation.HasErrors()) throw new KernelRefusal(`${kind} failed`);
    if (merge && !sharesRoundWall(body, tools)) operation.SimplifyResult(true, true, ONE_FACE_RAD);
    return carryTags([body, ...tools], unwrapped(kernel, operation.Shape()), operation);
  });
}

/** Booleans and rounds hand back a compound even for one solid; the solid alone is what later steps want. */
export function unwrapped(kernel: Kernel, shape: Shape): Shape {
  return scoped((scope) => {
    const solids = partsOf(kernel, scope, shape, 'TopAbs_SOLID');
    if (solids.length !== 1) return shape;
    shape.delete();
    return scope.release(solids[0]!);
  });
}

/**
 * Rounds (radius) or eases (length on both faces) edges, mm. New faces are tagged by `tag`.
 *
 * @param uneven of an ease: its length on the other face; `mm` is along the first face of each edge.
 */
export function dressEdges(
  kind: 'fillet' | 'chamfer',
  body: TaggedSolid,
  edges: readonly Shape[],
  mm: number,
  tag: FaceTag,
  uneven?: { otherMm: number; firstFaceOf: (edge: Shape) => Shape },
): TaggedSolid {
  const kernel = body.kernel;
  return scoped((scope) => {
    const maker =
      kind === 'chamfer'
        ? scope.keep(new kernel.BRepFilletAPI_MakeChamfer(body.shape))
        : scope.keep(new kernel.BRepFilletAPI_MakeFillet(body.shape, 'ChFi3d_Rational'));
    for (const edge of edges) {
      const one = scope.keep(kernel.TopoDS.Edge(edge));
      if (uneven && maker instanceof kernel.BRepFilletAPI_MakeChamfer) {
        const face = scope.keep(kernel.TopoDS.Face(uneven.firstFaceOf(edge)));
        maker.Add(mm, uneven.otherMm, one, face);
      } else {
        maker.Add(mm, one);
      }
    }
    maker.Build(scope.keep(new kernel.Message_ProgressRange()));
    if (!maker.IsDone()) throw new KernelRefusal(`${kind} failed`);
    // Every face without a parent face is one that was dressed on; the kernel lists none by mistake as modified.
    return carryTags([body], unwrapped(kernel, maker.Shape()), maker, tag);
  });
}
