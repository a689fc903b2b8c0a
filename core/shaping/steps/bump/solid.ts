import { ok } from '@core/foundations/fault';
import { takesAway } from '@core/record/model';
import type { Vec3 } from '@core/foundations/vectors';
import { type StepSolid, ridge, roomCorners, pointIn } from '@core/shaping/forming';

import { BUMP_LENGTHS } from '../tongue/schema';

/** A ridge that snaps, or the room for one. Faces: bottom, lead, catch, front and back; of its room also left and right. */
export const solid: StepSolid<'bump'> = {
  tool(step, lengths, { kernel, stand }) {
    const [breadth, out, play] = [lengths.breadth.mm, lengths.bump.mm, lengths.play.mm];
    const hooked = out * Math.tan(step.undercut ?? 0);
    const long = BUMP_LENGTHS * out;
    if (takesAway(step.effect)) {
      const room = roomCorners(-Math.max(hooked, 0) - play, long + play, -stand.past, out + play);
      return ok(ridge(kernel, step, stand, room, breadth + 2 * play));
    }
    return ok(
      ridge(
        kernel,
        step,
        stand,
        [
          { at: [0, 0], role: 'ground' },
          { at: [long, 0], role: 'lead' },
          { at: [-hooked, out], role: 'catch' },
        ],
        breadth,
      ),
    );
  },
  annotate(step, lengths, { stand }) {
    if (takesAway(step.effect)) return { annotations: [], centreLines: [] };
    const at = pointIn(step.turn, stand);
    const [half, out] = [lengths.breadth.mm / 2, lengths.bump.mm];
    const span = (field: 'breadth' | 'bump', from: Vec3, to: Vec3, direction: Vec3) => ({
      stepId: step.id,
      field,
      value: step[field],
      mm: lengths[field].mm,
      form: 'span' as const,
      spans: [{ from: at(from), to: at(to), out: direction }],
      points: [],
    });
    return {
      annotations: [
        span('breadth', [0, -half, out], [0, half, out], [0, 0, 1]),
        span('bump', [0, -half, 0], [0, -half, out], [0, -1, 0]),
      ],
      centreLines: [],
    };
  },
};
