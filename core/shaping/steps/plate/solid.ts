import { ok } from '@core/foundations/fault';
import { raisedLoop } from '@core/shaping/kernel';
import { effectOf } from '@core/record/model';
import { loopOf, placedLoop } from '@core/shaping/outline';
import type { Vec3 } from '@core/foundations/vectors';
import { faceTag } from '@core/shaping/part';
import { type StepSolid, visibleReach, reach, pointIn } from '@core/shaping/forming';

/**
 * Plate, on z = 0 about the axle line unless it has a place of its own. Faces: top, bottom, right, back, left, front, and
 * corner0 to corner3.
 */
export const solid: StepSolid<'plate'> = {
  tool(step, { length, breadth, thickness, cornerRadius }, { kernel, stand }) {
    const lengths = { length, breadth, cornerRadius };
    const loop = loopOf({ shape: 'rectangle', lengths });
    if (!loop.ok) return loop;
    const { from, to } = reach(stand, effectOf(step), thickness.mm);
    const placed = placedLoop(loop.value, step.turn ?? 0, stand.at);
    const raised = raisedLoop(kernel, placed, { z: from, height: to - from }, (role) =>
      faceTag(step.id, role),
    );
    return ok(raised);
  },
  annotate(step, { length, breadth, thickness }, { stand }) {
    const [x, y] = [length.mm / 2, breadth.mm / 2];
    const { low, high } = visibleReach(step, thickness.mm, stand);
    const there = pointIn(step.turn ?? 0, { ...stand, level: 0 });
    const side = pointIn(step.turn ?? 0, { ...stand, at: [0, 0], level: 0 });
    const between = (from: Vec3, to: Vec3, out: Vec3) => ({
      from: there(from),
      to: there(to),
      out: side(out),
    });
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
            between([-x, y, high], [x, y, high], [0, 1, 0]),
            between([-x, -y, high], [x, -y, high], [0, 0, 1]),
          ],
        },
        {
          ...span('breadth', 2 * y),
          spans: [
            between([x, -y, high], [x, y, high], [1, 0, 0]),
            between([x, -y, high], [x, y, high], [0, 0, 1]),
          ],
        },
        {
          ...span('thickness', high - low),
          spans: [
            between([x, -y, low], [x, -y, high], [1, 0, 0]),
            between([x, y, low], [x, y, high], [0, 1, 0]),
          ],
        },
      ],
      centreLines: [],
    };
  },
};
