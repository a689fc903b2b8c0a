import type { EvaluatedRepair } from '@core/fit';
import type { SettledStepOf } from '@core/model';
import { outlineNumbers, placeNumbers, resolveAll, resolveEach, resolvePosition } from '@core/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'sweep'>, numbers: EvaluatedRepair) =>
  resolveAll({
    place: placeNumbers(step, numbers),
    outline: outlineNumbers(step.outline, numbers),
    ending: step.ending && outlineNumbers(step.ending, numbers),
    bend: resolvePosition(step.bend, 'bend', numbers),
    path: resolveEach(step.path, ({ x, y, up }, index) =>
      resolveAll({
        x: resolvePosition(x, `point ${index + 1} to the right`, numbers),
        y: resolvePosition(y, `point ${index + 1} to the back`, numbers),
        up: resolvePosition(up, `point ${index + 1} up`, numbers),
      }),
    ),
  });
