import type { StandardThing } from './thing';
import { standardToleranceMm } from './toleranceGrades';

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

/** Washers that are pushed on from the side: groove diameter (h11), and the shafts they go on, mm: DIN 6799:2017, table 1. */
export const E_CLIPS: readonly [groove: number, shaftFrom: number, shaftTo: number][] = [
  [1.2, 1.4, 2],
  [1.5, 2, 2.5],
  [1.9, 2.5, 3],
  [2.3, 3, 4],
  [3.2, 4, 5],
  [4, 5, 7],
  [5, 6, 8],
  [6, 7, 9],
  [7, 8, 11],
  [8, 9, 12],
  [9, 10, 14],
  [10, 11, 15],
  [12, 13, 18],
  [15, 16, 24],
  [19, 20, 31],
];

/** O-ring sections with their tolerance, mm: ISO 3601-1:2012, and the metric ones common in the trade. */
export const O_RING_SECTIONS: readonly [section: number, plusMinus: number, source: string][] = [
  [1.78, 0.08, 'ISO 3601-1, table 3'],
  [2.62, 0.09, 'ISO 3601-1, table 3'],
  [3.53, 0.1, 'ISO 3601-1, table 3'],
  [5.33, 0.13, 'ISO 3601-1, table 3'],
  [6.99, 0.15, 'ISO 3601-1, table 3'],
  [1, 0.08, 'usual in the trade; no standard'],
  [1.5, 0.08, 'usual in the trade; no standard'],
  [2, 0.08, 'usual in the trade; no standard'],
  [2.5, 0.09, 'usual in the trade; no standard'],
  [3, 0.09, 'usual in the trade; no standard'],
  [4, 0.1, 'usual in the trade; no standard'],
  [5, 0.13, 'usual in the trade; no standard'],
];

/** Insides of O-rings of the inch series, mm, by their section, with what they may be off: ISO 3601-1:2012, table 3. */
export const O_RING_INSIDES: readonly [section: number, plusMinus: number, insides: readonly number[]][] = [
  [1.78, 0.13, [2.9, 3.68, 4.47, 5.28, 6.07, 7.65, 9.25, 10.82, 12.42, 14, 15.6, 17.17, 18.77, 20.35, 21.95]],
  [2.62, 0.15, [9.19, 10.77, 12.37, 13.94, 15.54, 17.12, 18.72, 20.29, 21.89, 23.47, 25.07, 26.64, 28.24]],
  [3.53, 0.23, [18.64, 20.22, 21.82, 23.39, 24.99, 26.57, 28.17, 29.74, 31.34, 32.92, 34.52, 36.09, 37.69]],
];

/** Grooves for rings and O-rings themselves, as standard things. */
export function grooveThings(): StandardThing[] {
  return [
    ...retainingGrooves(),
    ...E_CLIPS.map(([groove, from, to]): StandardThing => ({
      name: `Groove of a side-on clip, shafts of ${from} to ${to}`,
      source: 'DIN 6799, table 1',
      form: 'groove',
      nominalMm: groove,
      fromMm: groove - standardToleranceMm(11, groove),
      toMm: groove,
      side: 'outside',
      common: 0.15,
    })),
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
    ...O_RING_INSIDES.flatMap(([section, plusMinus, insides]) =>
      insides.map((inside): StandardThing => ({
        name: `O-ring ${inside} × ${section}, inside`,
        source: 'ISO 3601-1, table 3',
        form: 'round',
        nominalMm: inside,
        fromMm: inside - plusMinus,
        toMm: inside + plusMinus,
        side: 'inside',
        common: 0.1,
      })),
    ),
  ];
}

/** Groove diameters are h11 and H11 below 24 mm, h12 and H12 from there (DIN 471, DIN 472). */
function grooveGrade(mm: number): number {
  return mm < 24 ? 11 : 12;
}

function retainingGrooves(): StandardThing[] {
  return [
    ...SHAFT_RING_GROOVES.map(([shaft, groove]): StandardThing => ({
      name: `Ring groove on a shaft of ${shaft}`,
      source: 'DIN 471, table 1',
      form: 'groove',
      nominalMm: groove,
      fromMm: groove - standardToleranceMm(grooveGrade(groove), groove),
      toMm: groove,
      side: 'outside',
      common: 0.15,
    })),
    ...BORE_RING_GROOVES.map(([bore, groove]): StandardThing => ({
      name: `Ring groove in a bore of ${bore}`,
      source: 'DIN 472, table 1',
      form: 'groove',
      nominalMm: groove,
      fromMm: groove,
      toMm: groove + standardToleranceMm(grooveGrade(groove), groove),
      side: 'inside',
      common: 0.15,
    })),
    ...[...new Set(SHAFT_RING_GROOVES.map(([, , width]) => width))].map((width): StandardThing => ({
      name: `Ring groove, ${width} wide`,
      source: 'DIN 471, table 1',
      form: 'groove',
      nominalMm: width,
      fromMm: width,
      toMm: width + standardToleranceMm(13, width),
      side: 'width',
      common: 0.3,
    })),
  ];
}
