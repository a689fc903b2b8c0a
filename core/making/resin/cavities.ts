import type { Area } from '@core/making/slice';

import { Rasteriser } from './raster';

/** Room inside a part from which resin can't run. Places in mm, as the part lies. */
export interface Cavity {
  /** `closed`: on all sides, or against the plate; `cup`: open upwards alone, so that it sucks at the film as the plate rises. */
  kind: 'closed' | 'cup';
  /** Its lowest place. */
  at: [number, number, number];
  mm3: number;
  /** Its largest cut along a layer. */
  areaMm2: number;
}

/** Cells are no smaller than this, and no more than so many along a side: mm. */
const FINEST_MM = 0.4;
const MOST_CELLS = 160;

/** What is smaller holds next to nothing: a pore between two facets is no room, a narrow or shallow hole sucks no more than a wall does. mm³, mm² and mm. */
const LEAST_MM3 = 2;
const LEAST_CUP_MM2 = 60;
const LEAST_CUP_MM = 2;

const HALF_COVERED = 128;

interface Room {
  cells: number;
  lowest: number;
  column: number;
  /** Cells in the layer where it is broadest, and in the one that is being looked at. */
  broadest: number;
  here: number;
  hereLayer: number;
  isOutside: boolean;
}

/**
 * Finds rooms that hold resin. The part is looked at in cells, layer of cells by layer of cells from the plate up: cells of air that touch belong
 * to one room; one that reaches beside the part is outside (labels of connected components by union and find, after Hoshen & Kopelman, 1976).
 * Works in steps; each gives the share that is done. A room that becomes one with the outside only as the layers rise was a cup; one that never does is closed.
 *
 * @param regions of each layer, from the plate.
 * @param box what they cover, mm: left, front, right, back.
 */
export function* cavitiesOf(
  regions: readonly Area[],
  layerMm: number,
  [left, front, right, back]: readonly [number, number, number, number],
): Generator<number, Cavity[]> {
  const cellMm = Math.max(
    FINEST_MM,
    (right - left) / MOST_CELLS,
    (back - front) / MOST_CELLS,
    (regions.length * layerMm) / MOST_CELLS,
  );
  // Round about runs a rim of cells that are outside.
  const columns = Math.ceil((right - left) / cellMm) + 2;
  const rows = Math.ceil((back - front) / cellMm) + 2;
  const raster = new Rasteriser(columns, rows, [cellMm, cellMm]);
  const every = Math.max(1, Math.round(cellMm / layerMm));
  const highMm = every * layerMm;
  const rooms: Room[] = [];
  const parent: number[] = [];
  const cavities: Cavity[] = [];
  const rootOf = (room: number): number => {
    let at = room;
    while (parent[at] !== at) at = parent[at] = parent[parent[at]!]!;
    return at;
  };
  const tell = ({ cells, lowest, column, broadest }: Room, kind: Cavity['kind']) => {
    const mm3 = cells * cellMm * cellMm * highMm;
    const areaMm2 = broadest * cellMm * cellMm;
    if (mm3 < LEAST_MM3) return;
    if (kind === 'cup' && (areaMm2 < LEAST_CUP_MM2 || mm3 / areaMm2 < LEAST_CUP_MM)) return;
    const x = left + ((column % columns) - 0.5) * cellMm;
    const y = front + (rows - 1.5 - Math.floor(column / columns)) * cellMm;
    cavities.push({ kind, at: [x, y, lowest * highMm], mm3, areaMm2 });
  };
  let level = 0;
  const join = (one: number, other: number): number => {
    const [a, b] = [rootOf(one), rootOf(other)];
    if (a === b) return a;
    const [kept, gone] = rooms[a]!.lowest <= rooms[b]!.lowest ? [a, b] : [b, a];
    const [into, from] = [rooms[kept]!, rooms[gone]!];
    if (into.isOutside !== from.isOutside) {
      const inner = into.isOutside ? from : into;
      // What began in this very layer was never shut in.
      if (inner.lowest < level) tell(inner, 'cup');
    }
    parent[gone] = kept;
    into.cells += from.cells;
    if (into.hereLayer === from.hereLayer) into.here += from.here;
    else if (from.hereLayer > into.hereLayer) [into.here, into.hereLayer] = [from.here, from.hereLayer];
    into.broadest = Math.max(into.broadest, from.broadest, into.here);
    into.isOutside ||= from.isOutside;
    return kept;
  };
  let below = new Int32Array(columns * rows).fill(-1);
  const levels = Math.ceil(regions.length / every);
  for (; level < levels; level += 1) {
    yield level / levels;
    const region = regions[Math.min(regions.length - 1, level * every + (every >> 1))]!;
    const { data } = raster.draw([region], [cellMm - left, cellMm - front]);
    const own = new Int32Array(columns * rows).fill(-1);
    for (let cell = 0; cell < own.length; cell += 1) {
      if (data[cell]! >= HALF_COVERED) continue;
      const [column, row] = [cell % columns, Math.floor(cell / columns)];
      let room = -1;
      const touch = (neighbour: number) => {
        if (neighbour >= 0) room = room < 0 ? rootOf(neighbour) : join(room, neighbour);
      };
      touch(below[cell]!);
      if (column > 0) touch(own[cell - 1]!);
      if (row > 0) touch(own[cell - columns]!);
      if (room < 0) {
        room = rooms.length;
        parent.push(room);
        rooms.push({
          cells: 0,
          lowest: level,
          column: cell,
          broadest: 0,
          here: 0,
          hereLayer: level,
          isOutside: false,
        });
      }
      const known = rooms[room]!;
      known.cells += 1;
      if (known.hereLayer !== level) [known.here, known.hereLayer] = [0, level];
      known.here += 1;
      known.broadest = Math.max(known.broadest, known.here);
      if (column === 0 || row === 0 || column === columns - 1 || row === rows - 1) {
        if (!known.isOutside) {
          // It reached the rim in the very layer in which it began: it was never anything else.
          if (known.lowest < level) tell(known, 'cup');
          known.isOutside = true;
        }
      }
      own[cell] = room;
    }
    below = own;
  }
  // What is open at the very top is joined to the outside above it.
  const open = new Set(
    Array.from(below)
      .filter((room) => room >= 0)
      .map(rootOf),
  );
  for (const [index, room] of rooms.entries()) {
    if (parent[index] !== index || room.isOutside) continue;
    tell(room, open.has(index) ? 'cup' : 'closed');
  }
  return cavities.sort((a, b) => b.mm3 - a.mm3);
}
