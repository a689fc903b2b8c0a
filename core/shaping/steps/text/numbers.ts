import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { placeNumbers, resolveAll, resolveLength } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'text'>, numbers: EvaluatedRepair) =>
  resolveAll({
    height: resolveLength(step.height, 'letterHeight', numbers),
    depth: resolveLength(step.depth, 'depth', numbers),
    place: placeNumbers(step, numbers),
  });
