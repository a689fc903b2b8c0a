import type { EvaluatedRepair } from '@core/fitting/fit';
import { placeOf, type SettledStepOf } from '@core/record/model';
import { placeNumbers, resolveAll, resolveLength, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'plate'>, numbers: EvaluatedRepair) =>
  resolveAll({
    length: resolveLength(step.length, 'length', numbers),
    breadth: resolveLength(step.breadth, 'breadth', numbers),
    thickness: resolveLength(step.thickness, 'thickness', numbers),
    cornerRadius: resolvePosition(step.cornerRadius, 'cornerRadius', numbers),
    place: placeNumbers(placeOf(step)!, numbers),
  });
