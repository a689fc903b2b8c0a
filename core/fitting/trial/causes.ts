import jstat from 'jstat';

import { featureOf, type Clearance } from '@core/fitting/fit';
import type { TrialResult, Verdict } from '@core/record/model';

import { clearanceMeasured, madeOf, wantedOf } from './asked';

/** Why something did not go as wished: the machine's habit, how much was allowed, how the mating part was measured, or nothing but scatter. */
export type Cause = 'machine' | 'allowance' | 'measuring' | 'scatter';

/** What is known of a trial, to tell causes apart. Standard deviations in mm. */
export interface Evidence {
  /** What is wished: aim and limits. */
  wish: Clearance;
  /** How far makes scatter, and how surely the correction was known. */
  scatterMm: number;
  correctionDoubtMm: number;
  /** Of the made size, through hand and display. */
  handMm: number;
  /** The counterpart as it is measured by now, if more readings were taken since; and its standard uncertainty. */
  counterpartNow: { mm: number; standardMm: number } | null;
}

export interface Diagnosis {
  causes: { cause: Cause; probability: number }[];
  /** What would tell more: a reading of the made size, of the counterpart, or another make; null when one cause stands clear. */
  ask: 'made' | 'counterpart' | 'make' | null;
}

const PRIOR: Record<Cause, number> = { scatter: 0.35, machine: 0.3, allowance: 0.2, measuring: 0.15 };
/** How far off each makes things when it is the cause, one standard deviation: mm, and of the allowance in half widths of what is wished. */
const MACHINE_OFF_MM = 0.15;
const MEASURING_OFF_MM = 0.2;
const ALLOWANCE_OFF_HALVES = 3;
/** Hands differ in what they call right by this much of the half width. */
export const FEEL_HALVES = 0.3;
/** From this on one cause stands clear. */
export const CLEAR = 0.8;

/** What each word says of the clearance, in half widths of what is wished, from its middle. */
const WORD_HALVES: Record<Verdict, readonly [from: number, to: number]> = {
  willNotGo: [-Infinity, -3],
  stiff: [-3, -1],
  right: [-1, 1],
  loose: [1, 3],
  rattles: [3, Infinity],
};
/** Where in that it is taken to be. */
export const MIDDLE_HALVES: Record<Verdict, number> = {
  willNotGo: -4,
  stiff: -2,
  right: 0,
  loose: 2,
  rattles: 4,
};

/**
 * How likely each cause is, by Bayes: each says how far the made size, the counterpart and the feel may be off (normal), and so how likely what was
 * measured and felt would be. The one that makes it most likely stands out; where two explain it as well, what would tell them apart is said.
 */
export function causesOf(result: TrialResult, evidence: Evidence): Diagnosis {
  const weighed = (Object.keys(PRIOR) as Cause[]).map((cause) => ({
    cause,
    weight: PRIOR[cause] * likelihood(cause, result, evidence),
  }));
  const all = weighed.reduce((sum, { weight }) => sum + weight, 0);
  const causes = weighed
    .map(({ cause, weight }) => ({ cause, probability: all > 0 ? weight / all : PRIOR[cause] }))
    .sort((a, b) => b.probability - a.probability);
  if (causes[0]!.probability >= CLEAR) return { causes, ask: null };
  if (madeOf(result) === null) return { causes, ask: 'made' };
  // Reading the counterpart again says something of itself, and so of how much was allowed; a habit shows in the next make.
  const likely = new Set(causes.slice(0, 2).map(({ cause }) => cause));
  const byCounterpart = likely.has('measuring') || likely.has('allowance');
  return { causes, ask: byCounterpart && evidence.counterpartNow === null ? 'counterpart' : 'make' };
}

/** What a correction may be off without anybody calling it another habit, one standard deviation, mm. */
const USUAL_DOUBT_MM = 0.05;

function likelihood(cause: Cause, result: TrialResult, evidence: Evidence): number {
  const { wish, scatterMm, correctionDoubtMm, handMm, counterpartNow } = evidence;
  const halfMm = Math.max(1e-3, (wish.toMm - wish.fromMm) / 2);
  const own = (is: Cause, offMm: number) => (cause === is ? offMm : 0);
  const made = seen(
    Math.hypot(
      scatterMm,
      // What a correction may be off by more than that is the machine's habit, and nothing that comes about by itself.
      cause === 'machine' ? correctionDoubtMm : Math.min(correctionDoubtMm, USUAL_DOUBT_MM),
      own('machine', MACHINE_OFF_MM),
    ),
    madeDeviation(result),
    handMm,
  );
  const counterpart = seen(
    Math.hypot(result.counterpartStandardMm, own('measuring', MEASURING_OFF_MM)),
    counterpartNow ? counterpartNow.mm - result.counterpartMm : null,
    counterpartNow?.standardMm ?? 0,
  );
  if (result.verdict === null) return made.density * counterpart.density;
  const feelMm = halfMm * Math.hypot(FEEL_HALVES, own('allowance', ALLOWANCE_OFF_HALVES));
  const sign = featureOf(result.feature).inside ? 1 : -1;
  const middle = sign * (made.mean - counterpart.mean);
  const spread = Math.hypot(made.standard, counterpart.standard, feelMm);
  const [from, to] = WORD_HALVES[result.verdict];
  const below = (halves: number) => jstat.normal.cdf(halves * halfMm, middle, spread);
  const word = (to === Infinity ? 1 : below(to)) - (from === -Infinity ? 0 : below(from));
  return made.density * counterpart.density * word;
}

/** How far the made size is from what it should have come out as, mm; null where it was not measured. */
export function madeDeviation(result: TrialResult): number | null {
  const made = madeOf(result);
  return made === null ? null : made - wantedOf(result);
}

/** A normal number about 0, after it was seen with some doubt, or not at all. */
function seen(standard: number, value: number | null, doubt: number) {
  if (value === null) return { mean: 0, standard, density: 1 };
  const all = Math.max(1e-6, Math.hypot(standard, doubt));
  const share = (standard / all) ** 2;
  return {
    mean: share * value,
    standard: standard * Math.sqrt(Math.max(0, 1 - share)),
    density: Math.exp(-0.5 * (value / all) ** 2) / all,
  };
}

/**
 * How much looser (above 0) this person wants it than what was aimed at, mm: the clearance that it has less the one that it felt like, drawn towards 0 by how
 * surely that is known. Null without a word about it.
 */
export function feelShift(result: TrialResult, evidence: Evidence): number | null {
  if (result.verdict === null) return null;
  const { wish, scatterMm, correctionDoubtMm, handMm } = evidence;
  const halfMm = (wish.toMm - wish.fromMm) / 2;
  const measured = clearanceMeasured(result);
  const clearance = measured ?? wish.aimMm;
  const doubt = Math.hypot(
    measured === null ? Math.hypot(scatterMm, correctionDoubtMm) : handMm,
    result.counterpartStandardMm,
    halfMm / Math.sqrt(3),
  );
  const shift = clearance - (wish.aimMm + MIDDLE_HALVES[result.verdict] * halfMm);
  const wide = ALLOWANCE_OFF_HALVES * halfMm;
  return (shift * wide ** 2) / (wide ** 2 + doubt ** 2);
}
