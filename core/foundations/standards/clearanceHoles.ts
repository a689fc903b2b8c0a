import type { StandardThing } from './thing';
import { standardToleranceMm } from './toleranceGrades';

/** Clearance holes for bolts, mm: ISO 273:1979, fine (H12), medium (H13), coarse (H14). */
export const CLEARANCE_HOLES: readonly [thread: string, fine: number, medium: number, coarse: number][] = [
  ['M1.6', 1.7, 1.8, 2],
  ['M2', 2.2, 2.4, 2.6],
  ['M2.5', 2.7, 2.9, 3.1],
  ['M3', 3.2, 3.4, 3.6],
  ['M4', 4.3, 4.5, 4.8],
  ['M5', 5.3, 5.5, 5.8],
  ['M6', 6.4, 6.6, 7],
  ['M8', 8.4, 9, 10],
  ['M10', 10.5, 11, 12],
  ['M12', 13, 13.5, 14.5],
  ['M14', 15, 15.5, 16.5],
  ['M16', 17, 17.5, 18.5],
  ['M18', 19, 20, 21],
  ['M20', 21, 22, 24],
  ['M22', 23, 24, 26],
  ['M24', 25, 26, 28],
  ['M27', 28, 30, 32],
  ['M30', 31, 33, 35],
  ['M36', 37, 39, 42],
];

/** Plain washers: hole and outside, mm: ISO 7089:2000, table 1. */
export const WASHERS: readonly [thread: string, hole: number, outside: number][] = [
  ['M3', 3.2, 7],
  ['M4', 4.3, 9],
  ['M5', 5.3, 10],
  ['M6', 6.4, 12],
  ['M8', 8.4, 16],
  ['M10', 10.5, 20],
  ['M12', 13, 24],
  ['M16', 17, 30],
  ['M20', 21, 37],
];

/** Clearance holes and washers as standard things. */
export function clearanceThings(): StandardThing[] {
  return [...holeThings(), ...washerThings()];
}

/** Outsides of washers are h14, their holes H13 (ISO 7089, clause 3, product grade A). */
const washerThings = () =>
  WASHERS.map(([thread, , outside]): StandardThing => ({
    name: `Washer for ${thread}, outside`,
    source: 'ISO 7089, table 1',
    form: 'round',
    nominalMm: outside,
    fromMm: outside - standardToleranceMm(14, outside),
    toMm: outside,
    side: 'outside',
    common: 0.25,
  }));

function holeThings(): StandardThing[] {
  return CLEARANCE_HOLES.flatMap(([thread, ...series]) =>
    series.map((hole, index): StandardThing => ({
      name: `Clearance hole for ${thread}, ${['fine', 'medium', 'coarse'][index]}`,
      source: 'ISO 273, table 1',
      form: 'round',
      nominalMm: hole,
      fromMm: hole,
      toMm: hole + standardToleranceMm(12 + index, hole),
      side: 'inside',
      common: [0.3, 0.8, 0.3][index]!,
    })),
  );
}
