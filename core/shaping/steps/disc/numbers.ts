import type { EvaluatedRepair } from '@core/fitting/fit';
import { placeOf, type SettledStepOf } from '@core/record/model';
import { placeNumbers, resolveAll, resolveLength } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'disc'>, numbers: EvaluatedRepair) =>
  resolveAll({
    diameter: resolveLength(step.diameter, 'diameter', numbers),
    width: resolveLength(step.width, 'width', numbers),
    place: placeNumbers(placeOf(step)!, numbers),
  });
