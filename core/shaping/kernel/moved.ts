import type { Vec3 } from '@core/foundations/vectors';
import {
  isWorld,
  type Frame,
  type Placement,
  renamed,
  type FaceTag,
  KernelRefusal,
} from '@core/shaping/part';

import { boundingBox } from './check';
import { type Kernel } from './kernel';
import { scoped, type Scope } from './scope';
import { carryTags, TaggedSolid } from './tagged';
import { partsOf } from './topology';
import { transformationOf } from './transformation';

type Transformation = InstanceType<Kernel['gp_Trsf']>;

/** A copy of a solid elsewhere. `retag` names its faces by those they are copies of. The solid stays whole. */
function transformed(
  solid: TaggedSolid,
  set: (scope: Scope, transformation: Transformation) => void,
  retag: (tag: FaceTag) => FaceTag,
): TaggedSolid {
  const { kernel } = solid;
  return scoped((scope) => {
    const transformation = scope.keep(new kernel.gp_Trsf());
    set(scope, transformation);
    const operation = scope.keep(
      new kernel.BRepBuilderAPI_Transform(solid.shape, transformation, true, false),
    );
    if (!operation.IsDone()) throw new KernelRefusal('the copy failed');
    return carryTags([solid], operation.Shape(), operation).retagged(retag);
  });
}

/**
 * The same solid at several places: turned about the upright axis through the origin, radians, and then moved, mm. The
 * kernel shares what is behind them, so that a copy costs next to nothing; faces are explored in the same order.
 */
export function copiesAt(
  solid: TaggedSolid,
  places: readonly { turn: number; by: Vec3 }[],
  retag: (tag: FaceTag, place: number) => FaceTag,
): TaggedSolid[] {
  const { kernel } = solid;
  return scoped((scope) => {
    const all = solid.originMap();
    const own = partsOf(kernel, scope, solid.shape, 'TopAbs_FACE').map((face) => all.get(face)!);
    const up = scope.keep(
      new kernel.gp_Ax1(scope.keep(new kernel.gp_Pnt(0, 0, 0)), scope.keep(new kernel.gp_Dir(0, 0, 1))),
    );
    return places.map(({ turn, by }, place) => {
      const transformation = scope.keep(new kernel.gp_Trsf());
      if (turn !== 0) transformation.SetRotation(up, turn);
      const move = scope.keep(new kernel.gp_Trsf());
      move.SetTranslation(scope.keep(new kernel.gp_Vec(...by)));
      transformation.PreMultiply(move);
      const shape = solid.shape.Moved(scope.keep(new kernel.TopLoc_Location(transformation)), false);
      const faces = partsOf(kernel, scope, shape, 'TopAbs_FACE').map((face, index) => ({
        face: scope.release(face),
        origins: renamed(own[index]!, (tag) => retag(tag, place)),
      }));
      return new TaggedSolid(kernel, shape, faces);
    });
  });
}

/** Scaled about the origin, turned about an axis through it, radians, and then moved, mm. */
export function placedAnew(
  solid: TaggedSolid,
  { scale, axis, turn, by }: { scale: number; axis: 'x' | 'y' | 'z'; turn: number; by: Vec3 },
  retag: (tag: FaceTag) => FaceTag = (tag) => tag,
): TaggedSolid {
  return transformed(
    solid,
    (scope, transformation) => {
      const { kernel } = solid;
      const origin = scope.keep(new kernel.gp_Pnt(0, 0, 0));
      if (scale !== 1) transformation.SetScale(origin, scale);
      if (turn !== 0) {
        const way = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] } as const;
        const rotation = scope.keep(new kernel.gp_Trsf());
        const direction = scope.keep(new kernel.gp_Dir(way[axis][0], way[axis][1], way[axis][2]));
        rotation.SetRotation(scope.keep(new kernel.gp_Ax1(origin, direction)), turn);
        transformation.PreMultiply(rotation);
      }
      const move = scope.keep(new kernel.gp_Trsf());
      move.SetTranslation(scope.keep(new kernel.gp_Vec(...by)));
      transformation.PreMultiply(move);
    },
    retag,
  );
}

/** Mirrored across a plane through the origin: left to right, front to back, or top to bottom at the ground. */
export function mirrored(solid: TaggedSolid, across: 'sides' | 'frontBack' | 'upDown'): TaggedSolid {
  return transformed(
    solid,
    (scope, transformation) => {
      const { kernel } = solid;
      const origin = scope.keep(new kernel.gp_Pnt(0, 0, 0));
      const ways = { sides: [1, 0, 0], frontBack: [0, 1, 0], upDown: [0, 0, 1] } as const;
      const [x, y, z] = ways[across];
      const normal = scope.keep(new kernel.gp_Dir(x, y, z));
      transformation.SetMirror(scope.keep(new kernel.gp_Ax2(origin, normal)));
    },
    (tag) => tag,
  );
}

/** A copy of a solid of the part, turned along a frame's axes. */
export const broughtInto = (frame: Frame, solid: TaggedSolid): TaggedSolid =>
  transformed(
    solid,
    (scope, transformation) => {
      transformation.PreMultiply(scope.keep(transformationOf(solid.kernel, scope, frame).Inverted()));
    },
    (tag) => tag,
  );

/**
 * Brings a solid from a stand's axes to its place in space; one that is held by its own edge is moved there first.
 * Takes over `made`.
 */
export function broughtTo(stand: Placement, made: TaggedSolid): TaggedSolid {
  const { frame, flush, at } = stand;
  if (isWorld(frame) && flush[0] === 0 && flush[1] === 0) return made;
  const box = boundingBox(made.kernel, made.shape);
  const by = [0, 1].map((axis) => {
    if (flush[axis] === 0) return 0;
    return at[axis]! - (flush[axis]! < 0 ? box[axis]! : box[axis + 3]!);
  }) as [number, number];
  const brought = transformed(
    made,
    (scope, transformation) => {
      const { kernel } = made;
      transformation.SetTranslation(scope.keep(new kernel.gp_Vec(by[0], by[1], 0)));
      if (!isWorld(frame)) transformation.PreMultiply(transformationOf(kernel, scope, frame));
    },
    (tag) => tag,
  );
  made.dispose();
  return brought;
}
