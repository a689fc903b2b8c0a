import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { outlineNumbers, placeNumbers, resolveAll, resolveEach, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'loft'>, numbers: EvaluatedRepair) =>
  resolveAll({
    place: placeNumbers(step, numbers),
    sections: resolveEach(step.sections, ({ outline, at, x, y }, index) =>
      resolveAll({
        outline: outlineNumbers(outline, numbers),
        at: resolvePosition(at, `heightOfOutline ${index + 1}`, numbers),
        x: resolvePosition(x, 'placeRight', numbers),
        y: resolvePosition(y, 'placeBack', numbers),
      }),
    ),
  });
