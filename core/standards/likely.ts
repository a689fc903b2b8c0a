import jstat from 'jstat';

import {
  BEARINGS,
  BORE_RING_GROOVES,
  CLEARANCE_HOLES,
  DOWELS_MM,
  HEX_FLATS,
  leastFlatsMm,
  O_RING_SECTIONS,
  OTHER_FLATS,
  PIPES_MM,
  SHAFT_RING_GROOVES,
  STOCK_MM,
  STOCK_SIXTEENTHS,
} from './hardware';
import { THREADS, externalMajorMm, internalMinorMm } from './threads';
import { standardToleranceMm } from './toleranceGrades';

/** What a thing is to the eye: smooth and round, with a thread, with flats, or a groove. */
export const FORMS = ['round', 'thread', 'flats', 'groove'] as const;
export type Form = (typeof FORMS)[number];

/** A standard thing that a size may be a size of. */
export interface StandardThing {
  /** "Bearing seat 22, series 10, bore 8". */
  name: string;
  source: string;
  form: Form;
  /** What the size is called in the standard, mm. */
  nominalMm: number;
  /** Which diameter was measured, where that is not the one that the standard is called by. */
  across?: 'over the crests' | 'between the crests';
  /** Where sound examples of it measure, mm. */
  fromMm: number;
  toMm: number;
  /** Measured over the outside, or inside a hole. */
  side: 'outside' | 'inside' | 'width';
  /** How often one meets it, against other things: prior weight. */
  common: number;
  /** Pitch of a thread, mm, to hold against a pitch that was measured. */
  pitchMm?: number;
}

/** A standard thing with the probability that this is it, among all that agree and none of them. */
export interface LikelyThing extends StandardThing {
  probability: number;
}

const INCH_MM = 25.4;

const THINGS: readonly StandardThing[] = [
  ...THREADS.flatMap((thread): StandardThing[] => {
    const [outer, inner] = [externalMajorMm(thread), internalMinorMm(thread)];
    const shared = {
      source: thread.source,
      common: thread.common,
      pitchMm: thread.pitchMm,
      form: 'thread' as const,
    };
    return [
      {
        ...shared,
        name: `Thread ${thread.name}`,
        nominalMm: thread.majorMm,
        fromMm: outer.from,
        toMm: outer.to,
        side: 'outside',
        across: 'over the crests',
      },
      {
        ...shared,
        name: `Nut thread ${thread.name}`,
        nominalMm: thread.majorMm,
        fromMm: inner.from,
        toMm: inner.to,
        side: 'inside',
        across: 'between the crests',
      },
    ];
  }),
  ...bearingThings(),
  ...HEX_FLATS.map(([thread, flats]): StandardThing => ({
    name: `Hexagon of ${thread}, across flats`,
    source: 'ISO 272',
    form: 'flats',
    nominalMm: flats,
    fromMm: leastFlatsMm(flats),
    toMm: flats,
    side: 'outside',
    common: 0.6,
  })),
  ...OTHER_FLATS.map(([name, flatsMm, leastMm, source]): StandardThing => ({
    name: `Hexagon of ${name}, across flats`,
    source,
    form: 'flats',
    nominalMm: flatsMm,
    fromMm: leastMm,
    toMm: flatsMm,
    side: 'outside',
    common: 0.3,
  })),
  ...CLEARANCE_HOLES.flatMap(([thread, ...series]) =>
    series.map((hole, index): StandardThing => ({
      name: `Clearance hole for ${thread}, ${['fine', 'medium', 'coarse'][index]}`,
      source: 'ISO 273',
      form: 'round',
      nominalMm: hole,
      fromMm: hole,
      toMm: hole + standardToleranceMm(12 + index, hole),
      side: 'inside',
      common: [0.3, 0.8, 0.3][index]!,
    })),
  ),
  ...DOWELS_MM.map((mm): StandardThing => ({
    name: `Parallel pin ${mm}`,
    source: 'ISO 2338',
    form: 'round',
    nominalMm: mm,
    fromMm: mm - standardToleranceMm(8, mm),
    toMm: mm + standardToleranceMm(6, mm) * 2,
    side: 'outside',
    common: 0.5,
  })),
  ...ringGrooves(),
  ...O_RING_SECTIONS.map(([section, plusMinus, source]): StandardThing => ({
    name: `O-ring section ${section}`,
    source,
    form: 'round',
    nominalMm: section,
    fromMm: section - plusMinus,
    toMm: section + plusMinus,
    side: 'outside',
    common: 0.25,
  })),
  ...PIPES_MM.map(([mm, fromMm, toMm]): StandardThing => ({
    name: `Steel pipe ${mm}`,
    source: 'ISO 65',
    form: 'round',
    nominalMm: mm,
    fromMm,
    toMm,
    side: 'outside',
    common: 0.4,
  })),
  ...STOCK_MM.map(([mm, source]): StandardThing => ({
    name: `Bar or tube ${mm}`,
    source,
    form: 'round',
    nominalMm: mm,
    fromMm: mm - standardToleranceMm(12, mm),
    toMm: mm + standardToleranceMm(11, mm),
    side: 'outside',
    common: 0.4,
  })),
  ...STOCK_SIXTEENTHS.map((sixteenths): StandardThing => ({
    name: `Bar or tube ${inchWords(sixteenths)} in`,
    source: 'inch stock',
    form: 'round',
    nominalMm: (sixteenths / 16) * INCH_MM,
    fromMm: (sixteenths / 16) * INCH_MM - 0.1,
    toMm: (sixteenths / 16) * INCH_MM + 0.1,
    side: 'outside',
    common: 0.25,
  })),
];

function inchWords(sixteenths: number): string {
  const whole = Math.floor(sixteenths / 16);
  let [over, under] = [sixteenths % 16, 16];
  while (over > 0 && over % 2 === 0) [over, under] = [over / 2, under / 2];
  return [whole > 0 ? String(whole) : '', over > 0 ? `${over}/${under}` : ''].filter(Boolean).join(' ');
}

/** Bores and outsides of bearings, each once, with the bearings that have it. */
function bearingThings(): StandardThing[] {
  const inMillimetres = (side: 'boreMm' | 'outsideMm' | 'widthMm') =>
    [...new Set(BEARINGS.map((bearing) => bearing[side]))].sort((a, b) => a - b);
  const bearingsWith = (side: 'boreMm' | 'outsideMm', mm: number) =>
    BEARINGS.filter((bearing) => bearing[side] === mm);
  const list = (side: 'boreMm' | 'outsideMm', mm: number) =>
    bearingsWith(side, mm)
      .slice(0, 3)
      .map(({ boreMm, outsideMm, widthMm }) => `${boreMm} × ${outsideMm} × ${widthMm}`)
      .join(', ');
  // Deviations of the mean bore and outside of normal class are 8 to 15 µm (ISO 492).
  return [
    ...inMillimetres('outsideMm').flatMap((mm): StandardThing[] => [
      {
        name: `Bearing outside ${mm} (${list('outsideMm', mm)})`,
        source: 'ISO 15',
        form: 'round',
        nominalMm: mm,
        fromMm: mm - 0.015,
        toMm: mm,
        side: 'outside',
        common: 0.6,
      },
      {
        name: `Bearing seat ${mm} (${list('outsideMm', mm)})`,
        source: 'ISO 15',
        form: 'round',
        nominalMm: mm,
        fromMm: mm - standardToleranceMm(8, mm),
        toMm: mm + standardToleranceMm(8, mm),
        side: 'inside',
        common: 0.7,
      },
    ]),
    ...inMillimetres('boreMm').flatMap((mm): StandardThing[] => [
      {
        name: `Bearing bore ${mm} (${list('boreMm', mm)})`,
        source: 'ISO 15',
        form: 'round',
        nominalMm: mm,
        fromMm: mm - 0.012,
        toMm: mm,
        side: 'inside',
        common: 0.6,
      },
      {
        name: `Shaft for bearing ${mm} (${list('boreMm', mm)})`,
        source: 'ISO 15',
        form: 'round',
        nominalMm: mm,
        fromMm: mm - standardToleranceMm(7, mm),
        toMm: mm + standardToleranceMm(7, mm),
        side: 'outside',
        common: 0.4,
      },
    ]),
  ];
}

/** Groove diameters are h11 and H11 below 24 mm, h12 and H12 from there (DIN 471, DIN 472). */
function grooveGrade(mm: number): number {
  return mm < 24 ? 11 : 12;
}

function ringGrooves(): StandardThing[] {
  return [
    ...SHAFT_RING_GROOVES.map(([shaft, groove]): StandardThing => ({
      name: `Ring groove on a shaft of ${shaft}`,
      source: 'DIN 471',
      form: 'groove',
      nominalMm: groove,
      fromMm: groove - standardToleranceMm(grooveGrade(groove), groove),
      toMm: groove,
      side: 'outside',
      common: 0.15,
    })),
    ...BORE_RING_GROOVES.map(([bore, groove]): StandardThing => ({
      name: `Ring groove in a bore of ${bore}`,
      source: 'DIN 472',
      form: 'groove',
      nominalMm: groove,
      fromMm: groove,
      toMm: groove + standardToleranceMm(grooveGrade(groove), groove),
      side: 'inside',
      common: 0.15,
    })),
    ...[...new Set(SHAFT_RING_GROOVES.map(([, , width]) => width))].map((width): StandardThing => ({
      name: `Ring groove, ${width} wide`,
      source: 'DIN 471',
      form: 'groove',
      nominalMm: width,
      fromMm: width,
      toMm: width + standardToleranceMm(13, width),
      side: 'width',
      common: 0.3,
    })),
  ];
}

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
