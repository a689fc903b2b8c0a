import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { resolveAll, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'body'>, numbers: EvaluatedRepair) =>
  resolveAll({ grow: resolvePosition(step.grow, 'play', numbers) });
