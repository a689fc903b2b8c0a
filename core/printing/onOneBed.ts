import { no, ok, type Fault, type Result } from '@core/fault';
import type { WeldedMesh } from '@core/part';
import type { LayerSettings } from '@core/slice';
import { isSameLength, SAME_MM } from '@core/tolerance';

/** What lies on the bed from above, mm. */
export interface Footprint {
  width: number;
  depth: number;
}

/** Pieces made at once are no more than these: beyond, a job of a day hangs on its worst minute. */
export const MOST_PIECES = 40;
/** Between two pieces, so that strings between them stay short and each can be taken off by itself, mm. */
const GAP_MM = 5;
/** What is laid round the foot reaches so far, mm, where it is a loop at a distance. */
const SKIRT_REACH_MM = 6;

/**
 * Where the middles of pieces lie, mm, from the middle of them all: in rows from the deepest to the least deep, of the arrangements
 * that fit the one whose longer side is shortest, and of those the one that covers least and is broader than deep. Null where none fits.
 *
 * @param room what may be covered.
 */
export function inRows(
  pieces: readonly Footprint[],
  room: Footprint,
  gapMm: number,
): [number, number][] | null {
  const order = pieces.map((_, index) => index).sort((a, b) => pieces[b]!.depth - pieces[a]!.depth);
  let best: { longer: number; area: number; middles: [number, number][] } | null = null;
  for (let inRow = 1; inRow <= pieces.length; inRow += 1) {
    const middles: [number, number][] = [];
    let [across, deep] = [0, 0];
    for (let first = 0; first < order.length; first += inRow) {
      const row = order.slice(first, first + inRow);
      let x = 0;
      for (const index of row) {
        const { width, depth } = pieces[index]!;
        middles[index] = [x + width / 2, deep + depth / 2];
        x += width + gapMm;
      }
      across = Math.max(across, x - gapMm);
      deep += pieces[row[0]!]!.depth + gapMm;
    }
    deep -= gapMm;
    const longer = Math.max(across, deep);
    const area = across * deep;
    if (across > room.width || deep > room.depth) continue;
    const isAsLong = best !== null && isSameLength(longer, best.longer);
    if (best && (isAsLong ? area > best.area + SAME_MM : longer > best.longer)) continue;
    best = { longer, area, middles: middles.map(([x, y]) => [x - across / 2, y - deep / 2]) };
  }
  return best?.middles ?? null;
}

/**
 * Several pieces of a part side by side on the bed, as one mesh with its middle over the origin; the part itself if it is one.
 *
 * @param laid as it lies, its middle over the origin.
 * @param bed breadth and depth of what the machine reaches, mm.
 */
export function onOneBed(
  laid: WeldedMesh,
  pieces: number,
  bed: readonly [number, number, number],
  settings: Pick<LayerSettings, 'foot' | 'footMm'>,
): Result<WeldedMesh, Fault> {
  if (pieces === 1) return ok(laid);
  const footprint = footprintOf(laid);
  const reach = reachOf(settings);
  const gapMm = Math.max(GAP_MM, settings.foot === 'skirt' ? 0 : 2 * reach + 1);
  const room = { width: bed[0] - 2 * reach, depth: bed[1] - 2 * reach };
  const placed = (count: number) => inRows(Array<Footprint>(count).fill(footprint), room, gapMm);
  const middles = pieces <= MOST_PIECES ? placed(pieces) : null;
  if (middles) return ok(copiesAt(laid, middles));
  let most = Math.min(pieces - 1, MOST_PIECES);
  while (most > 1 && !placed(most)) most -= 1;
  return no({ code: 'slice.piecesDoNotFit', pieces, most });
}

function reachOf({ foot, footMm }: Pick<LayerSettings, 'foot' | 'footMm'>): number {
  if (foot === 'none') return 0;
  return foot === 'skirt' ? SKIRT_REACH_MM : footMm;
}

function footprintOf({ positions }: WeldedMesh): Footprint {
  let [left, right, front, back] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let at = 0; at < positions.length; at += 3) {
    left = Math.min(left, positions[at]!);
    right = Math.max(right, positions[at]!);
    front = Math.min(front, positions[at + 1]!);
    back = Math.max(back, positions[at + 1]!);
  }
  return { width: right - left, depth: back - front };
}

function copiesAt(
  { positions, indices }: WeldedMesh,
  middles: readonly (readonly [number, number])[],
): WeldedMesh {
  const all = {
    positions: new Float32Array(middles.length * positions.length),
    indices: new Uint32Array(middles.length * indices.length),
  };
  for (const [copy, [x, y]] of middles.entries()) {
    const corners = copy * positions.length;
    for (let at = 0; at < positions.length; at += 3) {
      all.positions[corners + at] = positions[at]! + x;
      all.positions[corners + at + 1] = positions[at + 1]! + y;
      all.positions[corners + at + 2] = positions[at + 2]!;
    }
    const first = copy * (positions.length / 3);
    const triangles = copy * indices.length;
    for (let at = 0; at < indices.length; at += 1) all.indices[triangles + at] = indices[at]! + first;
  }
  return all;
}
