import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { outlineNumbers, placeNumbers, resolveAll, resolveLength, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'revolve'>, numbers: EvaluatedRepair) =>
  resolveAll({
    outline: outlineNumbers(step.outline, numbers),
    away: resolveLength(step.away, 'fromAxis', numbers),
    up: resolvePosition(step.up, 'middleHeight', numbers),
    place: placeNumbers(step, numbers),
  });
