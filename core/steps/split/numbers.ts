import type { EvaluatedRepair } from '@core/fit';
import type { SettledStepOf } from '@core/model';
import { resolveAll, resolveLength, resolvePosition } from '@core/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'split'>, numbers: EvaluatedRepair) =>
  resolveAll({
    at: step.face ? undefined : resolvePosition(step.at, 'place of the cut', numbers),
    gap: resolvePosition(step.gap, 'gap', numbers),
    pegs:
      step.pegs &&
      resolveAll({
        diameter: resolveLength(step.pegs.diameter, 'peg', numbers),
        length: resolveLength(step.pegs.length, 'length of the pegs', numbers),
        apart: resolvePosition(step.pegs.apart, 'distance between the pegs', numbers),
        play: resolvePosition(step.pegs.play, 'play', numbers),
      }),
    ties:
      step.ties &&
      resolveAll({
        breadth: resolveLength(step.ties.breadth, 'breadth of the slots', numbers),
        thickness: resolveLength(step.ties.thickness, 'thickness of the slots', numbers),
        apart: resolvePosition(step.ties.apart, 'distance between the slots', numbers),
      }),
  });
