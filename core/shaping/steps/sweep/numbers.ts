import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { isDrawnPath } from '@core/foundations/fields';
import { outlineNumbers, placeNumbers, resolveAll, resolveEach, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'sweep'>, numbers: EvaluatedRepair) =>
  resolveAll({
    place: placeNumbers(step, numbers),
    outline: outlineNumbers(step.outline, numbers),
    ending: step.ending && outlineNumbers(step.ending, numbers),
    bend: resolvePosition(step.bend, 'bend', numbers),
    path: isDrawnPath(step.path)
      ? undefined
      : resolveEach(step.path, ({ x, y, up }, index) =>
          resolveAll({
            x: resolvePosition(x, `pointRight ${index + 1}`, numbers),
            y: resolvePosition(y, `pointBack ${index + 1}`, numbers),
            up: resolvePosition(up, `pointUp ${index + 1}`, numbers),
          }),
        ),
    drawnPath: isDrawnPath(step.path) ? outlineNumbers(step.path.drawn, numbers) : undefined,
  });
