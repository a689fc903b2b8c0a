import { squareLoop } from '@core/outline';

import type { Vec3 } from './annotation';
import type { Box } from './check';
import { along, dot, frameFacing } from './frame';
import { hatch } from './hatch';
import { KernelRefusal } from './kernel';
import { framePlane, outlineFace } from './outlineFace';
import { meshShape, type MeshQuality, type SolidMesh } from './mesh';
import { scoped } from './scope';
import { listed, partsOf, hashOf } from './topology';
import type { TaggedSolid } from './tagged';

export type Axis = 'x' | 'y' | 'z';

/** A plane in any way; what lies beyond it, on the viewer's side, is taken away. */
export interface CutPlane {
  /** Square to the plane, towards the viewer; a unit vector. */
  towards: Vec3;
  /** Where it stands along that way, mm from the origin. */
  at: number;
}

/** The plane square to an axis at a coordinate, mm. @param remove which side is taken away: 1 that of larger coordinates. */
export function squareCut(axis: Axis, at: number, remove: 1 | -1): CutPlane {
  const towards = AXES.map((one) => (one === axis ? remove : 0)) as unknown as Vec3;
  return { towards, at: remove * at };
}

/** A solid cut open: its mesh, with cut faces tagged CUT_TAG, and hatching on them. */
export interface OpenedSolid {
  mesh: SolidMesh;
  /** Segments, six numbers each, mm. */
  hatching: Float32Array;
  /** Area of the cut, mm². */
  cutAreaMm2: number;
}

export const CUT_TAG = 'cut';
const AXES: readonly Axis[] = ['x', 'y', 'z'];

/**
 * Cuts a solid open at a plane.
 *
 * @param hatchStepMm distance between hatch lines.
 * @returns null if the plane leaves nothing.
 */
export function cutOpen(
  solid: TaggedSolid,
  box: Box,
  plane: CutPlane,
  quality: MeshQuality,
  hatchStepMm: number,
): OpenedSolid | null {
  const { kernel } = solid;
  const middle = [0, 1, 2].map((axis) => (box[axis]! + box[axis + 3]!) / 2) as unknown as Vec3;
  const reach = Math.hypot(...[0, 1, 2].map((axis) => box[axis + 3]! - box[axis]!)) + 2;
  // In the plane, before the middle of the part.
  const frame = frameFacing(
    along(middle, plane.towards, plane.at - dot(middle, plane.towards)),
    plane.towards,
  );
  return scoped((scope) => {
    // The block that is taken away: all that there may be on the viewer's side.
    const square = squareLoop(reach, CUT_TAG);
    const { face } = outlineFace(kernel, scope, square, framePlane(frame));
    const way = scope.keep(new kernel.gp_Vec(...along([0, 0, 0], frame.z, 2 * reach)));
    const block = scope.keep(scope.keep(new kernel.BRepPrimAPI_MakePrism(face, way, false, true)).Shape());
    const cut = scope.keep(new kernel.BRepAlgoAPI_Cut(solid.shape, block));
    if (!cut.IsDone() || cut.HasErrors()) throw new KernelRefusal('the cut failed');
    const shape = scope.keep(cut.Shape());
    if (partsOf(kernel, scope, shape, 'TopAbs_SOLID').length === 0) return null;

    const tags = new Map<number, string>();
    for (const [face, tag] of solid.tagMap().entries()) {
      const modified = listed(scope, cut.Modified(face));
      for (const next of modified) tags.set(hashOf(kernel, next), tag);
      if (modified.length === 0 && !cut.IsDeleted(face)) tags.set(hashOf(kernel, face), tag);
    }
    // Whatever did not come from the solid came from the block: the cut faces.
    const mesh = meshShape(kernel, shape, quality, (hash) => tags.get(hash) ?? CUT_TAG);
    const cutTriangles = mesh.faces.filter((face) => face.tag === CUT_TAG);
    return { mesh, ...hatch(mesh, cutTriangles, frame, hatchStepMm) };
  });
}
