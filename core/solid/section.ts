import type { Box } from './check';
import { hatch } from './hatch';
import { KernelRefusal } from './kernel';
import { meshShape, type MeshQuality, type SolidMesh } from './mesh';
import { scoped } from './scope';
import { listed, partsOf, hashOf } from './topology';
import type { TaggedSolid } from './tagged';

export type Axis = 'x' | 'y' | 'z';

/** A plane square to an axis, mm from the origin; what lies beyond it, on the viewer's side, is taken away. */
export interface CutPlane {
  axis: Axis;
  at: number;
  /** Which side is taken away: +1 the side of larger coordinates, -1 the other. */
  remove: 1 | -1;
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
  const axis = AXES.indexOf(plane.axis);
  return scoped((scope) => {
    const low = box.slice(0, 3).map((value) => value - 1);
    const high = box.slice(3).map((value) => value + 1);
    // The block that is taken away: the solid's box, enlarged, on one side of the plane.
    if (plane.remove === 1) low[axis] = Math.min(plane.at, high[axis]! - 0.5);
    else high[axis] = Math.max(plane.at, low[axis]! + 0.5);
    const corner = (at: number[]) => scope.keep(new kernel.gp_Pnt(at[0]!, at[1]!, at[2]!));
    const block = scope.keep(scope.keep(new kernel.BRepPrimAPI_MakeBox(corner(low), corner(high))).Shape());
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
    return { mesh, ...hatch(mesh, cutTriangles, axis, hatchStepMm) };
  });
}
