import { no, ok } from '@core/foundations/fault';
import { type StepSolid, drawnRound, roundTool, depthOfFloor } from '@core/shaping/forming';
import { effectOf } from '@core/record/model';
import { takesAway } from '@core/foundations/fields';

/** Peg on what is there, or its room. Faces: wall, top (its bottom merges with what it starts from). */
export const solid: StepSolid<'peg'> = {
  verb: 'Raise',
  settled(step, lengths, stand) {
    if (!step.floor) return ok(lengths);
    const depth = depthOfFloor(lengths.height, stand, takesAway(effectOf(step)));
    return depth.ok ? ok({ ...lengths, floor: lengths.height, height: depth.value }) : depth;
  },
  tool: (step, { diameter, height }, input) =>
    input.before
      ? ok(roundTool(step, { diameter: diameter.mm, height: height.mm }, input, 'wall'))
      : no({ code: 'step.firstMustAdd', verb: 'Raise' }),
  annotate: (step, { diameter, height }, { stand }) =>
    drawnRound(step, 'height', { diameter: diameter.mm, height: height.mm }, stand),
};
