import { no, ok } from '@core/foundations/fault';
import { boolean } from '@core/shaping/kernel';
import { takesAway } from '@core/record/model';
import type { Vec3 } from '@core/foundations/vectors';
import { type StepSolid, ridge, roomCorners, type Corner, pointIn } from '@core/shaping/forming';

import { BUMP_LENGTHS } from './schema';

/**
 * A springy tongue with a bump at its end, or the room for one. Faces: back, front, left, right, top, bottom, catch
 * (which holds), lead (which slides in).
 */
export const solid: StepSolid<'tongue'> = {
  tool(step, lengths, { kernel, stand }) {
    const [length, breadth, thickness, bump] = [
      lengths.length.mm,
      lengths.breadth.mm,
      lengths.thickness.mm,
      lengths.bump.mm,
    ];
    const hooked = bump * Math.tan(step.undercut ?? 0);
    if (BUMP_LENGTHS * bump + Math.max(hooked, 0) >= length) {
      return no({ code: 'tongue.bumpTooLong', bump: lengths.bump, lengthMm: length });
    }
    const play = lengths.play.mm;
    const catchAt = length - BUMP_LENGTHS * bump;
    const prism = (points: Corner[], broad: number) => ridge(kernel, step, stand, points, broad);
    if (!takesAway(step.effect)) {
      return ok(
        prism(
          [
            { at: [0, 0], role: 'ground' },
            { at: [thickness, 0], role: 'right' },
            { at: [thickness, catchAt], role: 'catch' },
            { at: [thickness + bump, catchAt - hooked], role: 'lead' },
            { at: [thickness, length], role: 'end' },
            { at: [0, length], role: 'left' },
          ],
          breadth,
        ),
      );
    }
    // The room for one: the tongue and the window of its bump, each wider by the play.
    const room = (x0: number, x1: number, z0: number, z1: number) =>
      prism(roomCorners(x0, x1, z0, z1), breadth + 2 * play);
    const slot = room(-play, thickness + play, -stand.past, length + play);
    const window = room(0, thickness + bump + play, catchAt - Math.max(hooked, 0) - play, length + play);
    const both = boolean('fuse', slot, window, true);
    slot.dispose();
    window.dispose();
    return ok(both);
  },
  annotate(step, lengths, { stand }) {
    const at = pointIn(step.turn, stand);
    const [length, breadth, thickness] = [lengths.length.mm, lengths.breadth.mm, lengths.thickness.mm];
    const half = breadth / 2;
    const span = (field: 'length' | 'breadth' | 'thickness', from: Vec3, to: Vec3, out: Vec3) => ({
      stepId: step.id,
      field,
      value: step[field],
      mm: lengths[field].mm,
      form: 'span' as const,
      spans: [{ from: at(from), to: at(to), out }],
      points: [],
    });
    if (takesAway(step.effect)) return { annotations: [], centreLines: [] };
    return {
      annotations: [
        span('length', [0, -half, 0], [0, -half, length], [-1, 0, 0]),
        span('breadth', [0, -half, length], [0, half, length], [0, 0, 1]),
        span('thickness', [0, -half, length], [thickness, -half, length], [0, -1, 0]),
      ],
      centreLines: [],
    };
  },
};
