import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStepOf } from '@core/record/model';
import { placeNumbers, resolveAll, resolveLength, resolvePosition } from '@core/shaping/part';

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (step: SettledStepOf<'thread'>, numbers: EvaluatedRepair) =>
  resolveAll({
    play: resolvePosition(step.play, 'play', numbers),
    place: placeNumbers(step, numbers),
    length: step.length === 'through' ? undefined : resolveLength(step.length, 'length', numbers),
  });
