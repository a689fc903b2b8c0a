import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { placeNumbers, resolveAll, resolveLength, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'cone'>, numbers: EvaluatedRepair) =>
  resolveAll({
    lower: resolvePosition(step.lower, 'lowerDiameter', numbers),
    upper: resolvePosition(step.upper, 'upperDiameter', numbers),
    height: resolveLength(step.height, 'height', numbers),
    place: placeNumbers(step, numbers),
  });
