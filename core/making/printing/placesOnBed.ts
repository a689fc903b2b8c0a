import { no, ok, type Fault, type PieceName, type Result } from '@core/foundations/fault';
import { adhesionReachMm, type LayerSettings } from '@core/making/slice';

import { areNearer, hullAt, type Hull } from './hull';
import { inRows, type Footprint } from './inRows';
import type { BedPlace } from './partOnBed';

/** Pieces made at once are no more than these: beyond, a job of a day hangs on its worst minute. */
export const MOST_PIECES = 40;
/** Between two pieces that are packed, so that strings between them stay short and each can be taken off by itself, mm. */
const GAP_MM = 5;
/** Between what is printed round two first layers, and between pieces that somebody put beside each other, mm. */
const LEAST_GAP_MM = 1;

/** What finding a place for its pieces needs to know of a part. */
export interface BedItem {
  name: string;
  /** In its orientation, its middle over the origin. */
  hull: Hull;
  settings: Pick<LayerSettings, 'foot' | 'footMm' | 'lineMm'>;
  pieces: number;
  at?: readonly BedPlace[];
}

/**
 * Where the pieces of each part stand, mm from the middle of the bed. Where somebody put them they stay, if each lies on the bed and none comes
 * too near to another; else they are packed in rows.
 *
 * @param bed width and depth of what the machine reaches, mm.
 */
export function placesOnBed(
  parts: readonly BedItem[],
  [width, depth]: readonly [number, number, ...unknown[]],
): Result<BedPlace[][], Fault> {
  const count = parts.reduce((sum, { pieces }) => sum + pieces, 0);
  if (parts.every(({ at, pieces }) => at?.length === pieces)) {
    const places = parts.map(({ at }) => [...at!]);
    const fault = faultOfPlaces(parts, [width, depth]);
    return fault ? no(fault) : ok(places);
  }
  // What does not fit alone was reported before.
  if (count === 1) return ok(parts.map(({ pieces }) => (pieces === 1 ? [[0, 0]] : [])));
  const around = Math.max(...parts.map(({ settings }) => adhesionReachMm(settings)));
  const ownReach = Math.max(...parts.map(({ settings }) => ownReachMm(settings)));
  const gapMm = Math.max(GAP_MM, ownReach > 0 ? 2 * ownReach + LEAST_GAP_MM : 0);
  const room = { width: width - 2 * around, depth: depth - 2 * around };
  const footprints = parts.flatMap(({ hull, pieces }) => Array<Footprint>(pieces).fill(footprintOf(hull)));
  const packed = (some: number) => inRows(footprints.slice(0, some), room, gapMm);
  const middles = count <= MOST_PIECES ? packed(count) : null;
  if (!middles) {
    let most = Math.min(count - 1, MOST_PIECES);
    while (most > 1 && !packed(most)) most -= 1;
    return no({ code: 'slice.piecesDoNotFit', pieces: count, most });
  }
  return ok(parts.map(({ pieces }) => middles.splice(0, pieces)));
}

/** How far beyond a part what is printed round its own foot reaches; a loop goes round all of them together. */
const ownReachMm = (settings: BedItem['settings']): number =>
  settings.foot === 'skirt' ? 0 : adhesionReachMm(settings);

function faultOfPlaces(parts: readonly BedItem[], [width, depth]: [number, number]): Fault | null {
  const pieces = parts.flatMap(({ name, hull, settings, at }) =>
    at!.map((place, index) => ({
      called: { name, piece: index + 1, of: at!.length } satisfies PieceName,
      hull: hullAt(hull, place),
      ownReach: ownReachMm(settings),
      reach: adhesionReachMm(settings),
    })),
  );
  for (const { called, hull, reach } of pieces) {
    const [left, low, right, high] = reachOf(hull);
    const overMm = reach + Math.max(-width / 2 - left, -depth / 2 - low, right - width / 2, high - depth / 2);
    if (!(overMm <= 0)) return { code: 'slice.pieceOffBed', which: called, overMm };
  }
  for (const [index, one] of pieces.entries()) {
    for (const other of pieces.slice(index + 1)) {
      const gapMm = one.ownReach + other.ownReach + LEAST_GAP_MM;
      if (areNearer(one.hull, other.hull, gapMm)) {
        return { code: 'slice.piecesTooNear', one: one.called, other: other.called, gapMm };
      }
    }
  }
  return null;
}

function footprintOf(hull: Hull): Footprint {
  const [left, low, right, high] = reachOf(hull);
  return { width: right - left, depth: high - low };
}

function reachOf(hull: Hull): [left: number, low: number, right: number, high: number] {
  const [xs, ys] = [hull.map(([x]) => x), hull.map(([, y]) => y)];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}
