import { INCH_MM, inchWords, type StandardThing } from './thing';
import { standardToleranceMm } from './toleranceGrades';

/** Outsides of threaded steel pipe, nominal, least and largest, mm: ISO 65:1981, medium and heavy series (as EN 10255). */
export const PIPES_MM: readonly [mm: number, from: number, to: number][] = [
  [10.2, 9.8, 10.6],
  [13.5, 13.2, 14],
  [17.2, 16.7, 17.5],
  [21.3, 21, 21.8],
  [26.9, 26.5, 27.3],
  [33.7, 33.3, 34.2],
  [42.4, 42, 42.9],
  [48.3, 47.9, 48.8],
  [60.3, 59.7, 60.8],
];

/** Outsides of round bar sold by the length, mm, after ISO 1035-1. */
export const STOCK_MM: readonly [mm: number, source: string][] = [
  ...[3, 4, 5, 6, 8, 10, 12, 14, 15, 16, 18, 20, 22, 25, 28, 30, 32, 35, 38, 40, 45, 50, 55, 60].map(
    (mm): [number, string] => [mm, 'ISO 1035-1, table 1; EN 10305-1, table 4'],
  ),
];

/** Outsides of bar and tube sold in inches, as sixteenths. */
export const STOCK_SIXTEENTHS = [
  2, 3, 4, 5, 6, 7, 8, 10, 12, 14, 16, 18, 20, 24, 28, 32, 36, 40, 48,
] as const;

/** Copper pipe for water and heating, outsides with what their mean may be off, mm: EN 1057:2006, table 3. */
export const COPPER_PIPES_MM: readonly [mm: number, plusMinus: number][] = [
  [6, 0.04],
  [8, 0.04],
  [10, 0.04],
  [12, 0.04],
  [15, 0.04],
  [18, 0.04],
  [22, 0.05],
  [28, 0.05],
  [35, 0.06],
  [42, 0.06],
  [54, 0.06],
];

/** Plastic pipe, outsides with what they may be over, mm: pressure pipe (ISO 161-1, table 1; ISO 11922-1, table 2, grade B), waste pipe. */
export const PLASTIC_PIPES_MM: readonly [mm: number, over: number, source: string][] = [
  [16, 0.3, 'ISO 161-1, table 1; ISO 11922-1, table 2'],
  [20, 0.3, 'ISO 161-1, table 1; ISO 11922-1, table 2'],
  [25, 0.3, 'ISO 161-1, table 1; ISO 11922-1, table 2'],
  [32, 0.3, 'EN 1451-1, table 3; ISO 161-1, table 1'],
  [40, 0.3, 'EN 1451-1, table 3; ISO 161-1, table 1'],
  [50, 0.3, 'EN 1451-1, table 3; ISO 161-1, table 1'],
  [63, 0.4, 'ISO 161-1, table 1; ISO 11922-1, table 2'],
  [75, 0.4, 'EN 1451-1, table 3; ISO 161-1, table 1'],
  [110, 0.4, 'EN 1451-1, table 3; ISO 161-1, table 1'],
];

/** Bores of hoses with what they may be off, mm: ISO 1307:2006, table 1. */
export const HOSE_BORES_MM: readonly [mm: number, plusMinus: number][] = [
  [3.2, 0.4],
  [4, 0.4],
  [5, 0.5],
  [6.3, 0.6],
  [8, 0.6],
  [10, 0.6],
  [12.5, 0.7],
  [16, 0.7],
  [19, 0.8],
  [25, 1],
  [31.5, 1.2],
  [38, 1.5],
  [50, 1.5],
];

/** Pipes, hoses, bar and tube, as standard things. */
export function stockThings(): StandardThing[] {
  return [
    ...PIPES_MM.map(([mm, fromMm, toMm]): StandardThing => ({
      name: `Steel pipe ${mm}`,
      source: 'ISO 65, table 1',
      form: 'round',
      nominalMm: mm,
      fromMm,
      toMm,
      side: 'outside',
      common: 0.4,
    })),
    ...COPPER_PIPES_MM.map(([mm, plusMinus]): StandardThing => ({
      name: `Copper pipe ${mm}`,
      source: 'EN 1057, table 3',
      form: 'round',
      nominalMm: mm,
      fromMm: mm - plusMinus,
      toMm: mm + plusMinus,
      side: 'outside',
      common: 0.3,
    })),
    ...PLASTIC_PIPES_MM.map(([mm, over, source]): StandardThing => ({
      name: `Plastic pipe ${mm}`,
      source,
      form: 'round',
      nominalMm: mm,
      fromMm: mm,
      toMm: mm + over,
      side: 'outside',
      common: 0.3,
    })),
    ...HOSE_BORES_MM.map(([mm, plusMinus]): StandardThing => ({
      name: `Hose, bore ${mm}`,
      source: 'ISO 1307, table 1',
      form: 'round',
      nominalMm: mm,
      fromMm: mm - plusMinus,
      toMm: mm + plusMinus,
      side: 'inside',
      common: 0.15,
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
      source: 'ASTM A513, table 5; drawn bar, ASTM A108, table 2',
      form: 'round',
      nominalMm: (sixteenths / 16) * INCH_MM,
      fromMm: (sixteenths / 16) * INCH_MM - 0.1,
      toMm: (sixteenths / 16) * INCH_MM + 0.1,
      side: 'outside',
      common: 0.25,
    })),
  ];
}
