import type { SolidCheck, Box } from '@core/shaping/part';

import type { Kernel, Shape } from './kernel';
import { scoped } from './scope';
import type { TaggedSolid } from './tagged';
import { facesOf, partsOf } from './topology';
import { isValid } from './validity';
import { volumeWithin } from './volume';

/** Shapes never change, so what was found of one holds for as long as it is held. */
const CHECKED = new WeakMap<Shape, SolidCheck>();

/**
 * Checks a shape as kernel-notes.md asks after every step. The flags alone lie in known cases (a hollow too
 * thick for its body is "done"), so callers also hold the volume against what the step can do.
 */
export const checkSolid = (solid: TaggedSolid): SolidCheck =>
  checkedOnce(solid.kernel, solid.shape, solid.faceList());

/** As checkSolid, of a shape whose faces have no names. */
export const checkShape = (kernel: Kernel, shape: Shape): SolidCheck => checkedOnce(kernel, shape);

function checkedOnce(kernel: Kernel, shape: Shape, facesAtHand?: readonly Shape[]): SolidCheck {
  const known = CHECKED.get(shape);
  if (known) return known;
  const check = scoped((scope): SolidCheck => {
    const faces = facesAtHand ?? facesOf(kernel, scope, shape);
    const solids = partsOf(kernel, scope, shape, 'TopAbs_SOLID');
    const shells = partsOf(kernel, scope, shape, 'TopAbs_SHELL');
    const closed = shells.length > 0 && shells.every((shell) => kernel.BRep_Tool.IsClosed(shell));
    return {
      pieces: solids.length,
      valid: isValid(kernel, shape, faces),
      closed,
      volumeMm3: volumeWithin(kernel, shape, faces),
    };
  });
  CHECKED.set(shape, check);
  return check;
}

export function boundingBox(kernel: Kernel, shape: Shape): Box {
  return scoped((scope) => {
    const box = scope.keep(new kernel.Bnd_Box());
    kernel.BRepBndLib.AddOptimal(shape, box, false, false);
    // The kernel widens the box by its tolerance; the limits alone are wanted.
    box.SetGap(0);
    return [box.GetXMin(), box.GetYMin(), box.GetZMin(), box.GetXMax(), box.GetYMax(), box.GetZMax()];
  });
}

/** The box round several. */
export const boxRound = (boxes: readonly Box[]): Box =>
  boxes.reduce(
    (all, box) => all.map((mm, at) => (at < 3 ? Math.min : Math.max)(mm, box[at]!)) as unknown as Box,
  );
