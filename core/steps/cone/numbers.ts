import type { EvaluatedRepair } from '@core/fit';
import type { SettledStepOf } from '@core/model';
import { placeNumbers, resolveAll, resolveLength, resolvePosition } from '@core/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'cone'>, numbers: EvaluatedRepair) =>
  resolveAll({
    lower: resolvePosition(step.lower, 'lowerDiameter', numbers),
    upper: resolvePosition(step.upper, 'upperDiameter', numbers),
    height: resolveLength(step.height, 'height', numbers),
    place: placeNumbers(step, numbers),
  });
