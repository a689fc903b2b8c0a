import type { FirstMake, Knowing } from './rehearse';
import { KNOWINGS } from './rehearse';

/** Shares of first makes that fit, 0 to 1. */
export interface Share {
  makes: number;
  fits: number;
  /** Of one who knows the machine's habits, on the very same makes; and what that one may expect of them. */
  oracle: number;
  oracleExpects: number;
  /** Where that one expects at least 0.97: how many they are, and the share of them that fit. */
  easy: { makes: number; fits: number };
}

export function sharesOf(makes: readonly FirstMake[]): Record<Knowing, Share> {
  return Object.fromEntries(
    KNOWINGS.map((knowing) => {
      const known = makes.filter((make) => make.knowing === knowing);
      const easy = known.filter(({ oracleChance }) => oracleChance >= EASY);
      return [
        knowing,
        {
          makes: known.length,
          fits: share(known, ({ fits }) => fits),
          oracle: share(known, ({ oracleFits }) => oracleFits),
          oracleExpects: known.reduce((sum, one) => sum + one.oracleChance, 0) / Math.max(1, known.length),
          easy: { makes: easy.length, fits: share(easy, ({ fits }) => fits) },
        },
      ];
    }),
  ) as Record<Knowing, Share>;
}

const EASY = 0.97;

/** One tenth of the range of chances: what was said, and what happened. */
export interface Tenth {
  from: number;
  to: number;
  makes: number;
  stated: number;
  happened: number;
}

/** What happened against what was said beforehand, by tenths of what was said; tenths in which nothing was said are left out. */
export function reliabilityOf(makes: readonly FirstMake[]): Tenth[] {
  return Array.from({ length: 10 }, (_, tenth) => {
    const within = makes.filter(({ statedChance }) => Math.min(9, Math.floor(statedChance * 10)) === tenth);
    return {
      from: tenth / 10,
      to: (tenth + 1) / 10,
      makes: within.length,
      stated: within.reduce((sum, one) => sum + one.statedChance, 0) / Math.max(1, within.length),
      happened: share(within, ({ fits }) => fits),
    };
  }).filter(({ makes: count }) => count > 0);
}

/** Fewest makes in a tenth that say anything about a gap of five points: their own scatter is below two. */
const ENOUGH_MAKES = 400;

/** Largest difference between said and happened over the tenths that hold enough makes, in points of a hundred. */
export function largestGapPoints(tenths: readonly Tenth[], enough = ENOUGH_MAKES): number {
  const gaps = tenths
    .filter(({ makes }) => makes >= enough)
    .map(({ stated, happened }) => Math.abs(stated - happened));
  return 100 * Math.max(0, ...gaps);
}

function share<T>(all: readonly T[], holds: (one: T) => boolean): number {
  return all.filter(holds).length / Math.max(1, all.length);
}
