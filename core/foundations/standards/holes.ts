import { ownValue } from '@core/foundations/own';

import { BEARINGS, sourceOfBearing } from './bearings';
import { CLEARANCE_HOLES } from './clearanceHoles';
import { HEX_FLATS, NUT_HEIGHTS_MM } from './hexagons';
import { THREADS } from './threads';

/** A hole for a standard thing: its diameter and what it widens to, mm; `angle` in radians. */
export interface HardwareHole {
  name: string;
  source: string;
  diameterMm: number;
  /** Of a blind hole; left out where the hole keeps its own. */
  depthMm?: number;
  head:
    | { kind: 'none' }
    | { kind: 'seat'; diameterMm: number; depthMm: number }
    | { kind: 'sink'; diameterMm: number; angle: number }
    | { kind: 'nut'; sides: 6; acrossMm: number; depthMm: number };
}

/** Socket head screws: head height (ISO 4762:2004) and the counterbore for it (DIN 974-1, series 1). mm */
const SOCKET_HEADS: readonly [thread: string, height: number, counterbore: number][] = [
  ['M3', 3, 6.5],
  ['M4', 4, 8],
  ['M5', 5, 10],
  ['M6', 6, 11],
  ['M8', 8, 15],
  ['M10', 10, 18],
  ['M12', 12, 20],
];
/** Countersunk socket screws, 90°: theoretical head diameter, sharp edged (ISO 10642:2004). mm */
const COUNTERSUNK: readonly [thread: string, head: number][] = [
  ['M3', 6.72],
  ['M4', 8.96],
  ['M5', 11.2],
  ['M6', 13.44],
  ['M8', 17.92],
  ['M10', 22.4],
];

/** Countersunk screws with a cross, 90°: theoretical head diameter, sharp edged (ISO 7046-1:2011, table 1). mm */
const CROSS_COUNTERSUNK: readonly [thread: string, head: number][] = [
  ['M2', 4.4],
  ['M2.5', 5.5],
  ['M3', 6.3],
  ['M4', 9.4],
  ['M5', 10.4],
  ['M6', 12.6],
  ['M8', 17.3],
  ['M10', 20],
];
/** Button head screws: head diameter and height (ISO 7380-1:2011, table 1). mm */
const BUTTON_HEADS: readonly [thread: string, head: number, height: number][] = [
  ['M3', 5.7, 1.65],
  ['M4', 7.6, 2.2],
  ['M5', 9.5, 2.75],
  ['M6', 10.5, 3.3],
  ['M8', 14, 4.4],
  ['M10', 17.5, 5.5],
];
/** Heads of hexagon bolts, largest height (ISO 4014:2011, table 1), with washers under them: outside, thickness (ISO 7089:2000). mm */
const HEXAGON_HEADS: readonly [thread: string, height: number, washer: number, thick: number][] = [
  ['M3', 2.125, 7, 0.5],
  ['M4', 2.925, 9, 0.8],
  ['M5', 3.65, 10, 1],
  ['M6', 4.15, 12, 1.6],
  ['M8', 5.45, 16, 1.6],
  ['M10', 6.58, 20, 2],
  ['M12', 7.68, 24, 2.5],
];
/** Holes to cut a thread in, mm: ISO 2306:1972, table 1, coarse. */
const TAP_DRILLS: readonly [thread: string, hole: number][] = [
  ['M2', 1.6],
  ['M2.5', 2.05],
  ['M3', 2.5],
  ['M4', 3.3],
  ['M5', 4.2],
  ['M6', 5],
  ['M8', 6.8],
  ['M10', 8.5],
  ['M12', 10.2],
];
/**
 * Tapping screws by their thread: diameter over it (ISO 1478:1999, table 1), hole in thin sheet of 1 to 1.5 mm (DIN 7975, table 2). In plastic
 * a hole of 0.8 of the diameter, for two diameters of depth, as makers of plastics advise. mm
 */
const TAPPING: readonly [name: string, diameter: number, inSheet: number][] = [
  ['ST2.2', 2.24, 1.7],
  ['ST2.9', 2.9, 2.2],
  ['ST3.5', 3.53, 2.7],
  ['ST4.2', 4.22, 3.2],
  ['ST4.8', 4.8, 3.7],
  ['ST5.5', 5.46, 4.3],
  ['ST6.3', 6.25, 5],
];
const IN_PLASTIC_SHARE = 0.8;
/** Wood screws: diameter, pilot hole in soft and in hard wood, mm: about half and seven tenths of the diameter, as joiners drill. */
const WOOD_SCREWS: readonly [diameter: number, inSoft: number, inHard: number][] = [
  [3, 1.5, 2],
  [3.5, 2, 2.5],
  [4, 2, 3],
  [4.5, 2.5, 3],
  [5, 3, 3.5],
  [6, 3.5, 4],
];
/** Glands and lamp holders that are put through a wall: room over the thread, mm. */
const THROUGH_ROOM_MM = 0.3;
const GLAND_THREADS = ['M12 × 1.5', 'M16 × 1.5', 'M20 × 1.5', 'M25 × 1.5', 'M32 × 1.5'] as const;

/** Threaded brass inserts that are pressed in hot, as the trade has them: hole and length, mm. There is no standard. */
const INSERTS: readonly [thread: string, hole: number, length: number][] = [
  ['M2', 3.2, 4],
  ['M2.5', 4, 5],
  ['M3', 4, 5.7],
  ['M4', 5.6, 8.1],
  ['M5', 6.4, 9.5],
  ['M6', 8, 12.7],
  ['M8', 9.7, 12.7],
];
/** Room under an insert for what it pushes before it, mm. */
const UNDER_INSERT_MM = 1;

/** Room over a head so that it lies below the face, mm. */
const headRoom = (heightMm: number) => (heightMm <= 6 ? 0.4 : 0.6);
/** Room over the flats of a nut that is pressed in by hand, mm. */
const NUT_ROOM_MM = 0.2;
/** How far the lip under a bearing reaches in from its outer ring, as a share of the ring's section. */
const LIP_SHARE = 0.3;

/** The middle (medium) clearance hole of a thread, ISO 273. */
function clearanceOf(thread: string): number | null {
  return CLEARANCE_HOLES.find(([name]) => name === thread)?.[2] ?? null;
}

function forThread<T>(
  rows: readonly T[],
  nameOf: (row: T) => string,
  make: (row: T, hole: number) => HardwareHole,
) {
  return rows.flatMap((row) => {
    const hole = clearanceOf(nameOf(row));
    return hole === null ? [] : [make(row, hole)];
  });
}

/** Holes for screws, nuts and bearings of the tables. */
export const HARDWARE_HOLES: readonly HardwareHole[] = [
  ...CLEARANCE_HOLES.map(([thread, , medium]): HardwareHole => ({
    name: `${thread} screw, going through`,
    source: 'ISO 273, table 1, medium',
    diameterMm: medium,
    head: { kind: 'none' },
  })),
  ...forThread(
    SOCKET_HEADS,
    ([thread]) => thread,
    ([thread, heightMm, counterboreMm], diameterMm) => ({
      name: `${thread} socket head screw, head sunk`,
      source: 'ISO 4762, table 1; DIN 974-1, series 1',
      diameterMm,
      head: { kind: 'seat', diameterMm: counterboreMm, depthMm: heightMm + headRoom(heightMm) },
    }),
  ),
  ...forThread(
    COUNTERSUNK,
    ([thread]) => thread,
    ([thread, headMm], diameterMm) => ({
      name: `${thread} countersunk screw`,
      source: 'ISO 10642, table 1',
      diameterMm,
      head: { kind: 'sink', diameterMm: headMm, angle: Math.PI / 2 },
    }),
  ),
  ...forThread(
    CROSS_COUNTERSUNK,
    ([thread]) => thread,
    ([thread, headMm], diameterMm) => ({
      name: `${thread} countersunk screw with a cross`,
      source: 'ISO 7046-1, table 1',
      diameterMm,
      head: { kind: 'sink', diameterMm: headMm, angle: Math.PI / 2 },
    }),
  ),
  ...forThread(
    BUTTON_HEADS,
    ([thread]) => thread,
    ([thread, headMm, heightMm], diameterMm) => ({
      name: `${thread} button head screw, head sunk`,
      source: 'ISO 7380-1, table 1',
      diameterMm,
      head: { kind: 'seat', diameterMm: headMm + 0.5, depthMm: heightMm + headRoom(heightMm) },
    }),
  ),
  ...forThread(
    HEXAGON_HEADS,
    ([thread]) => thread,
    ([thread, heightMm, washerMm, thickMm], diameterMm) => ({
      name: `${thread} hexagon bolt with a washer, sunk`,
      source: 'ISO 4014, table 1; ISO 7089, table 1',
      diameterMm,
      head: { kind: 'seat', diameterMm: washerMm + 1, depthMm: heightMm + thickMm + headRoom(heightMm) },
    }),
  ),
  ...TAP_DRILLS.map(([thread, diameterMm]): HardwareHole => ({
    name: `${thread} thread, to be cut`,
    source: 'ISO 2306, table 1',
    diameterMm,
    head: { kind: 'none' },
  })),
  ...TAPPING.flatMap(([name, diameterMm, inSheetMm]): HardwareHole[] => [
    {
      name: `${name} tapping screw, into plastic`,
      source: 'ISO 1478, table 1; hole of 0.8 of it',
      diameterMm: Math.round(diameterMm * IN_PLASTIC_SHARE * 20) / 20,
      depthMm: Math.ceil(2 * diameterMm),
      head: { kind: 'none' },
    },
    {
      name: `${name} tapping screw, into sheet of 1 to 1.5`,
      source: 'ISO 1478, table 1; DIN 7975, table 2',
      diameterMm: inSheetMm,
      head: { kind: 'none' },
    },
  ]),
  ...WOOD_SCREWS.flatMap(([diameterMm, inSoftMm, inHardMm]): HardwareHole[] => [
    {
      name: `Wood screw ${diameterMm}, into soft wood`,
      source: 'usual with joiners; no standard',
      diameterMm: inSoftMm,
      head: { kind: 'none' },
    },
    {
      name: `Wood screw ${diameterMm}, into hard wood`,
      source: 'usual with joiners; no standard',
      diameterMm: inHardMm,
      head: { kind: 'none' },
    },
  ]),
  ...GLAND_THREADS.map((name): HardwareHole => ({
    name: `Cable gland ${name}, going through`,
    source: 'IEC 60423, table 1; EN 62444',
    diameterMm: THREADS.find((thread) => thread.name === name)!.majorMm + THROUGH_ROOM_MM,
    head: { kind: 'none' },
  })),
  ...forThread(
    HEX_FLATS.filter(([thread]) => thread in NUT_HEIGHTS_MM),
    ([thread]) => thread,
    ([thread, flatsMm], diameterMm) => ({
      name: `${thread} nut, held`,
      source: 'ISO 272, table 1; ISO 4032, table 1',
      diameterMm,
      head: {
        kind: 'nut',
        sides: 6,
        acrossMm: flatsMm + NUT_ROOM_MM,
        depthMm: ownValue(NUT_HEIGHTS_MM, thread)!,
      },
    }),
  ),
  ...INSERTS.map(([thread, diameterMm, lengthMm]): HardwareHole => ({
    name: `${thread} brass insert, pressed in hot`,
    source: 'usual in the trade; measure your insert',
    diameterMm,
    depthMm: lengthMm + UNDER_INSERT_MM,
    head: { kind: 'none' },
  })),
  ...BEARINGS.map((bearing): HardwareHole => {
    const { boreMm, outsideMm, widthMm } = bearing;
    return {
      name: `Bearing ${boreMm} × ${outsideMm} × ${widthMm}, with a lip`,
      source: sourceOfBearing(bearing),
      diameterMm: Math.round((outsideMm - LIP_SHARE * (outsideMm - boreMm)) * 10) / 10,
      head: { kind: 'seat', diameterMm: outsideMm, depthMm: widthMm },
    };
  }),
];
