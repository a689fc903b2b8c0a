import { no, ok, type Fault, type Result } from '@core/fault';
import type { WeldedMesh } from '@core/part';
import { footReachMm, type LayerSettings } from '@core/slice';

import { inRows, type Footprint } from './inRows';

/** Pieces made at once are no more than these: beyond, a job of a day hangs on its worst minute. */
export const MOST_PIECES = 40;
/** Between two pieces, so that strings between them stay short and each can be taken off by itself, mm. */
const GAP_MM = 5;

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
  settings: Pick<LayerSettings, 'foot' | 'footMm' | 'lineMm'>,
): Result<WeldedMesh, Fault> {
  if (pieces === 1) return ok(laid);
  const footprint = footprintOf(laid);
  const reach = footReachMm(settings);
  const gapMm = Math.max(GAP_MM, settings.foot === 'skirt' ? 0 : 2 * reach + 1);
  const room = { width: bed[0] - 2 * reach, depth: bed[1] - 2 * reach };
  const placed = (count: number) => inRows(Array<Footprint>(count).fill(footprint), room, gapMm);
  const middles = pieces <= MOST_PIECES ? placed(pieces) : null;
  if (middles) return ok(copiesAt(laid, middles));
  let most = Math.min(pieces - 1, MOST_PIECES);
  while (most > 1 && !placed(most)) most -= 1;
  return no({ code: 'slice.piecesDoNotFit', pieces, most });
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
