import type { NamedLength, Result, StepFault } from '@core/foundations/fault';
import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import {
  outlineNumbers,
  placeNumbers,
  type OutlineNumbers,
  type PlaceNumbers,
  resolveAll,
  resolveLength,
  resolvePosition,
} from '@core/shaping/part';

export interface RaiseLengths {
  outline: OutlineNumbers;
  place: PlaceNumbers;
  /** Left out right through, and up to a face. */
  height?: NamedLength | undefined;
  /** How high its floor lies above the ground, if that is what its height says. */
  floor?: NamedLength | undefined;
}

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (
  step: SettledStepOf<'extrude'>,
  numbers: EvaluatedRepair,
): Result<RaiseLengths, StepFault> =>
  resolveAll({
    outline: outlineNumbers(step.outline, numbers),
    place: placeNumbers(step, numbers),
    height:
      step.height === 'through' || step.upTo
        ? undefined
        : step.floor
          ? resolvePosition(step.height, 'floorHeight', numbers)
          : resolveLength(step.height, 'height', numbers),
  });
