import { no, ok } from '@core/fault';
import { resolveAll, resolveLength, resolvePosition, placeNumbers } from '@core/part';
import { type StepType, drawnRound, roundTool } from '@core/shaping';

/** Peg on what is there, or its room. Faces: wall, top (its bottom merges with what it stands on). */
export const peg: StepType<'peg'> = {
  kind: 'peg',
  effect: 'any',
  resolve: (step, numbers) =>
    resolveAll({
      diameter: resolveLength(step.diameter, 'diameter', numbers),
      height: step.floor
        ? resolvePosition(step.height, 'height of its floor', numbers)
        : resolveLength(step.height, 'height', numbers),
      ...placeNumbers(step, numbers),
    }),
  tool: (step, { diameter, height }, input) =>
    input.before
      ? ok(roundTool(step, { diameter: diameter!.mm, height: height!.mm }, input, 'wall'))
      : no({ code: 'step.firstMustAdd', verb: 'Raise' }),
  annotate: (step, { diameter, height }, { stand }) =>
    drawnRound(step, 'height', { diameter: diameter!.mm, height: height!.mm }, stand),
};
