import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { resolveAll, resolveLength, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'groove'>, numbers: EvaluatedRepair) =>
  resolveAll({
    width: resolveLength(step.width, 'groove', numbers),
    depth: resolveLength(step.depth, 'grooveDepth', numbers),
    up: step.up && resolvePosition(step.up, 'aboveMiddle', numbers),
  });
