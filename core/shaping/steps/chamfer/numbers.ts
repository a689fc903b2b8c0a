import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { resolveAll, resolveLength } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'chamfer'>, numbers: EvaluatedRepair) =>
  resolveAll({
    size: resolveLength(step.size, 'ease', numbers),
    other:
      step.other && 'length' in step.other
        ? resolveLength(step.other.length, 'otherLength', numbers)
        : undefined,
  });
