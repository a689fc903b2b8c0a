import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { resolveAll, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'offset'>, numbers: EvaluatedRepair) =>
  resolveAll({ by: resolvePosition(step.by, 'way', numbers) });
