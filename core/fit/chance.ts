import jstat from 'jstat';

import { rectangular, uncertaintyOf, type SizeResult } from '@core/measure';
import type { Fit } from '@core/model';
import { correctionOf, NORMAL_95 } from '@core/workshop';

import { clearanceOf } from './clearance';
import { featureOf } from './features';
import type { FitSetting, Trail } from './trail';

/** Where the doubt about a fit comes from. */
export type Doubt = 'measuring' | 'making' | 'correction';

/** Something that would make a fit more certain, and the chance it would then have. */
export interface Improvement {
  by: 'readings' | 'instrument' | 'testPiece';
  probability: number;
}

/** How likely a fit goes as wished on the first make. Clearances in mm on the diameter. */
export interface FitChance {
  probability: number;
  /** Expected clearance, and its standard deviation. */
  meanMm: number;
  standardMm: number;
  /** Clearances that count as wished. */
  wish: { fromMm: number; toMm: number };
  /** Clearance in all but 2.5 % of cases at either end. */
  smallestMm: number;
  largestMm: number;
  /** Standard deviations by where they come from, largest first. */
  doubts: { doubt: Doubt; standardMm: number }[];
  /** What would raise the chance most; null when nothing raises it by a hundredth. */
  best: Improvement | null;
  /** Bands that hold the two mating sizes in about 95 % of cases, mm. */
  bands: { counterpart: Band; spare: Band };
}

export interface Band {
  fromMm: number;
  toMm: number;
}

/** A gain smaller than this is not worth a trip to the bench. */
const WORTHWHILE = 0.01;
/** How well a test piece, made and measured, tells the machine's correction: one standard deviation, mm. */
const AFTER_TEST_PIECE_MM = 0.012;
/** A micrometer for 0 to 25 mm after ISO 3611:2010, and one hand with it, mm. */
const MICROMETER = { errorMm: 0.004, resolutionMm: 0.001, handMm: 0.002 };
/** More readings than these tell nothing new. */
const ENOUGH_READINGS = 8;
const MORE_READINGS = 2;

/** Chance that a number falls between two limits: normal, or Student's t where its scatter is known from few. */
function within(meanMm: number, standardMm: number, degrees: number, { fromMm, toMm }: Band): number {
  if (standardMm === 0) return meanMm >= fromMm && meanMm <= toMm ? 1 : 0;
  const below = (mm: number) =>
    degrees === Infinity
      ? jstat.normal.cdf(mm, meanMm, standardMm)
      : jstat.studentt.cdf((mm - meanMm) / standardMm, degrees);
  return below(toMm) - below(fromMm);
}

/**
 * The chance of a fit, from the standard uncertainties of measuring, making and correcting, taken as normal and
 * independent: clearance = spare as made − counterpart (or the other way round), with the correction expected to
 * make up for the machine exactly.
 *
 * @param trail the fit's trail; `result` is the counterpart size it begins with.
 */
export function chanceOfFit(fit: Fit, trail: Trail, result: SizeResult, setting: FitSetting): FitChance {
  const feature = featureOf(fit.feature);
  const [origin, , corrected] = trail.entries;
  const sizeMm = origin!.value;
  const clearance = clearanceOf(fit, setting.table, sizeMm, feature.inside);
  const known = correctionOf(setting.machine, setting.family, feature.kind, sizeMm);
  const measuring = measuringOf(result, known.learned?.instrumentId ?? null);
  const making = known.learned?.scatterMm ?? setting.machine.scatterMm;
  const correction = known.plusMinusMm / NORMAL_95;
  const spacing = fit.feature === 'spacing';
  // Spacings may be off either way by what play the holes have.
  const wish = spacing
    ? { fromMm: -Math.max(0, clearance.aimMm), toMm: Math.max(0, clearance.aimMm) }
    : { fromMm: clearance.fromMm, toMm: clearance.toMm };
  const meanMm = spacing ? 0 : clearance.aimMm;
  const chanceOf = (parts: { measuring: number; correction: number }) => {
    const learnt = Math.hypot(making, parts.correction);
    const all = Math.hypot(learnt, parts.measuring);
    // Only what trials taught has few degrees of freedom (Welch and Satterthwaite, GUM G.2b).
    const degrees = known.learned ? known.learned.degrees * (all / learnt) ** 4 : Infinity;
    return within(meanMm, all, degrees, wish);
  };
  // What is aimed at is the middle of what is wished: no other aim is better.
  const chanceWith = (parts: { measuring?: number; correction?: number }) =>
    chanceOf({ measuring, correction, ...parts });
  const standardMm = Math.hypot(measuring, making, correction);
  const probability = chanceWith({});
  const improvements: Improvement[] = [];
  if (result.status === 'measured' && result.count < ENOUGH_READINGS) {
    improvements.push({ by: 'readings', probability: chanceWith({ measuring: afterMoreReadings(result) }) });
  }
  if (correction > AFTER_TEST_PIECE_MM) {
    improvements.push({
      by: 'testPiece',
      probability: chanceWith({ correction: AFTER_TEST_PIECE_MM }),
    });
  }
  if (result.status === 'measured') {
    improvements.push({
      by: 'instrument',
      probability: chanceWith({ measuring: afterMicrometer(result) }),
    });
  }
  const best = improvements.reduce<Improvement | null>(
    (most, other) => (most && most.probability >= other.probability ? most : other),
    null,
  );
  const doubts: FitChance['doubts'] = [
    { doubt: 'measuring', standardMm: measuring },
    { doubt: 'making', standardMm: making },
    { doubt: 'correction', standardMm: correction },
  ];
  // What comes out: the working size less the correction, which is there to be eaten up by the machine.
  const madeMm = trail.working - corrected!.value;
  const [halfOther, halfMade] = [NORMAL_95 * measuring, NORMAL_95 * Math.hypot(making, correction)];
  return {
    probability,
    meanMm,
    standardMm,
    wish,
    smallestMm: meanMm - NORMAL_95 * standardMm,
    largestMm: meanMm + NORMAL_95 * standardMm,
    doubts: doubts.sort((a, b) => b.standardMm - a.standardMm),
    best: best && best.probability - probability >= WORTHWHILE ? best : null,
    bands: {
      counterpart: { fromMm: sizeMm - halfOther, toMm: sizeMm + halfOther },
      spare: { fromMm: madeMm - halfMade, toMm: madeMm + halfMade },
    },
  };
}

/**
 * Standard uncertainty of the counterpart's size. Where a correction was learned with the instrument that measured it, the error that this has
 * in everything is in both and takes itself away.
 */
function measuringOf(result: SizeResult, learnedWith: string | null): number {
  const uncertainty = uncertaintyOf(result);
  if (!uncertainty) return 0;
  const own = uncertainty.contributions.filter(
    ({ source, instrumentId }) => source === 'instrument' && instrumentId === learnedWith,
  );
  return Math.sqrt(
    own.reduce((left, { standard }) => Math.max(0, left - standard ** 2), uncertainty.standard ** 2),
  );
}

/** Standard uncertainty if a micrometer takes it: what several readings scattered, the piece has to answer for. */
function afterMicrometer({ uncertainty, count }: Extract<SizeResult, { status: 'measured' }>): number {
  const scatters = uncertainty.contributions.filter(({ source }) => source === 'repeatability');
  return Math.hypot(
    ...(count > 1 ? scatters.map(({ standard }) => standard) : [MICROMETER.handMm]),
    rectangular(MICROMETER.errorMm),
    rectangular(MICROMETER.resolutionMm / 2),
  );
}

/** Standard uncertainty with two more readings that scatter as those that are there. */
function afterMoreReadings(result: Extract<SizeResult, { status: 'measured' }>): number {
  const { contributions } = result.uncertainty;
  return Math.sqrt(
    contributions.reduce((sum, { source, standard }) => {
      const shrink =
        source === 'repeatability' && (result.taken === 'mean' || result.taken === 'median')
          ? Math.sqrt(result.count / (result.count + MORE_READINGS))
          : 1;
      return sum + (standard * shrink) ** 2;
    }, 0),
  );
}
