import type { StandardThing } from './thing';
import { standardToleranceMm } from './toleranceGrades';

/** Twist drills as they are kept in boxes, mm: ISO 235:2016, table 1 (diameters of ISO 237). */
export const DRILLS_MM = [
  1, 1.5, 2, 2.5, 3, 3.3, 3.5, 4, 4.2, 4.5, 5, 5.5, 6, 6.5, 6.8, 7, 7.5, 8, 8.5, 9, 9.5, 10, 10.2, 10.5, 11,
  11.5, 12, 12.5, 13,
] as const;

/** Round magnets as they are sold, mm across; off by 0.1 with their plating. */
export const MAGNETS_MM = [3, 4, 5, 6, 8, 10, 12, 15, 18, 20, 25] as const;

/** Breadths of cable ties as they are sold, mm. */
export const CABLE_TIES_MM = [2.5, 3.6, 4.8, 7.6, 8.9] as const;

const TRADE = 'usual in the trade; no standard';

/** Drilled holes, magnets and cable ties, as standard things. */
export function smallThings(): StandardThing[] {
  return [
    ...DRILLS_MM.map((mm): StandardThing => ({
      name: `Drilled hole ${mm}`,
      source: 'ISO 235, table 1; drilled H12',
      form: 'round',
      nominalMm: mm,
      fromMm: mm,
      toMm: mm + standardToleranceMm(12, mm),
      side: 'inside',
      common: 0.2,
    })),
    ...MAGNETS_MM.map((mm): StandardThing => ({
      name: `Round magnet ${mm}`,
      source: TRADE,
      form: 'round',
      nominalMm: mm,
      fromMm: mm - 0.1,
      toMm: mm + 0.1,
      side: 'outside',
      common: 0.1,
    })),
    ...CABLE_TIES_MM.map((mm): StandardThing => ({
      name: `Cable tie, ${mm} wide`,
      source: TRADE,
      form: 'flats',
      nominalMm: mm,
      fromMm: mm - 0.2,
      toMm: mm + 0.2,
      side: 'outside',
      common: 0.15,
    })),
  ];
}
