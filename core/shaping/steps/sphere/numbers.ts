import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { placeNumbers, resolveAll, resolveLength, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'sphere'>, numbers: EvaluatedRepair) =>
  resolveAll({
    diameter: resolveLength(step.diameter, 'diameter', numbers),
    up: resolvePosition(step.up, 'middleHeight', numbers),
    place: placeNumbers(step, numbers),
  });
