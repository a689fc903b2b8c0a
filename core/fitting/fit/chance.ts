import jstat from 'jstat';

import { isKnown, rectangular, uncertaintyOf, type SizeResult } from '@core/measuring/measure';
import type { Fit, Size } from '@core/record/model';
import { correctionOf, NORMAL_95, type DoubtPart } from '@core/record/workshop';

import { clearanceOf } from './clearance';
import { askedOfFit, featureOf } from './features';
import { chanceOfAll } from './severalMates';
import { counterpartOf, type FitSetting, type Trail } from './trail';

/** Where the doubt about a fit comes from. */
export type Doubt = 'measuring' | 'making' | 'correction' | 'mates';

/** Something that would make a fit more certain, and the chance it would then have. */
export interface Improvement {
  by: 'readings' | 'instrument' | 'testPiece';
  probability: number;
}

/** One of several counterparts of a fit, and how likely what is made goes on that one. */
export interface MateChance {
  tag: string;
  name: string;
  mm: number;
  probability: number;
}

/** How likely a fit goes as wished on the first make. Clearances in mm on the diameter. */
export interface FitChance {
  /** That it goes as wished; of several counterparts, on all of them. */
  probability: number;
  /** Each counterpart, where there are several. */
  mates: MateChance[];
  /** How far the smallest and the largest of them are apart, where that is more than what is wished allows: no single number serves both. */
  tooFarApartMm: number | null;
  /** What nobody could better: with the sizes and the machine's habit known, and nothing left but its scatter. */
  atBest: number;
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
  /** By how much the machine's doubts were widened, since more came out beside what was stated than should; 1 where nothing was. */
  widened: number;
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
 * @param trail the fit's trail.
 * @param counterparts what it has to fit: the size that the trail begins with, and further ones if there are several.
 */
export function chanceOfFit(
  fit: Fit,
  trail: Trail,
  counterparts: readonly { size: Size; result: SizeResult }[],
  setting: FitSetting,
): FitChance {
  const feature = featureOf(fit.feature);
  const result = counterparts[0]!.result;
  const corrected = trail.entries.find(({ kind }) => kind === 'correction');
  const sizeMm = counterpartOf(trail);
  const clearance = clearanceOf(fit, setting.table, sizeMm, feature.inside);
  const known = correctionOf(setting.machine, setting.family, feature.kind, sizeMm, askedOfFit(fit));
  const several = matesOf(counterparts, sizeMm, feature.inside);
  // With several, the one that is known least stands for all where a single doubt is told.
  const measuring = Math.max(...several.map((mate) => mate.measuring));
  const { doubts: parts } = known;
  const making = rootMean(parts, ({ scatterMm }) => scatterMm);
  const correction = known.plusMinusMm / NORMAL_95;
  const spacing = fit.feature === 'spacing';
  // Spacings may be off either way by what play the holes have.
  const wish = spacing
    ? { fromMm: -Math.max(0, clearance.aimMm), toMm: Math.max(0, clearance.aimMm) }
    : { fromMm: clearance.fromMm, toMm: clearance.toMm };
  const meanMm = spacing ? 0 : clearance.aimMm;
  // Rows of before 30 November 2026 have one normal doubt and few degrees of freedom (Welch and Satterthwaite, GUM G.2b).
  const degreesOf = (all: number, learnt: number) =>
    known.learned && parts.length === 1 ? known.learned.degrees * (all / learnt) ** 4 : Infinity;
  /** Over the parts of the doubt; `left` stands for that of the correction where it is asked what would be left of it. */
  const overParts = (left: number | undefined, chanceIn: (common: number) => number) =>
    parts.reduce(
      (sum, { share, standardMm, scatterMm }) =>
        sum + share * chanceIn(Math.hypot(scatterMm, left ?? standardMm)),
      0,
    );
  const chanceOfOne = (offMm: number, one: { measuring: number; correction?: number }) =>
    overParts(one.correction, (learnt) => {
      const all = Math.hypot(learnt, one.measuring);
      return within(meanMm + offMm, all, degreesOf(all, learnt), wish);
    });
  const sharedMm = sharedOf(counterparts);
  // What is aimed at is the middle of what is wished: no other aim is better.
  const chanceWith = (better: {
    /** What would be left of the doubt of a size. */
    measuring?: (result: Extract<SizeResult, { status: 'measured' }>) => number;
    correction?: number;
  }) => {
    const doubtOf = (index: number) => {
      const { result: of } = counterparts[index]!;
      return better.measuring && of.status === 'measured' ? better.measuring(of) : several[index]!.measuring;
    };
    if (several.length === 1) {
      return chanceOfOne(0, { measuring: doubtOf(0), correction: better.correction });
    }
    return overParts(better.correction, (common) =>
      chanceOfAll(
        several.map(({ offMm }, index) => ({
          meanMm: meanMm + offMm,
          ownMm: Math.sqrt(Math.max(0, doubtOf(index) ** 2 - sharedMm ** 2)),
        })),
        Math.hypot(common, sharedMm),
        parts.length === 1 ? (known.learned?.degrees ?? Infinity) : Infinity,
        wish,
      ),
    );
  };
  const standardMm = Math.hypot(measuring, making, correction);
  const probability = chanceWith({});
  const improvements: Improvement[] = [];
  if (result.status === 'measured' && result.count < ENOUGH_READINGS) {
    improvements.push({ by: 'readings', probability: chanceWith({ measuring: afterMoreReadings }) });
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
      probability: chanceWith({ measuring: afterMicrometer }),
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
  const sizesMm = counterparts.flatMap(({ result: of }) => (isKnown(of) ? [of.value] : []));
  const apartMm = counterparts.length > 1 ? Math.max(...sizesMm) - Math.min(...sizesMm) : 0;
  if (apartMm > 0) doubts.push({ doubt: 'mates', standardMm: apartMm / 2 });
  // What comes out: the working size less the correction, which is there to be eaten up by the machine.
  const madeMm = trail.working - corrected!.value;
  const [halfOther, halfMade] = [NORMAL_95 * measuring, NORMAL_95 * Math.hypot(making, correction)];
  return {
    probability,
    mates:
      counterparts.length === 1
        ? []
        : counterparts.map(({ size, result: of }, index) => ({
            tag: size.tag,
            name: size.name,
            mm: isKnown(of) ? of.value : sizeMm,
            probability: chanceOfOne(several[index]!.offMm, {
              measuring: several[index]!.measuring,
            }),
          })),
    widened: known.learned?.widened ?? 1,
    atBest: chanceWith({ measuring: () => 0, correction: 0 }),
    tooFarApartMm: apartMm > wish.toMm - wish.fromMm ? apartMm : null,
    meanMm,
    standardMm,
    wish,
    smallestMm: meanMm - apartMm / 2 - NORMAL_95 * standardMm,
    largestMm: meanMm + apartMm / 2 + NORMAL_95 * standardMm,
    doubts: doubts.sort((a, b) => b.standardMm - a.standardMm),
    best: best && best.probability - probability >= WORTHWHILE ? best : null,
    bands: {
      counterpart: { fromMm: sizeMm - apartMm / 2 - halfOther, toMm: sizeMm + apartMm / 2 + halfOther },
      spare: { fromMm: madeMm - halfMade, toMm: madeMm + halfMade },
    },
  };
}

/** Root of the mean square over the parts of a doubt. */
const rootMean = (parts: readonly DoubtPart[], of: (part: DoubtPart) => number) =>
  Math.sqrt(parts.reduce((sum, part) => sum + part.share * of(part) ** 2, 0));

/** How much more clearance each counterpart leaves than the middle that is gone by, and how surely its size is known. mm. */
function matesOf(
  counterparts: readonly { result: SizeResult }[],
  middleMm: number,
  inside: boolean,
): { offMm: number; measuring: number }[] {
  return counterparts.map(({ result }) => {
    const measuring = measuringOf(result);
    if (counterparts.length === 1 || !isKnown(result)) return { offMm: 0, measuring };
    return { offMm: inside ? middleMm - result.value : result.value - middleMm, measuring };
  });
}

/** What the doubts of several sizes surely share of the error of the instrument, where one measured them all with the same jaws. mm. */
function sharedOf(counterparts: readonly { result: SizeResult }[]): number {
  const errors = counterparts.map(({ result }) =>
    uncertaintyOf(result)?.contributions.find(({ source }) => source === 'instrument'),
  );
  const [first] = errors;
  const isOne =
    first?.instrumentId !== undefined &&
    errors.every(
      (one) => one !== undefined && one.instrumentId === first.instrumentId && one.jaw === first.jaw,
    );
  if (counterparts.length < 2 || !isOne) return 0;
  return Math.sqrt(first.leastShared ?? 0) * Math.min(...errors.map((one) => one!.standard));
}

/**
 * Standard uncertainty of the counterpart's size. Where a correction was learned with the same instrument, its error is in what was made too, and
 * half of its variance is taken to be the same: the difference of the two then has as much as one of them, whichever measured the counterpart.
 */
const measuringOf = (result: SizeResult): number => uncertaintyOf(result)?.standard ?? 0;

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
