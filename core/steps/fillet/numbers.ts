import type { EvaluatedRepair } from '@core/fit';
import type { SettledStepOf } from '@core/model';
import { resolveAll, resolveLength } from '@core/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'fillet'>, numbers: EvaluatedRepair) =>
  resolveAll({ size: resolveLength(step.size, 'round', numbers) });
