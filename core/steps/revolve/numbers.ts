import type { EvaluatedRepair } from '@core/fit';
import type { SettledStepOf } from '@core/model';
import { outlineNumbers, placeNumbers, resolveAll, resolveLength, resolvePosition } from '@core/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'revolve'>, numbers: EvaluatedRepair) =>
  resolveAll({
    outline: outlineNumbers(step.outline, numbers),
    away: resolveLength(step.away, 'distance from the axis', numbers),
    up: resolvePosition(step.up, 'height of its middle', numbers),
    place: placeNumbers(step, numbers),
  });
