import jstat from 'jstat';

import { bearingThings } from './bearings';
import { clearanceThings } from './clearanceHoles';
import { grooveThings } from './grooves';
import { hexagonThings } from './hexagons';
import { pinThings } from './pins';
import { smallThings } from './smallThings';
import { stockThings } from './stock';
import type { Form, StandardThing } from './thing';
import { threadThings } from './threads';

/** A standard thing with the probability that this is it, among all that agree and none of them. */
export interface LikelyThing extends StandardThing {
  probability: number;
}

const THINGS: readonly StandardThing[] = [
  ...threadThings(),
  ...bearingThings(),
  ...hexagonThings(),
  ...clearanceThings(),
  ...pinThings(),
  ...grooveThings(),
  ...stockThings(),
  ...smallThings(),
];

/** Further than this many standard uncertainties outside its limits, a thing is not what was measured. */
const BEYOND = 4;
/** Agreement of a measured pitch with a thread's, one standard deviation as a share of the pitch. */
const PITCH_SPREAD = 0.03;
/** Sizes of which one is likely to be a standard one, mm: below this nearly all that is measured lies. */
const COMMON_REACH_MM = 60;
/** A caliper never does better than this on a used part, mm. */
const LEAST_SPREAD_MM = 0.008;

/** Everything that a size taken there may be; of one form only, once that is known. */
function candidates(side: 'outside' | 'inside', form: Form | null): StandardThing[] {
  return THINGS.filter(
    (thing) =>
      (thing.side === side || (thing.side === 'width' && side === 'inside')) &&
      (form === null || thing.form === form),
  );
}

/**
 * Weight of its being no standard thing at all, for every millimetre. Half of all measured sizes are none, and lie evenly; so
 * it weighs as much as all standard things together, spread over where sizes lie.
 */
const noStandard = (things: readonly StandardThing[]) =>
  things.reduce((sum, { common, nominalMm }) => sum + (nominalMm <= COMMON_REACH_MM ? common : 0), 0) /
  COMMON_REACH_MM;

/**
 * Standard things that a measured size may belong to, most likely first (Bayes): the density of reading this value off a
 * sound example, anywhere within its limits and blurred by the measurement, times how common the thing is.
 *
 * @param measured value and standard uncertainty, mm; where it was taken; what form the thing has, and the pitch, if
 * these are known.
 */
export function likelyStandards(
  measured: {
    mm: number;
    standardMm: number;
    side: 'outside' | 'inside';
    form?: Form | null;
    pitchMm?: number | null;
  },
  most = 6,
): LikelyThing[] {
  const { mm, side, form = null, pitchMm } = measured;
  const spread = Math.max(measured.standardMm, LEAST_SPREAD_MM);
  const things = candidates(side, form);
  const weighed = things.flatMap((thing) => {
    if (Math.max(thing.fromMm - mm, mm - thing.toMm) > BEYOND * spread) return [];
    let weight = thing.common * densityWithin(mm, thing, spread);
    if (pitchMm) {
      if (thing.pitchMm === undefined) weight *= 0.01;
      else weight *= Math.exp(-0.5 * ((pitchMm - thing.pitchMm) / (PITCH_SPREAD * thing.pitchMm)) ** 2);
    }
    return weight > 0 ? [{ thing, weight }] : [];
  });
  const total = weighed.reduce((sum, { weight }) => sum + weight, noStandard(things));
  return weighed
    .sort((a, b) => b.weight - a.weight)
    .slice(0, most)
    .map(({ thing, weight }) => ({ ...thing, probability: weight / total }));
}

/** Density of a value that lies evenly between two limits, seen through a normal error. Per mm. */
function densityWithin(mm: number, { fromMm, toMm }: StandardThing, spread: number): number {
  const below = (limit: number) => jstat.normal.cdf((limit - mm) / spread, 0, 1);
  return (below(toMm) - below(fromMm)) / (toMm - fromMm);
}

/**
 * How far a sound thing may be off the number that its standard calls it by, mm: what stays unsure of a size that is taken as
 * that number. Where another diameter is called than is measured, as far as its limits lie apart.
 */
export function doubtOf({ nominalMm, fromMm, toMm }: StandardThing): number {
  const isWithin = fromMm <= nominalMm && nominalMm <= toMm;
  return isWithin ? Math.max(nominalMm - fromMm, toMm - nominalMm) : (toMm - fromMm) / 2;
}

/** All things known, for the tests that look through the tables. */
export const STANDARD_THINGS = THINGS;
