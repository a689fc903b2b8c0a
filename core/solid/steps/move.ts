import { no, ok } from '@core/fault';

import { placedAnew } from '../moved';
import { resolveAll, resolvePosition } from '../resolve';
import type { StepType } from '../stepKind';

/** All that is there, moved, turned and scaled. Faces keep their names. */
export const move: StepType<'move'> = {
  kind: 'move',
  effect: 'dresses',
  resolve: (step, numbers) =>
    resolveAll({
      dx: resolvePosition(step.dx, 'way to the right', numbers),
      dy: resolvePosition(step.dy, 'way to the back', numbers),
      dz: resolvePosition(step.dz, 'way up', numbers),
    }),
  build(step, { dx, dy, dz }, { before }) {
    if (!before) return no({ code: 'step.firstMustAdd', verb: 'Move' });
    return ok(
      placedAnew(before, {
        scale: step.scale,
        axis: step.axis,
        turn: step.turn,
        by: [dx!.mm, dy!.mm, dz!.mm],
      }),
    );
  },
  annotate: () => ({ annotations: [], centreLines: [] }),
};
