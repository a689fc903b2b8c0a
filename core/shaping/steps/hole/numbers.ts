import { ok, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';
import type { EvaluatedRepair } from '@core/fitting/fit';
import { belowOf, type SettledStepOf } from '@core/record/model';
import {
  placeNumbers,
  resolveAll,
  resolveLength,
  resolvePosition,
  type PlaceNumbers,
} from '@core/shaping/part';

type Head = NonNullable<SettledStepOf<'hole'>['head']>;

/** A head, with its numbers. */
export type HeadLengths =
  | { kind: 'seat'; across: NamedLength; depth: NamedLength }
  /** `angle` of the whole cone, radians. */
  | { kind: 'sink'; across: NamedLength; angle: number }
  | NutLengths;
/** `below`: from the mouth down to one that is slid in from a side. `turn` in radians. */
export interface NutLengths extends Pick<Extract<Head, { kind: 'nut' }>, 'sides' | 'at' | 'turn'> {
  kind: 'nut';
  across: NamedLength;
  depth: NamedLength;
  below?: NamedLength | undefined;
}

export interface DrillLengths {
  diameter: NamedLength;
  /** Left out right through. */
  depth?: NamedLength | undefined;
  head?: HeadLengths | undefined;
  place: PlaceNumbers;
  /** How high its floor lies above the ground, if that is what its depth says. */
  floor?: NamedLength | undefined;
}

/** Its lengths, mm, or what is wrong with the first. */
export const resolve = (
  step: SettledStepOf<'hole'>,
  numbers: EvaluatedRepair,
): Result<DrillLengths, StepFault> =>
  resolveAll({
    diameter: resolveLength(step.diameter, 'bore', numbers),
    place: placeNumbers(step, numbers),
    depth:
      step.depth === 'through'
        ? undefined
        : step.floor
          ? resolvePosition(step.depth, 'floorHeight', numbers)
          : resolveLength(step.depth, 'depth', numbers),
    head: step.head && headNumbers(step.head, numbers),
  });

function headNumbers(head: Head, numbers: EvaluatedRepair): Result<HeadLengths, StepFault> {
  switch (head.kind) {
    case 'seat':
      return resolveAll({
        kind: ok('seat' as const),
        across: resolveLength(head.diameter, 'head', numbers),
        depth: resolveLength(head.depth, 'headDepth', numbers),
      });
    case 'sink':
      return resolveAll({
        kind: ok('sink' as const),
        across: resolveLength(head.diameter, 'head', numbers),
        angle: ok(head.angle),
      });
    case 'nut':
      return resolveAll({
        kind: ok('nut' as const),
        sides: ok(head.sides),
        at: ok(head.at),
        turn: ok(head.turn),
        across: resolveLength(head.across, 'nutPocket', numbers),
        depth: resolveLength(head.depth, 'headDepth', numbers),
        below: head.at === 'side' ? resolveLength(belowOf(head), 'belowMouth', numbers) : undefined,
      });
  }
}
