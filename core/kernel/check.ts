import type { SolidCheck, Box } from '@core/part';

import type { Kernel, Shape } from './kernel';
import { scoped } from './scope';
import { partsOf, ShapeMap } from './topology';
import { volumeWithin } from './volume';

/** Shapes never change, so what was found of one holds for as long as it is held. */
const CHECKED = new WeakMap<Shape, SolidCheck>();

/**
 * Checks a shape as kernel-notes.md asks after every step. The flags alone lie in known cases (a hollow too
 * thick for its body is "done"), so callers also hold the volume against what the step can do.
 */
export function checkSolid(kernel: Kernel, shape: Shape): SolidCheck {
  const known = CHECKED.get(shape);
  if (known) return known;
  const check = scoped((scope): SolidCheck => {
    const solids = partsOf(kernel, scope, shape, 'TopAbs_SOLID');
    let valid = solids.length > 0;
    for (const solid of solids) {
      const analyzer = scope.keep(new kernel.BRepCheck_Analyzer(solid, true, false, false));
      valid &&= analyzer.IsValid();
      // Lets go of the solid's data, which delete alone does not (kernel-notes).
      const anyVertex = partsOf(kernel, scope, solid, 'TopAbs_VERTEX')[0];
      if (anyVertex) analyzer.Init(anyVertex, false);
    }
    const shells = partsOf(kernel, scope, shape, 'TopAbs_SHELL');
    const closed = shells.length > 0 && shells.every((shell) => kernel.BRep_Tool.IsClosed(shell));
    return {
      pieces: solids.length,
      valid,
      closed,
      volumeMm3: volumeWithin(kernel, shape),
    };
  });
  CHECKED.set(shape, check);
  return check;
}

/** Whether every edge is used by exactly two faces; edges without length (at the tip of a cone) do not count. */
export const everyEdgeHasTwoFaces = (kernel: Kernel, shape: Shape): boolean =>
  edgeUses(kernel, shape).every((count) => count === 2);

/** Whether more than two faces meet at an edge: the shape touches itself there and has no thickness. */
export const touchesAtEdge = (kernel: Kernel, shape: Shape): boolean =>
  edgeUses(kernel, shape).some((count) => count > 2);

/** How many faces use each edge that has a length. */
function edgeUses(kernel: Kernel, shape: Shape): number[] {
  return scoped((scope) => {
    const uses = new ShapeMap<number>(kernel);
    for (const edge of partsOf(kernel, scope, shape, 'TopAbs_EDGE'))
      uses.set(edge, (uses.get(edge) ?? 0) + 1);
    return [...uses.entries()].flatMap(([edge, count]) =>
      // Asked only where it matters: most edges have two.
      count === 2 || !kernel.BRep_Tool.Degenerated(scope.keep(kernel.TopoDS.Edge(edge))) ? [count] : [],
    );
  });
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
