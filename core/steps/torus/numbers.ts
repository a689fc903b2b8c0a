import type { EvaluatedRepair } from '@core/fit';
import type { SettledStepOf } from '@core/model';
import { placeNumbers, resolveAll, resolveLength, resolvePosition } from '@core/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'torus'>, numbers: EvaluatedRepair) =>
  resolveAll({
    across: resolveLength(step.across, 'across', numbers),
    thick: resolveLength(step.thick, 'thickness', numbers),
    up: resolvePosition(step.up, 'middleHeight', numbers),
    place: placeNumbers(step, numbers),
  });
