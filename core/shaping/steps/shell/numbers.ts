import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { resolveAll, resolveLength } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'shell'>, numbers: EvaluatedRepair) =>
  resolveAll({ wall: resolveLength(step.wall, 'wall', numbers) });
