import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { placeNumbers, resolveAll, resolveLength, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'tongue'>, numbers: EvaluatedRepair) =>
  resolveAll({
    length: resolveLength(step.length, 'length', numbers),
    breadth: resolveLength(step.breadth, 'breadth', numbers),
    thickness: resolveLength(step.thickness, 'thickness', numbers),
    bump: resolveLength(step.bump, 'bump', numbers),
    play: resolvePosition(step.play, 'play', numbers),
    place: placeNumbers(step, numbers),
  });
