import { ok } from '@core/fault';
import { loopOf } from '@core/outline';

import { raisedLoop } from '../outlineFace';
import { resolveAll, resolveLength, resolvePosition } from '../resolve';
import type { StepType } from '../stepKind';
import { faceTag } from '../tagged';

/** Plate on z = 0 about the axle line. Faces: top, bottom, right, back, left, front, and corner0 to corner3. */
export const plate: StepType<'plate'> = {
  kind: 'plate',
  effect: 'adds',
  resolve: (step, numbers) =>
    resolveAll({
      length: resolveLength(step.length, 'length', numbers),
      breadth: resolveLength(step.breadth, 'breadth', numbers),
      thickness: resolveLength(step.thickness, 'thickness', numbers),
      cornerRadius: resolvePosition(step.cornerRadius, 'corner radius', numbers),
    }),
  tool(step, { length, breadth, thickness, cornerRadius }, { kernel }) {
    const lengths = { length: length!, breadth: breadth!, cornerRadius: cornerRadius! };
    const loop = loopOf({ shape: 'rectangle', lengths });
    if (!loop.ok) return loop;
    const raised = raisedLoop(kernel, loop.value, { z: 0, height: thickness!.mm }, (role) =>
      faceTag(step.id, role),
    );
    return ok(raised);
  },
  annotate(step, { length, breadth, thickness }) {
    const [x, y, z] = [length!.mm / 2, breadth!.mm / 2, thickness!.mm];
    const span = (field: 'length' | 'breadth' | 'thickness', mm: number) => ({
      stepId: step.id,
      field,
      value: step[field],
      mm,
      form: 'span' as const,
      points: [],
    });
    return {
      annotations: [
        {
          ...span('length', 2 * x),
          spans: [
            { from: [-x, y, z], to: [x, y, z], out: [0, 1, 0] },
            { from: [-x, -y, z], to: [x, -y, z], out: [0, 0, 1] },
          ],
        },
        {
          ...span('breadth', 2 * y),
          spans: [
            { from: [x, -y, z], to: [x, y, z], out: [1, 0, 0] },
            { from: [x, -y, z], to: [x, y, z], out: [0, 0, 1] },
          ],
        },
        {
          ...span('thickness', z),
          spans: [
            { from: [x, -y, 0], to: [x, -y, z], out: [1, 0, 0] },
            { from: [x, y, 0], to: [x, y, z], out: [0, 1, 0] },
          ],
        },
      ],
      centreLines: [],
    };
  },
};
