/** A deep-groove ball bearing by its boundary dimensions, ISO 15:2017. mm. */
export interface Bearing {
  /** Dimension series and bore, in the words of ISO 15: diameter series 8, 9, 0, 2, 3. */
  series: '18' | '19' | '10' | '02' | '03';
  boreMm: number;
  outsideMm: number;
  widthMm: number;
}

const bearings = (series: Bearing['series'], rows: readonly [number, number, number][]): Bearing[] =>
  rows.map(([boreMm, outsideMm, widthMm]) => ({ series, boreMm, outsideMm, widthMm }));

export const BEARINGS: readonly Bearing[] = [
  ...bearings('18', [
    [3, 7, 2],
    [4, 9, 2.5],
    [5, 11, 3],
    [6, 13, 3.5],
    [7, 14, 3.5],
    [8, 16, 4],
    [9, 17, 4],
    [10, 19, 5],
    [12, 21, 5],
    [15, 24, 5],
    [17, 26, 5],
    [20, 32, 7],
    [25, 37, 7],
    [30, 42, 7],
    [35, 47, 7],
    [40, 52, 7],
  ]),
  ...bearings('19', [
    [3, 8, 3],
    [4, 11, 4],
    [5, 13, 4],
    [6, 15, 5],
    [7, 17, 5],
    [8, 19, 6],
    [9, 20, 6],
    [10, 22, 6],
    [12, 24, 6],
    [15, 28, 7],
    [17, 30, 7],
    [20, 37, 9],
    [25, 42, 9],
    [30, 47, 9],
    [35, 55, 10],
    [40, 62, 12],
  ]),
  ...bearings('10', [
    [3, 9, 3],
    [4, 12, 4],
    [5, 14, 5],
    [6, 17, 6],
    [7, 19, 6],
    [8, 22, 7],
    [9, 24, 7],
    [10, 26, 8],
    [12, 28, 8],
    [15, 32, 9],
    [17, 35, 10],
    [20, 42, 12],
    [25, 47, 12],
    [30, 55, 13],
    [35, 62, 14],
    [40, 68, 15],
  ]),
  ...bearings('02', [
    [3, 10, 4],
    [4, 13, 5],
    [5, 16, 5],
    [6, 19, 6],
    [7, 22, 7],
    [8, 24, 8],
    [9, 26, 8],
    [10, 30, 9],
    [12, 32, 10],
    [15, 35, 11],
    [17, 40, 12],
    [20, 47, 14],
    [25, 52, 15],
    [30, 62, 16],
    [35, 72, 17],
    [40, 80, 18],
  ]),
  ...bearings('03', [
    [4, 16, 5],
    [5, 19, 6],
    [10, 35, 11],
    [12, 37, 12],
    [15, 42, 13],
    [17, 47, 14],
    [20, 52, 15],
    [25, 62, 17],
    [30, 72, 19],
    [35, 80, 21],
    [40, 90, 23],
  ]),
];

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
  ['M10, older', 17, 16.73, 'DIN 931, DIN 934'],
  ['M12, older', 19, 18.67, 'DIN 931, DIN 934'],
  ['M14, older', 22, 21.67, 'DIN 931, DIN 934'],
  ['M22, older', 32, 31, 'DIN 931, DIN 934'],
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
    most * 25.4,
    least * 25.4,
    'ASME B18.2.1',
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

/** Diameters of parallel pins, mm: ISO 2338:1997 and ISO 8734:1997. */
export const DOWELS_MM = [0.8, 1, 1.2, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 16, 20, 25, 30, 40, 50] as const;

/** Grooves for retaining rings on shafts, mm: DIN 471:2011 (shaft, groove diameter, groove width H13). */
export const SHAFT_RING_GROOVES: readonly [shaft: number, groove: number, width: number][] = [
  [4, 3.8, 0.5],
  [5, 4.8, 0.7],
  [6, 5.7, 0.8],
  [7, 6.7, 0.9],
  [8, 7.6, 0.9],
  [9, 8.6, 1.1],
  [10, 9.6, 1.1],
  [11, 10.5, 1.1],
  [12, 11.5, 1.1],
  [13, 12.4, 1.1],
  [14, 13.4, 1.1],
  [15, 14.3, 1.1],
  [16, 15.2, 1.1],
  [17, 16.2, 1.1],
  [18, 17, 1.3],
  [19, 18, 1.3],
  [20, 19, 1.3],
  [22, 21, 1.3],
  [24, 22.9, 1.3],
  [25, 23.9, 1.3],
  [28, 26.6, 1.6],
  [30, 28.6, 1.6],
  [32, 30.3, 1.6],
  [35, 33, 1.6],
  [40, 37.5, 1.85],
  [45, 42.5, 1.85],
  [50, 47, 2.15],
];

/** Grooves for retaining rings in bores, mm: DIN 472:2011 (bore, groove diameter, groove width H13). */
export const BORE_RING_GROOVES: readonly [bore: number, groove: number, width: number][] = [
  [8, 8.4, 0.9],
  [9, 9.4, 0.9],
  [10, 10.4, 1.1],
  [11, 11.4, 1.1],
  [12, 12.5, 1.1],
  [13, 13.6, 1.1],
  [14, 14.6, 1.1],
  [15, 15.7, 1.1],
  [16, 16.8, 1.1],
  [17, 17.8, 1.1],
  [18, 19, 1.1],
  [19, 20, 1.1],
  [20, 21, 1.1],
  [22, 23, 1.1],
  [24, 25.2, 1.3],
  [25, 26.2, 1.3],
  [26, 27.2, 1.3],
  [28, 29.4, 1.3],
  [30, 31.4, 1.3],
  [32, 33.7, 1.3],
  [35, 37, 1.6],
  [40, 42.5, 1.85],
  [42, 44.5, 1.85],
  [47, 49.5, 1.85],
  [50, 53, 2.15],
];

/** O-ring sections with their tolerance, mm: ISO 3601-1:2012, and the metric ones common in the trade. */
export const O_RING_SECTIONS: readonly [section: number, plusMinus: number, source: string][] = [
  [1.78, 0.08, 'ISO 3601-1'],
  [2.62, 0.09, 'ISO 3601-1'],
  [3.53, 0.1, 'ISO 3601-1'],
  [5.33, 0.13, 'ISO 3601-1'],
  [6.99, 0.15, 'ISO 3601-1'],
  [1, 0.08, 'metric stock'],
  [1.5, 0.08, 'metric stock'],
  [2, 0.08, 'metric stock'],
  [2.5, 0.09, 'metric stock'],
  [3, 0.09, 'metric stock'],
  [4, 0.1, 'metric stock'],
  [5, 0.13, 'metric stock'],
];

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
    (mm): [number, string] => [mm, 'bar or tube, ISO 1035-1'],
  ),
];

/** Outsides of bar and tube sold in inches, as sixteenths. */
export const STOCK_SIXTEENTHS = [
  2, 3, 4, 5, 6, 7, 8, 10, 12, 14, 16, 18, 20, 24, 28, 32, 36, 40, 48,
] as const;
