import { KernelRefusal, type Kernel } from './kernel';
import { scoped, type Scope } from './scope';
import { carryTags, type FaceTag, type TaggedSolid } from './tagged';

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

/** Turned about the upright axis through the origin, radians, and then moved, mm. */
export function turnedAndMoved(
  solid: TaggedSolid,
  turn: number,
  [dx, dy]: readonly [number, number],
  retag: (tag: FaceTag) => FaceTag,
): TaggedSolid {
  return transformed(
    solid,
    (scope, transformation) => {
      const { kernel } = solid;
      if (turn !== 0) {
        const origin = scope.keep(new kernel.gp_Pnt(0, 0, 0));
        const up = scope.keep(new kernel.gp_Dir(0, 0, 1));
        transformation.SetRotation(scope.keep(new kernel.gp_Ax1(origin, up)), turn);
      }
      if (dx !== 0 || dy !== 0) {
        const move = scope.keep(new kernel.gp_Trsf());
        move.SetTranslation(scope.keep(new kernel.gp_Vec(dx, dy, 0)));
        transformation.PreMultiply(move);
      }
    },
    retag,
  );
}

/** Mirrored across the upright plane through the axle line: left to right, or front to back. */
export function mirrored(solid: TaggedSolid, across: 'sides' | 'frontBack'): TaggedSolid {
  return transformed(
    solid,
    (scope, transformation) => {
      const { kernel } = solid;
      const origin = scope.keep(new kernel.gp_Pnt(0, 0, 0));
      const normal = scope.keep(across === 'sides' ? new kernel.gp_Dir(1, 0, 0) : new kernel.gp_Dir(0, 1, 0));
      transformation.SetMirror(scope.keep(new kernel.gp_Ax2(origin, normal)));
    },
    (tag) => tag,
  );
}
