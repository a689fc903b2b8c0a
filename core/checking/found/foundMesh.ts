import type { WeldedMesh } from '@core/shaping/part';

/** A mesh as another made it: triangles in the file's own numbers. Corners need not be shared, and it need not be closed. */
export interface FoundMesh extends WeldedMesh {
  /** What one of the file's numbers is, mm; null when the file does not say. */
  unitMm: number | null;
}

/** More triangles than this take more memory, and longer, than a phone gives. */
export const MOST_TRIANGLES = 500_000;
/** The largest file that is read, bytes. */
export const MOST_FOUND_BYTES = 150 * 1024 * 1024;

/** How far a mesh reaches along each axis, in its own numbers. */
export function reachOf({ positions }: Pick<WeldedMesh, 'positions'>): [number, number, number] {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let at = 0; at < positions.length; at += 1) {
    const axis = at % 3;
    low[axis] = Math.min(low[axis]!, positions[at]!);
    high[axis] = Math.max(high[axis]!, positions[at]!);
  }
  return [0, 1, 2].map((axis) => high[axis]! - low[axis]!) as [number, number, number];
}

/** The diagonal of a mesh's box. */
export const diagonalOf = (mesh: Pick<WeldedMesh, 'positions'>): number => Math.hypot(...reachOf(mesh));
