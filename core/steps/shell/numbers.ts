import type { EvaluatedRepair } from '@core/fit';
import type { SettledStepOf } from '@core/model';
import { resolveAll, resolveLength } from '@core/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'shell'>, numbers: EvaluatedRepair) =>
  resolveAll({ wall: resolveLength(step.wall, 'wall', numbers) });
