import { BEARINGS, CLEARANCE_HOLES, HEX_FLATS, NUT_HEIGHTS_MM } from './hardware';

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
    source: 'ISO 273, medium',
    diameterMm: medium,
    head: { kind: 'none' },
  })),
  ...forThread(
    SOCKET_HEADS,
    ([thread]) => thread,
    ([thread, heightMm, counterboreMm], diameterMm) => ({
      name: `${thread} socket head screw, head sunk`,
      source: 'ISO 4762, DIN 974-1',
      diameterMm,
      head: { kind: 'seat', diameterMm: counterboreMm, depthMm: heightMm + headRoom(heightMm) },
    }),
  ),
  ...forThread(
    COUNTERSUNK,
    ([thread]) => thread,
    ([thread, headMm], diameterMm) => ({
      name: `${thread} countersunk screw`,
      source: 'ISO 10642',
      diameterMm,
      head: { kind: 'sink', diameterMm: headMm, angle: Math.PI / 2 },
    }),
  ),
  ...forThread(
    HEX_FLATS.filter(([thread]) => thread in NUT_HEIGHTS_MM),
    ([thread]) => thread,
    ([thread, flatsMm], diameterMm) => ({
      name: `${thread} nut, held`,
      source: 'ISO 272, ISO 4032',
      diameterMm,
      head: { kind: 'nut', sides: 6, acrossMm: flatsMm + NUT_ROOM_MM, depthMm: NUT_HEIGHTS_MM[thread]! },
    }),
  ),
  ...INSERTS.map(([thread, diameterMm, lengthMm]): HardwareHole => ({
    name: `${thread} brass insert, pressed in hot`,
    source: 'usual in the trade; measure your insert',
    diameterMm,
    depthMm: lengthMm + UNDER_INSERT_MM,
    head: { kind: 'none' },
  })),
  ...BEARINGS.map(({ series, boreMm, outsideMm, widthMm }): HardwareHole => ({
    name: `Bearing ${boreMm} × ${outsideMm} × ${widthMm}, with a lip`,
    source: `ISO 15, dimension series ${series}`,
    diameterMm: Math.round((outsideMm - LIP_SHARE * (outsideMm - boreMm)) * 10) / 10,
    head: { kind: 'seat', diameterMm: outsideMm, depthMm: widthMm },
  })),
];
