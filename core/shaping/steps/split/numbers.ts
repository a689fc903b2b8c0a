import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { resolveAll, resolveLength, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'split'>, numbers: EvaluatedRepair) =>
  resolveAll({
    at: step.face ? undefined : resolvePosition(step.at, 'cutPlace', numbers),
    gap: resolvePosition(step.gap, 'gap', numbers),
    pegs:
      step.pegs &&
      resolveAll({
        diameter: resolveLength(step.pegs.diameter, 'peg', numbers),
        length: resolveLength(step.pegs.length, 'pegLength', numbers),
        apart: resolvePosition(step.pegs.apart, 'pegsApart', numbers),
        play: resolvePosition(step.pegs.play, 'play', numbers),
      }),
    ties:
      step.ties &&
      resolveAll({
        breadth: resolveLength(step.ties.breadth, 'slotBreadth', numbers),
        thickness: resolveLength(step.ties.thickness, 'slotThickness', numbers),
        apart: resolvePosition(step.ties.apart, 'slotsApart', numbers),
      }),
  });
