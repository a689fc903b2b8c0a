import type { StandardThing } from './thing';
import { standardToleranceMm } from './toleranceGrades';

/** A deep-groove ball bearing by its boundary dimensions, ISO 15:2017. mm. */
export interface Bearing {
  /** Dimension series of ISO 15 (width, then diameter), or where it is from. */
  series: '18' | '19' | '10' | '02' | '03' | 'shielded' | 'inch';
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
  // Wider than their open series, for the shields (ISO 15, dimension series 28, 38, 39 and those that makers keep beside them).
  ...bearings('shielded', [
    [3, 6, 2.5],
    [3, 7, 3],
    [3, 8, 4],
    [4, 7, 2.5],
    [4, 8, 3],
    [4, 9, 4],
    [4, 10, 4],
    [5, 8, 2.5],
    [5, 9, 3],
    [5, 10, 4],
    [5, 11, 4],
    [5, 11, 5],
    [6, 10, 3],
    [6, 12, 4],
    [6, 13, 5],
    [7, 11, 3],
    [7, 13, 4],
    [8, 12, 3.5],
    [8, 14, 4],
    [8, 16, 5],
  ]),
  ...bearings('inch', [
    [3.175, 6.35, 2.779],
    [3.175, 9.525, 3.967],
    [3.967, 7.938, 3.175],
    [4.762, 7.938, 3.175],
    [4.762, 9.525, 3.175],
    [4.762, 12.7, 4.978],
    [6.35, 9.525, 3.175],
    [6.35, 12.7, 4.762],
    [6.35, 15.875, 4.978],
    [9.525, 22.225, 7.142],
    [12.7, 28.575, 7.938],
  ]),
];

/** Where the boundary dimensions of a bearing stand. */
export function sourceOfBearing({ series }: Bearing): string {
  switch (series) {
    case 'shielded':
      return 'ISO 15, clause 5; as makers shield them';
    case 'inch':
      return 'ANSI/ABMA 12.2, table 1';
    default:
      return `ISO 15, tables, dimension series ${series}`;
  }
}

/** Bores and outsides of bearings, each once, with the bearings that have it. */
export function bearingThings(): StandardThing[] {
  const inMillimetres = (side: 'boreMm' | 'outsideMm' | 'widthMm') =>
    [...new Set(BEARINGS.map((bearing) => bearing[side]))].sort((a, b) => a - b);
  const bearingsWith = (side: 'boreMm' | 'outsideMm', mm: number) =>
    BEARINGS.filter((bearing) => bearing[side] === mm);
  const sourceFor = (side: 'boreMm' | 'outsideMm', mm: number) => {
    const [first] = bearingsWith(side, mm);
    return first!.series === 'inch' ? 'ANSI/ABMA 12.2, table 1' : 'ISO 15, tables of diameter series';
  };
  /** Met far less often than those in millimetres, and than bar of the same inches. */
  const rare = (side: 'boreMm' | 'outsideMm', mm: number) =>
    bearingsWith(side, mm).every(({ series }) => series === 'inch') ? 0.05 : 1;
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
        source: sourceFor('outsideMm', mm),
        form: 'round',
        nominalMm: mm,
        fromMm: mm - 0.015,
        toMm: mm,
        side: 'outside',
        common: 0.6 * rare('outsideMm', mm),
      },
      {
        name: `Bearing seat ${mm} (${list('outsideMm', mm)})`,
        source: sourceFor('outsideMm', mm),
        form: 'round',
        nominalMm: mm,
        fromMm: mm - standardToleranceMm(8, mm),
        toMm: mm + standardToleranceMm(8, mm),
        side: 'inside',
        common: 0.7 * rare('outsideMm', mm),
      },
    ]),
    ...inMillimetres('boreMm').flatMap((mm): StandardThing[] => [
      {
        name: `Bearing bore ${mm} (${list('boreMm', mm)})`,
        source: sourceFor('boreMm', mm),
        form: 'round',
        nominalMm: mm,
        fromMm: mm - 0.012,
        toMm: mm,
        side: 'inside',
        common: 0.6 * rare('boreMm', mm),
      },
      {
        name: `Shaft for bearing ${mm} (${list('boreMm', mm)})`,
        source: sourceFor('boreMm', mm),
        form: 'round',
        nominalMm: mm,
        fromMm: mm - standardToleranceMm(7, mm),
        toMm: mm + standardToleranceMm(7, mm),
        side: 'outside',
        common: 0.4 * rare('boreMm', mm),
      },
    ]),
  ];
}
