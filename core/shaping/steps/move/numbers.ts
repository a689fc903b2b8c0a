import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { resolveAll, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'move'>, numbers: EvaluatedRepair) =>
  resolveAll({
    dx: resolvePosition(step.dx, 'wayRight', numbers),
    dy: resolvePosition(step.dy, 'wayBack', numbers),
    dz: resolvePosition(step.dz, 'wayUp', numbers),
  });
