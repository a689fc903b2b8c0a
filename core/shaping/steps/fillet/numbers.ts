import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { resolveAll, resolveLength } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'fillet'>, numbers: EvaluatedRepair) =>
  resolveAll({ size: resolveLength(step.size, 'round', numbers) });
