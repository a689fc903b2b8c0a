import { INCH_MM, type StandardThing } from './thing';

/** Hexagon across flats by thread, mm: ISO 272:1982, as on bolts and nuts of ISO 4014, ISO 4032. */
export const HEX_FLATS: readonly [thread: string, flatsMm: number][] = [
  ['M1.6', 3.2],
  ['M2', 4],
  ['M2.5', 5],
  ['M3', 5.5],
  ['M4', 7],
  ['M5', 8],
  ['M6', 10],
  ['M8', 13],
  ['M10', 16],
  ['M12', 18],
  ['M14', 21],
  ['M16', 24],
  ['M18', 27],
  ['M20', 30],
  ['M22', 34],
  ['M24', 36],
  ['M27', 41],
  ['M30', 46],
  ['M36', 55],
  ['M42', 65],
  ['M48', 75],
];

/**
 * Least width across flats, mm. Bolts of product grade A are h13 (ISO 4014 up to M24); those of grade B, and nuts over M16, are as
 * small as ISO 4759-1 lets them be: h14 up to 16 wide, h15 over that.
 */
export function leastFlatsMm(flatsMm: number): number {
  return LEAST_FLATS_MM[flatsMm] ?? flatsMm;
}
/** Smallest of ISO 4014, ISO 4032 and ISO 4034 by nominal width, mm. */
const LEAST_FLATS_MM: Readonly<Record<number, number>> = {
  3.2: 3.02,
  4: 3.82,
  5: 4.82,
  5.5: 5.32,
  7: 6.78,
  8: 7.64,
  10: 9.64,
  13: 12.57,
  16: 15.57,
  18: 17.57,
  21: 20.16,
  24: 23.16,
  27: 26.16,
  30: 29.16,
  34: 33,
  36: 35,
  41: 40,
  46: 45,
  55: 53.8,
  65: 63.1,
  75: 73.1,
};

/** Hexagons that are still met beside those of ISO 272: name, largest and least across flats, mm, source. */
export const OTHER_FLATS: readonly [name: string, flatsMm: number, leastMm: number, source: string][] = [
  ['M10, older', 17, 16.73, 'DIN 931, table 1; DIN 934, table 2'],
  ['M12, older', 19, 18.67, 'DIN 931, table 1; DIN 934, table 2'],
  ['M14, older', 22, 21.67, 'DIN 931, table 1; DIN 934, table 2'],
  ['M22, older', 32, 31, 'DIN 931, table 1; DIN 934, table 2'],
  ...(
    [
      ['1/4 in', 0.438, 0.425],
      ['5/16 in', 0.5, 0.484],
      ['3/8 in', 0.562, 0.544],
      ['7/16 in', 0.625, 0.603],
      ['1/2 in', 0.75, 0.725],
      ['5/8 in', 0.938, 0.906],
      ['3/4 in', 1.125, 1.088],
      ['7/8 in', 1.312, 1.269],
      ['1 in', 1.5, 1.45],
    ] as const
  ).map(([name, most, least]): [string, number, number, string] => [
    name,
    most * INCH_MM,
    least * INCH_MM,
    'ASME B18.2.1, table 2',
  ]),
];

/** Height of hexagon nuts, style 1, largest, mm: ISO 4032:2012. */
export const NUT_HEIGHTS_MM: Readonly<Record<string, number>> = {
  'M1.6': 1.3,
  M2: 1.6,
  'M2.5': 2,
  M3: 2.4,
  M4: 3.2,
  M5: 4.7,
  M6: 5.2,
  M8: 6.8,
  M10: 8.4,
  M12: 10.8,
  M16: 14.8,
  M20: 18,
  M24: 21.5,
  M30: 25.6,
  M36: 31,
};

/** Hexagons over their flats, as standard things. */
export function hexagonThings(): StandardThing[] {
  return [
    ...HEX_FLATS.map(([thread, flats]): StandardThing => ({
      name: `Hexagon of ${thread}, across flats`,
      source: 'ISO 272, table 1; ISO 4759-1, clause 3',
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
  ];
}
