import type { EvaluatedRepair } from '@core/fit';
import type { SettledStepOf } from '@core/model';
import { resolveAll, resolvePosition } from '@core/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'offset'>, numbers: EvaluatedRepair) =>
  resolveAll({ by: resolvePosition(step.by, 'way', numbers) });
