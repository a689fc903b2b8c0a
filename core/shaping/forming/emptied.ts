import { surfaceArea, planeOf, type TaggedSolid } from '@core/shaping/kernel';
import type { SettledStepOf } from '@core/record/model';
import { stepOfTag } from '@core/shaping/part';
import { isParallel } from '@core/foundations/tolerance';

import type { StepNumbers } from './stepKind';

/** What is less than this share of a face may be the kernel's own rounding. */
const SHARE = 1e-4;
/** Of what was cut the same on both sides so much has to be left. */
const LEFT = 0.5;

/** Faces nearer to the plane of a mirror than this lie in it, mm. */
const IN_PLANE_MM = 1e-4;

/**
 * A step that took something away, of whose faces less is there after a mirror than before it: what it had cut was filled. Faces
 * in the plane of the mirror are no loss, since there the halves join. Null where nothing was filled.
 *
 * @param isAlike whether a step cut the same on both sides: then what covers a part of it was added after it (a clip within a hollow), and is meant.
 */
export function emptiedFaces(
  before: TaggedSolid,
  after: TaggedSolid,
  across: SettledStepOf<'mirror'>['across'],
  cutters: readonly StepNumbers[],
  isAlike: (cutter: StepNumbers) => boolean,
): StepNumbers | null {
  const axis = { sides: 0, frontBack: 1, upDown: 2 }[across];
  const areaOf = (solid: TaggedSolid, id: string) => {
    let area = 0;
    for (const [face, origins] of solid.originMap().entries()) {
      if (!origins.some((tag) => stepOfTag(tag) === id)) continue;
      const plane = planeOf(solid.kernel, face);
      const joins = plane && isParallel(plane.normal[axis]!) && Math.abs(plane.at[axis]!) < IN_PLANE_MM;
      if (!joins) area += surfaceArea(solid.kernel, face);
    }
    return area;
  };
  return (
    cutters.find((cutter) => {
      const own = areaOf(before, cutter.step.id);
      if (own === 0) return false;
      const left = areaOf(after, cutter.step.id) / own;
      return left < 1 - SHARE && (left < LEFT || !isAlike(cutter));
    }) ?? null
  );
}
