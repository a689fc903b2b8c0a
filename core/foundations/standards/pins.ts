import type { StandardThing } from './thing';
import { standardToleranceMm } from './toleranceGrades';

/** Diameters of parallel pins, mm: ISO 2338:1997 and ISO 8734:1997. */
export const DOWELS_MM = [0.8, 1, 1.2, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 16, 20, 25, 30, 40, 50] as const;

/** Slotted spring pins, heavy: nominal (the hole, H12), free diameter least and largest, mm: ISO 8752:2009, table 1. */
export const SPRING_PINS: readonly [nominal: number, least: number, largest: number][] = [
  [1, 1.2, 1.3],
  [1.5, 1.7, 1.8],
  [2, 2.3, 2.4],
  [2.5, 2.8, 2.9],
  [3, 3.3, 3.5],
  [3.5, 3.8, 4],
  [4, 4.4, 4.6],
  [4.5, 4.9, 5.1],
  [5, 5.4, 5.6],
  [6, 6.4, 6.7],
  [8, 8.5, 8.8],
  [10, 10.5, 10.8],
  [12, 12.5, 12.8],
];

/** Parallel keys: width, height, and the shafts that they are for, mm: ISO 773:1969, table 1 (as DIN 6885-1). */
export const KEYS: readonly [breadth: number, height: number, over: number, upTo: number][] = [
  [2, 2, 6, 8],
  [3, 3, 8, 10],
  [4, 4, 10, 12],
  [5, 5, 12, 17],
  [6, 6, 17, 22],
  [8, 7, 22, 30],
  [10, 8, 30, 38],
  [12, 8, 38, 44],
  [14, 9, 44, 50],
];

/** Round shafts with a flat: diameter, and over the flat, mm. IEC 60915, clause 3, for 4 and 6; the others as motors have them. */
export const FLAT_SHAFTS: readonly [diameter: number, overFlat: number, source: string][] = [
  [3, 2.5, 'usual on small motors; no standard'],
  [4, 3.5, 'usual on small motors; no standard'],
  [5, 4.5, 'usual on stepping motors; no standard'],
  [6, 4.5, 'IEC 60915, clause 3'],
  [8, 7.5, 'usual on geared motors; no standard'],
];

/** Pins, keys and shafts with a flat, as standard things. */
export function pinThings(): StandardThing[] {
  return [
    ...DOWELS_MM.map((mm): StandardThing => ({
      name: `Parallel pin ${mm}`,
      source: 'ISO 2338, table 1',
      form: 'round',
      nominalMm: mm,
      fromMm: mm - standardToleranceMm(8, mm),
      toMm: mm + standardToleranceMm(6, mm) * 2,
      side: 'outside',
      common: 0.5,
    })),
    ...SPRING_PINS.flatMap(([nominal, least, largest]): StandardThing[] => [
      {
        name: `Spring pin ${nominal}, free`,
        source: 'ISO 8752, table 1',
        form: 'round',
        nominalMm: nominal,
        fromMm: least,
        toMm: largest,
        side: 'outside',
        common: 0.2,
      },
    ]),
    ...KEYS.map(([breadth, height, over, upTo]): StandardThing => ({
      name: `Keyway for ${breadth} × ${height}, shafts over ${over} to ${upTo}`,
      source: 'ISO 773, table 1',
      form: 'groove',
      nominalMm: breadth,
      // P9 where it sits tight, D10 where it slides.
      fromMm: breadth - (standardToleranceMm(9, breadth) + 0.006),
      toMm: breadth + standardToleranceMm(10, breadth) + 0.02,
      side: 'width',
      common: 0.2,
    })),
    ...FLAT_SHAFTS.map(([diameter, overFlat, source]): StandardThing => ({
      name: `Shaft of ${diameter} with a flat, over the flat`,
      source,
      form: 'flats',
      nominalMm: overFlat,
      fromMm: overFlat - 0.1,
      toMm: overFlat + 0.05,
      side: 'outside',
      common: 0.25,
    })),
  ];
}
