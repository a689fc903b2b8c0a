import type { NamedLength, Result, StepFault } from '@core/foundations/fault';
import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import {
  placeNumbers,
  type PlaceNumbers,
  resolveAll,
  resolveLength,
  resolvePosition,
} from '@core/shaping/part';

export interface PegLengths {
  diameter: NamedLength;
  height: NamedLength;
  place: PlaceNumbers;
  /** How high its floor lies above the ground, if that is what its height says. */
  floor?: NamedLength | undefined;
}

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (
  step: SettledStepOf<'peg'>,
  numbers: EvaluatedRepair,
): Result<PegLengths, StepFault> =>
  resolveAll({
    diameter: resolveLength(step.diameter, 'diameter', numbers),
    height: step.floor
      ? resolvePosition(step.height, 'floorHeight', numbers)
      : resolveLength(step.height, 'height', numbers),
    place: placeNumbers(step, numbers),
  });
