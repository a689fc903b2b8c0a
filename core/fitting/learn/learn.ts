import equal from 'fast-deep-equal';
import { LRUCache } from 'lru-cache';

import { FIT_FEATURES } from '@core/fitting/fit';
import {
  FeatureKind,
  type Correction,
  type FitFeature,
  type Instrument,
  type LearnedLine,
  type Machine,
  type MaterialFamily,
} from '@core/record/model';
import { NORMAL_95 } from '@core/record/workshop';

import { COEFFICIENTS, factorsAt, Terms, type Target } from './covariance';
import { likely, type Weighed } from './evidence';
import { inner } from './gaussian';
import { startingOf, type MadeSize } from './habits';
import { widenedBy } from './widened';

/** What a machine does to one kind of feature: what is made less what was asked, in the factors of `factorsAt`. */
export interface HabitLine {
  mean: readonly number[];
  /** Normal numbers about that mean, of which it is one: covariances, row by row, and how far makes scatter. */
  parts: readonly { share: number; covariance: readonly (readonly number[])[]; scatterMm: number }[];
}

/** What a machine was found to do, from trials. */
export interface Habits {
  /** How likely each is no slip or bad make, 0 to 1, by its id. */
  trust: ReadonlyMap<string, number>;
  /** Those that are taken for odd: they hardly count. */
  odd: readonly string[];
  line(target: Target): HabitLine;
  /** By how much all doubts were widened, since more came out beside what was to be expected than should; 1 where none did. */
  widened: number;
}

/** Made sizes of further back than these say nothing that later ones do not, and what is worked out grows with their cube. */
export const MOST_MADE_SIZES = 120;
/** Parts that a doubt is told in. */
const PARTS = 4;
/** Where parts are told apart by how doubtful they are, mm. */
const TYPICAL_MM = 15;

/**
 * What a machine does to sizes, from what it made: each hypothesis of what it may be like is weighed by how well it explains that (`evidence.ts`), and
 * what follows is the mean over all of them.
 *
 * @param made by time; the latest 120 count.
 */
export function habitsOf(
  machine: Machine,
  family: MaterialFamily,
  instrument: Instrument,
  made: readonly MadeSize[],
): Habits {
  const counted = made.slice(-MOST_MADE_SIZES);
  const key = JSON.stringify([startingOf(machine), family, instrument, counted]);
  const before = workedOut.get(key);
  if (before) return before;
  const habits = learnt(machine, family, instrument, counted);
  workedOut.set(key, habits);
  return habits;
}

/** What was learned last: several cards of one screen ask for the same, and it takes a tenth of a second. */
const workedOut = new LRUCache<string, Habits>({ max: 12 });

function learnt(
  machine: Machine,
  family: MaterialFamily,
  instrument: Instrument,
  counted: readonly MadeSize[],
): Habits {
  const terms = new Terms(counted, machine, family, instrument);
  const known = likely(machine.process, machine.scatterMm, terms);
  const widened = widenedBy(known, terms);
  const trust = new Map(
    counted.map(({ id }, index) => [
      id,
      known.reduce((sum, { weight, weighed }) => sum + (weighed.odd[index] ? 0 : weight), 0),
    ]),
  );
  const lines = new Map<string, HabitLine>();
  return {
    trust,
    odd: counted.flatMap(({ id }) => (trust.get(id)! < 0.5 ? [id] : [])),
    widened,
    line(target) {
      const key = `${target.kind} ${target.fitFeature}`;
      const line = lines.get(key) ?? lineOf(target, known, terms, widened);
      lines.set(key, line);
      return line;
    },
  };
}

/** The coefficients of a target under each hypothesis, put together in a few parts. */
function lineOf(
  target: Target,
  known: readonly { weight: number; weighed: Weighed }[],
  terms: Terms,
  widened: number,
): HabitLine {
  const each = known.map(({ weight, weighed }) => ({ weight, ...under(target, weighed, terms) }));
  const mean = new Float64Array(COEFFICIENTS);
  for (const one of each)
    for (let at = 0; at < COEFFICIENTS; at += 1) mean[at]! += one.weight * one.mean[at]!;
  const parts = groupedByDoubt(each).map((group): HabitLine['parts'][number] => {
    const sum = new Float64Array(COEFFICIENTS ** 2);
    let [share, scatter] = [0, 0];
    for (const one of group) {
      share += one.weight;
      scatter += one.weight * one.scatterMm ** 2;
      for (let row = 0; row < COEFFICIENTS; row += 1) {
        const off = one.mean[row]! - mean[row]!;
        for (let column = 0; column < COEFFICIENTS; column += 1) {
          const at = COEFFICIENTS * row + column;
          sum[at]! += one.weight * (one.covariance[at]! + off * (one.mean[column]! - mean[column]!));
        }
      }
    }
    const wide = widened ** 2 / share;
    return {
      share,
      scatterMm: Math.sqrt(wide * scatter),
      covariance: Array.from(mean, (_, row) =>
        Array.from(sum.subarray(COEFFICIENTS * row, COEFFICIENTS * (row + 1)), (one) => wide * one),
      ),
    };
  });
  const [offsetMm, scale] = terms.startingLine(target.kind);
  return { mean: [mean[0]! + offsetMm, mean[1]! + scale, mean[2]!, mean[3]!], parts };
}

/** Hypotheses in a few groups of about the same weight, by how doubtful a typical make is under each. */
function groupedByDoubt<T extends { weight: number; covariance: Float64Array; scatterMm: number }>(
  each: readonly T[],
): T[][] {
  const typical = factorsAt(TYPICAL_MM);
  const doubtOf = ({ covariance, scatterMm }: T) => {
    let sum = scatterMm ** 2;
    for (let at = 0; at < covariance.length; at += 1) {
      sum += covariance[at]! * typical[Math.floor(at / COEFFICIENTS)]! * typical[at % COEFFICIENTS]!;
    }
    return sum;
  };
  const sorted = each.map((one) => ({ one, doubt: doubtOf(one) })).sort((a, b) => a.doubt - b.doubt);
  const groups: T[][] = Array.from({ length: PARTS }, () => []);
  let before = 0;
  for (const { one } of sorted) {
    groups[Math.min(PARTS - 1, Math.floor(PARTS * (before + one.weight / 2)))]!.push(one);
    before += one.weight;
  }
  return groups.filter((group) => group.length > 0);
}

/** What one hypothesis says of a target's coefficients beside the starting corrections (Rasmussen & Williams, "Gaussian Processes", 2.7). */
function under(target: Target, { hypothesis, inverse, image }: Weighed, terms: Terms) {
  const n = terms.count;
  const rows = terms.withTarget(target, hypothesis);
  const before = terms.before(target, hypothesis);
  const mean = new Float64Array(COEFFICIENTS);
  const covariance = new Float64Array(COEFFICIENTS ** 2);
  for (let at = 0; at < COEFFICIENTS; at += 1) {
    if (before[at] === 0) continue;
    const own = rows[at]!;
    mean[at] = inner(own, image);
    covariance[COEFFICIENTS * at + at]! += before[at]!;
    for (let row = 0; row < n; row += 1) {
      let sum = 0;
      for (let column = 0; column < n; column += 1) sum += inverse[row * n + column]! * own[column]!;
      for (let other = 0; other < COEFFICIENTS; other += 1) {
        covariance[COEFFICIENTS * other + at]! -= rows[other]![row]! * sum;
      }
    }
  }
  // A new make has an offset of its own, and goes on drifting.
  return { mean, covariance, scatterMm: Math.hypot(hypothesis.scatterMm, hypothesis.makeMm) };
}

const quadratic = (matrix: readonly (readonly number[])[], x: readonly number[]) =>
  matrix.reduce(
    (sum, row, at) => sum + x[at]! * row.reduce((inside, one, other) => inside + one * x[other]!, 0),
    0,
  );

/** What is expected of a make: its mean less what was asked, the doubt of that alone, and with the scatter of a new make. mm. */
export function expectedMake(
  habits: Habits,
  target: Target,
  askedMm: number,
): { mean: number; doubt: number; scale: number } {
  const { mean, parts } = habits.line(target);
  const factors = factorsAt(askedMm);
  if (target.kind !== 'inside') factors[2] = 0;
  const variance = parts.reduce((sum, { share, covariance }) => {
    const sideways = (covariance[3]![3]! + mean[3]! ** 2) * (askedMm / 2) ** 2;
    return sum + share * (quadratic(covariance, factors) + sideways);
  }, 0);
  const scatter = parts.reduce((sum, { share, scatterMm }) => sum + share * scatterMm ** 2, 0);
  return {
    mean: mean.reduce((sum, one, at) => sum + one * factors[at]!, 0),
    doubt: Math.sqrt(Math.max(0, variance)),
    scale: Math.sqrt(Math.max(0, variance) + scatter),
  };
}

/**
 * The machine with corrections as its trials teach them, for one family of material; what stood there before is kept in each. Without any
 * made size, as it was before it learned.
 *
 * @param from where it was learned, for the trail: "4 trials".
 */
export function machineThatLearned(
  machine: Machine,
  family: MaterialFamily,
  instrument: Instrument,
  made: readonly MadeSize[],
  from: string,
): Machine {
  const starting = startingOf(machine);
  if (made.length === 0) return withoutFamily(machine, family);
  const habits = habitsOf(machine, family, instrument, made);
  const corrections = FeatureKind.options.map((kind): Correction => {
    const before = starting.corrections.find((one) => one.family === family && one.feature === kind);
    const stated =
      before &&
      (({ offsetMm, scale, plusMinusMm, learnedFrom }) => ({ offsetMm, scale, plusMinusMm, learnedFrom }))(
        before,
      );
    const usual = habits.line({ kind, fitFeature: null });
    const { doubt } = expectedMake(habits, { kind, fitFeature: null }, USUAL_MM);
    const averaged = (row: number, column: number) =>
      usual.parts.reduce((sum, { share, covariance }) => sum + share * covariance[row]![column]!, 0);
    return {
      family,
      feature: kind,
      offsetMm: clamp(-usual.mean[0]!, 5),
      scale: clamp(-usual.mean[1]!, 0.2),
      plusMinusMm: clamp(NORMAL_95 * doubt, 5),
      learnedFrom: from,
      learned: {
        count: made.length - habits.odd.length,
        doubt: [averaged(0, 0), averaged(0, 1), averaged(1, 1)],
        scatterMm: Math.sqrt(
          usual.parts.reduce((sum, { share, scatterMm }) => sum + share * scatterMm ** 2, 0),
        ),
        degrees: made.length,
        instrumentId: instrument.id,
        lines: linesOf(kind, habits, made),
        ...(habits.widened > 1 ? { widened: habits.widened } : {}),
        before: stated ?? null,
      },
    };
  });
  return { ...machine, corrections: [...withoutFamily(machine, family, false).corrections, ...corrections] };
}

/** Whether a machine's corrections are what its trials teach, however a store put the keys in order. */
export const usesWhatItLearned = (machine: Machine, taught: Machine): boolean =>
  equal(machine.corrections, taught.corrections);

/** Where a learned doubt is told by one number, mm. */
const USUAL_MM = 20;

/** What is kept of all that was learned of a kind of feature: a line for each of its fits that was measured, and one for any other. */
function linesOf(
  kind: FeatureKind,
  habits: Habits,
  made: readonly MadeSize[],
): NonNullable<Correction['learned']>['lines'] {
  const measured = new Set(made.map(({ fitFeature }) => fitFeature));
  const targets: (FitFeature | null)[] = [
    null,
    ...FIT_FEATURES.flatMap((one) => (one.kind === kind && measured.has(one.id) ? [one.id] : [])),
  ];
  return Object.fromEntries(
    targets.map((fitFeature) => [fitFeature ?? 'any', keptLine(habits.line({ kind, fitFeature }))]),
  );
}

const keptLine = ({ mean, parts }: HabitLine): LearnedLine => ({
  offsetMm: clamp(-short(mean[0]!), 5),
  scale: clamp(-short(mean[1]!), 0.2),
  smallMm2: clamp(-short(mean[2]!), 10),
  across: clamp(-short(mean[3]!), 0.2),
  parts: parts.map(({ share, covariance, scatterMm }) => ({
    share: short(share),
    scatterMm: short(scatterMm),
    doubt: covariance.flatMap((row, at) => row.slice(0, at + 1).map(short)),
  })),
});

/** To six digits: more of them are nobody's knowledge, and rows are kept and sent whole. */
const short = (value: number) => Number(value.toPrecision(6));

/** The machine before it learned of a family; `restore` false leaves that family's rows out altogether. */
function withoutFamily(machine: Machine, family: MaterialFamily, restore = true): Machine {
  const others = machine.corrections.filter((one) => one.family !== family);
  const own = restore ? startingOf(machine).corrections.filter((one) => one.family === family) : [];
  return { ...machine, corrections: [...others, ...own] };
}

const clamp = (value: number, limit: number) => Math.min(limit, Math.max(-limit, value));
