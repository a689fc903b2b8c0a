import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { placeNumbers, resolveAll, resolveLength, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'wedge'>, numbers: EvaluatedRepair) =>
  resolveAll({
    length: resolveLength(step.length, 'length', numbers),
    breadth: resolveLength(step.breadth, 'breadth', numbers),
    low: resolvePosition(step.low, 'leftHeight', numbers),
    high: resolvePosition(step.high, 'rightHeight', numbers),
    place: placeNumbers(step, numbers),
  });
