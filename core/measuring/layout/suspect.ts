import type { Layout, LayoutDistance } from '@core/record/model';

import type { Adjustment } from '@core/measuring/adjustment';
import { predict, type Frame } from './frame';
import type { Observation } from './observations';
import { adjustFromSeveral } from './severalStarts';

/** A distance after the adjustment. */
export interface SolvedDistance {
  distance: LayoutDistance;
  /** Distance between centres as taken, and as adjusted, mm. */
  observedMm: number;
  adjustedMm: number;
  /** Adjusted less taken, mm. */
  residualMm: number;
  /** Residual over its own standard deviation; 0 where nothing checks this distance. */
  standardised: number;
  /** Share of an error in this distance that shows in its own residual, 0 to 1. */
  redundancy: number;
}

/** A distance whose being wrong would explain that the others don't agree. */
export interface MaybeWrong {
  distanceId: string;
  /** By how much it would then read too long, mm; negative for too short. */
  tooLongMm: number;
}

/** The distance that does not agree with the others, or the first to take again of several that can't be told apart. */
export interface Suspect extends MaybeWrong {
  standardised: number;
  /** Other distances whose being wrong would explain the disagreement about as well, the largest error first. */
  rivals: MaybeWrong[];
}

/**
 * Beyond this a standardised residual is taken for a slip: 0.1 % of good distances reach it, the usual choice of
 * data snooping (Baarda, A testing procedure for use in geodetic networks, 1968).
 */
export const SUSPECT_BEYOND = 3.29;
/** Two explanations whose sums of squares differ by less than this can't be told apart: χ² with one degree, 95 %. */
const TOLD_APART = 3.84;
/** A distance that is checked by less than this is tried by leaving it out: its error bends what a straight line would tell of it. */
const HARDLY_CHECKED = 0.15;
/** Where no more distances than these are to spare, all are tried so. */
const FEW_TO_SPARE = 3;
/** What a slip of the hand or of one digit comes to at most, mm: among distances that can't be told apart, the largest such one comes first. */
const SLIP_MM = 3;

/**
 * The distance that is wrong, or all that may be. Left out, a distance takes the square of its standardised residual with it; one that is hardly checked is left out
 * in earnest and the others adjusted again, since its redundancy may be too small for that to hold (one of six between four points may stand at 0.02).
 */
export function findSuspect(
  layout: Layout,
  distances: readonly SolvedDistance[],
  observations: readonly Observation[],
  frame: Frame,
  adjustment: Adjustment,
): Suspect | null {
  const worst = Math.max(0, ...distances.map(({ standardised }) => standardised));
  if (worst <= SUSPECT_BEYOND) return null;
  const toSpare = observations.length - adjustment.free.length;
  const tried = distances.flatMap((one, index): (MaybeWrong & { left: number; standardised: number })[] => {
    const { standardised, redundancy, residualMm } = one;
    if (standardised === 0) return [];
    const distanceId = one.distance.id;
    if (redundancy >= HARDLY_CHECKED && toSpare > FEW_TO_SPARE) {
      const left = adjustment.squareSum - standardised ** 2;
      return [{ distanceId, tooLongMm: -residualMm / redundancy, left, standardised }];
    }
    const others = observations.filter((_, other) => other !== index);
    // Where three of the others just do not close, points come to lie in one line: that explains it as well as they nearly close.
    const without = adjustFromSeveral(layout, others, frame);
    const { mm } = predict(observations[index]!, frame, without.values);
    return [{ distanceId, tooLongMm: one.observedMm - mm, left: without.squareSum, standardised }];
  });
  const least = Math.min(...tried.map(({ left }) => left));
  const may = tried.filter(({ left }) => left - least < TOLD_APART).sort((a, b) => likelier(a) - likelier(b));
  const [first, ...rivals] = may;
  if (!first) return null;
  return {
    distanceId: first.distanceId,
    tooLongMm: first.tooLongMm,
    standardised: Math.max(...may.map(({ standardised }) => standardised)),
    rivals: rivals.map(({ distanceId, tooLongMm }) => ({ distanceId, tooLongMm })),
  };
}

/** Slips by their size, the largest first; after them what would be more than a slip. */
const likelier = ({ tooLongMm }: MaybeWrong): number => {
  const by = Math.abs(tooLongMm);
  return by <= SLIP_MM ? -by : by;
};
