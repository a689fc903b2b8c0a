import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { placeNumbers, resolveAll, resolveEach, resolveLength, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'stations'>, numbers: EvaluatedRepair) =>
  resolveAll({
    place: placeNumbers(step, numbers),
    rows: resolveEach(step.rows, ({ at, diameter, depth }, index) => {
      const isEnd = index === 0 || index === step.rows.length - 1;
      return resolveAll({
        at: resolvePosition(at, `heightOfStation ${index + 1}`, numbers),
        // An end may be a point.
        diameter: (isEnd ? resolvePosition : resolveLength)(
          diameter,
          `diameterOfStation ${index + 1}`,
          numbers,
        ),
        depth: step.section
          ? resolveLength(depth ?? diameter, `depthOfStation ${index + 1}`, numbers)
          : undefined,
      });
    }),
  });
