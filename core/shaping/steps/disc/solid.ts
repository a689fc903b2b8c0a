import { ok } from '@core/foundations/fault';
import { type StepSolid, drawnRound, roundTool } from '@core/shaping/forming';

/** Disc, about the axle line on z = 0 unless it has a place of its own. Faces: rim, top, bottom. */
export const solid: StepSolid<'disc'> = {
  tool: (step, { diameter, width }, input) =>
    ok(roundTool(step, { diameter: diameter.mm, height: width.mm }, input, 'rim')),
  annotate: (step, { diameter, width }, { stand }) =>
    drawnRound(step, 'width', { diameter: diameter.mm, height: width.mm }, stand),
};
