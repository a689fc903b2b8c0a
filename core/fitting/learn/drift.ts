import { median } from '@core/measuring/measure';
import { FeatureKind, type Instrument, type Machine, type MaterialFamily } from '@core/record/model';

import type { MadeSize } from './habits';
import { expectedMake, habitsOf, type Habits } from './learn';

/** A machine that makes otherwise since some trial. */
export interface Drift {
  feature: FeatureKind;
  /** How much larger it makes this kind of feature since then, mm. */
  shiftMm: number;
  /** The first trial of the new time. */
  sinceTrialId: string;
}

/** Makes on either side below which nothing is said: one odd make is no new habit, and a second may come by chance. */
const ENOUGH_MAKES = 3;
/** A change is told when it is this many deviations from what was learned before (many times are looked at), and worth a word. */
const SURELY = 4.6;
const WORTH_MM = 0.03;
/** How much less surely a median knows the middle than a mean. */
const MEDIAN = Math.sqrt(Math.PI / 2);
/** Share of the makes since then that have to be on the new side. */
const MOST = 0.6;
/** Further back than these trials nobody looks. */
const LOOKED_AT = 25;

/**
 * Whether a machine makes otherwise since some trial. At each time between two trials, how far makes are from what was learned until then is
 * taken on either side; the time that parts them best (least sum of deviations from either side's median, so that odd makes do not decide) is then
 * held against the doubt of both. It is told only if at least three makes, and most of those since, are on the new side.
 *
 * @param made by time.
 */
export function driftOf(
  machine: Machine,
  family: MaterialFamily,
  instrument: Instrument,
  made: readonly MadeSize[],
): Drift | null {
  const found = FeatureKind.options.flatMap(
    (feature) => driftIn(feature, machine, family, instrument, made) ?? [],
  );
  const [clearest] = found.sort((a, b) => Math.abs(b.shiftMm) - Math.abs(a.shiftMm));
  return clearest ?? null;
}

function driftIn(
  feature: FeatureKind,
  machine: Machine,
  family: MaterialFamily,
  instrument: Instrument,
  made: readonly MadeSize[],
): Drift | null {
  const makes = makesOf(made, feature);
  if (makes.length < 2 * ENOUGH_MAKES) return null;
  const all = habitsOf(machine, family, instrument, made);
  const off = makes.map((make) => offOf(make, all));
  const first = Math.max(ENOUGH_MAKES, makes.length - LOOKED_AT);
  const turn = placeOfLeast(
    Array.from({ length: makes.length - ENOUGH_MAKES - first + 1 }, (_, index) => {
      const place = first + index;
      return [place, spreadOf(off.slice(0, place)) + spreadOf(off.slice(place))] as const;
    }),
  );
  const since = makes[turn]!;
  const { trialId } = since[0]!;
  const before = made.slice(
    0,
    made.findIndex((one) => one.trialId === trialId),
  );
  const habits = habitsOf(machine, family, instrument, before);
  const after = makes.slice(turn);
  const shifts = after.map((make) => offOf(make, habits));
  const shiftMm = median(shifts);
  const handMm = Math.max(...after.flat().map((one) => one.handMm));
  const middleMm = median(after.flat().map(({ askedMm }) => askedMm));
  const { doubt: knownMm, scale } = expectedMake(habits, { kind: feature, fitFeature: null }, middleMm);
  const variance = scale ** 2 - knownMm ** 2;
  const smallest = Math.min(2, ...after.map(({ length }) => length));
  const doubt = Math.sqrt(
    knownMm ** 2 + (MEDIAN ** 2 * (variance + handMm ** 2)) / (after.length * smallest),
  );
  const onNewSide = shifts.filter((mm) => Math.abs(mm - shiftMm) < Math.abs(shiftMm) / 2).length;
  const isTold =
    Math.abs(shiftMm) >= Math.max(WORTH_MM, SURELY * doubt) &&
    onNewSide >= Math.max(ENOUGH_MAKES, MOST * after.length);
  return isTold ? { feature, shiftMm, sinceTrialId: trialId } : null;
}

/** Made sizes of one kind, make by make. What went wrong with a make went wrong with all of it, so each speaks once. */
function makesOf(made: readonly MadeSize[], feature: FeatureKind): MadeSize[][] {
  const makes = new Map<string, MadeSize[]>();
  for (const one of made) {
    if (one.feature !== feature) continue;
    const make = makes.get(one.trialId);
    if (make) make.push(one);
    else makes.set(one.trialId, [one]);
  }
  return [...makes.values()];
}

/** How far a make is from what habits let expect, mm. */
const offOf = (make: readonly MadeSize[], habits: Habits): number =>
  median(
    make.map(
      ({ feature, fitFeature, madeMm, askedMm }) =>
        madeMm -
        askedMm -
        expectedMake(habits, { kind: feature, fitFeature: fitFeature ?? null }, askedMm).mean,
    ),
  );

function spreadOf(values: readonly number[]): number {
  const middle = median(values);
  return values.reduce((sum, value) => sum + Math.abs(value - middle), 0);
}

const placeOfLeast = (costs: readonly (readonly [place: number, cost: number])[]): number =>
  costs.reduce((best, one) => (one[1] < best[1] ? one : best))[0];
