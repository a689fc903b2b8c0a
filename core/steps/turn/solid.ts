import { ok } from '@core/fault';
import { placeOf } from '@core/model';
import { resolveAll, resolveLength, placeNumbers } from '@core/part';
import { type StepType, drawnRound, roundTool } from '@core/shaping';

/** Disc, about the axle line on z = 0 unless it has a place of its own. Faces: rim, top, bottom. */
export const turn: StepType<'turn'> = {
  kind: 'turn',
  effect: 'any',
  resolve: (step, numbers) =>
    resolveAll({
      diameter: resolveLength(step.diameter, 'diameter', numbers),
      width: resolveLength(step.width, 'width', numbers),
      ...placeNumbers(placeOf(step)!, numbers),
    }),
  tool: (step, { diameter, width }, input) =>
    ok(roundTool(step, { diameter: diameter!.mm, height: width!.mm }, input, 'rim')),
  annotate: (step, { diameter, width }, { stand }) =>
    drawnRound(step, 'width', { diameter: diameter!.mm, height: width!.mm }, stand),
};
