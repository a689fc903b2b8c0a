/** What lies on the bed from above, mm. */
export interface Footprint {
  width: number;
  depth: number;
}

/** What is round is a hair wider than deep, by its facets: arrangements that differ by less are alike. */
const AS_LONG_MM = 1;
const AS_LARGE = 1.02;

/**
 * Where the middles of pieces lie, mm, from the middle of them all: in rows from the deepest to the least deep, of the arrangements
 * that fit the one whose longer side is shortest, and of those the one that covers least and is wider than deep. Null where none fits.
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
    const isAsLong = best !== null && Math.abs(longer - best.longer) < AS_LONG_MM;
    if (best && (isAsLong ? area > AS_LARGE * best.area : longer > best.longer)) continue;
    best = { longer, area, middles: middles.map(([x, y]) => [x - across / 2, y - deep / 2]) };
  }
  return best?.middles ?? null;
}
