import {
  BEARINGS,
  BORE_RING_GROOVES,
  CLEARANCE_HOLES,
  DOWELS_MM,
  HEX_FLATS,
  leastFlatsMm,
  O_RING_SECTIONS,
  PIPES_MM,
  SHAFT_RING_GROOVES,
  STOCK_MM,
  STOCK_SIXTEENTHS,
} from './hardware';
import { THREADS, externalMajorMm, internalMinorMm } from './threads';
import { standardToleranceMm } from './toleranceGrades';

/** A standard thing that a size may be a size of. */
export interface StandardThing {
  /** "Bearing seat 22, series 10, bore 8". */
  name: string;
  source: string;
  /** What the size is called in the standard, mm. */
  nominalMm: number;
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
    const shared = { source: thread.source, common: thread.common, pitchMm: thread.pitchMm };
    return [
      {
        ...shared,
        name: `Thread ${thread.name}`,
        nominalMm: thread.majorMm,
        fromMm: outer.from,
        toMm: outer.to,
        side: 'outside',
      },
      {
        ...shared,
        name: `Nut thread ${thread.name}`,
        nominalMm: thread.majorMm,
        fromMm: inner.from,
        toMm: inner.to,
        side: 'inside',
      },
    ];
  }),
  ...bearingThings(),
  ...HEX_FLATS.map(([thread, flats]): StandardThing => ({
    name: `Hexagon of ${thread}, across flats`,
    source: 'ISO 272',
    nominalMm: flats,
    fromMm: leastFlatsMm(flats),
    toMm: flats,
    side: 'outside',
    common: 0.6,
  })),
  ...CLEARANCE_HOLES.flatMap(([thread, ...series]) =>
    series.map((hole, index): StandardThing => ({
      name: `Clearance hole for ${thread}, ${['fine', 'medium', 'coarse'][index]}`,
      source: 'ISO 273',
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
    nominalMm: section,
    fromMm: section - plusMinus,
    toMm: section + plusMinus,
    side: 'outside',
    common: 0.25,
  })),
  ...PIPES_MM.map(([mm, fromMm, toMm]): StandardThing => ({
    name: `Steel pipe ${mm}`,
    source: 'ISO 65',
    nominalMm: mm,
    fromMm,
    toMm,
    side: 'outside',
    common: 0.4,
  })),
  ...STOCK_MM.map(([mm, source]): StandardThing => ({
    name: `Bar or tube ${mm}`,
    source,
    nominalMm: mm,
    fromMm: mm - standardToleranceMm(12, mm),
    toMm: mm + standardToleranceMm(11, mm),
    side: 'outside',
    common: 0.4,
  })),
  ...STOCK_SIXTEENTHS.map((sixteenths): StandardThing => ({
    name: `Bar or tube ${inchWords(sixteenths)} in`,
    source: 'inch stock',
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
        nominalMm: mm,
        fromMm: mm - 0.015,
        toMm: mm,
        side: 'outside',
        common: 0.6,
      },
      {
        name: `Bearing seat ${mm} (${list('outsideMm', mm)})`,
        source: 'ISO 15',
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
        nominalMm: mm,
        fromMm: mm - 0.012,
        toMm: mm,
        side: 'inside',
        common: 0.6,
      },
      {
        name: `Shaft for bearing ${mm} (${list('boreMm', mm)})`,
        source: 'ISO 15',
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
      nominalMm: groove,
      fromMm: groove - standardToleranceMm(grooveGrade(groove), groove),
      toMm: groove,
      side: 'outside',
      common: 0.15,
    })),
    ...BORE_RING_GROOVES.map(([bore, groove]): StandardThing => ({
      name: `Ring groove in a bore of ${bore}`,
      source: 'DIN 472',
      nominalMm: groove,
      fromMm: groove,
      toMm: groove + standardToleranceMm(grooveGrade(groove), groove),
      side: 'inside',
      common: 0.15,
    })),
    ...[...new Set(SHAFT_RING_GROOVES.map(([, , width]) => width))].map((width): StandardThing => ({
      name: `Ring groove, ${width} wide`,
      source: 'DIN 471',
      nominalMm: width,
      fromMm: width,
      toMm: width + standardToleranceMm(13, width),
      side: 'width',
      common: 0.3,
    })),
  ];
}

/** Further than this many standard uncertainties outside its limits, a thing is not what was measured. */
const BEYOND = 3;
/** Weight of its being no standard thing at all: such sizes lie evenly, one for every millimetre. */
const NO_STANDARD = 1;
/** Agreement of a measured pitch with a thread's, one standard deviation as a share of the pitch. */
const PITCH_SPREAD = 0.03;

/**
 * Standard things that a measured size may belong to, most likely first (Bayes): the chance of reading this
 * value off a sound example, anywhere within its limits, times how common the thing is.
 *
 * @param measured value and standard uncertainty, mm; where it was taken; the pitch if one was measured.
 */
export function likelyStandards(
  measured: { mm: number; standardMm: number; side: 'outside' | 'inside'; pitchMm?: number | null },
  most = 6,
): LikelyThing[] {
  const { mm, side, pitchMm } = measured;
  // A caliper never does better than this on a used part.
  const spread = Math.max(measured.standardMm, 0.008);
  const weighed = THINGS.flatMap((thing) => {
    if (thing.side !== side && !(thing.side === 'width' && side === 'inside')) return [];
    const outside = Math.max(0, thing.fromMm - mm, mm - thing.toMm);
    if (outside > BEYOND * spread) return [];
    // A flat distribution between its limits, blurred by the measurement: wide limits make each value less likely.
    const width = thing.toMm - thing.fromMm + 2.5 * spread;
    let weight = (thing.common * Math.exp(-0.5 * (outside / spread) ** 2)) / width;
    if (pitchMm) {
      if (thing.pitchMm === undefined) weight *= 0.01;
      else weight *= Math.exp(-0.5 * ((pitchMm - thing.pitchMm) / (PITCH_SPREAD * thing.pitchMm)) ** 2);
    }
    return weight > 0 ? [{ thing, weight }] : [];
  });
  const total = weighed.reduce((sum, { weight }) => sum + weight, NO_STANDARD);
  return weighed
    .sort((a, b) => b.weight - a.weight)
    .slice(0, most)
    .map(({ thing, weight }) => ({ ...thing, probability: weight / total }));
}

/** All things known, for the tests that look through the tables. */
export const STANDARD_THINGS = THINGS;
