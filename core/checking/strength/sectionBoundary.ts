import type { FlatSection } from './section';

export type Corner = readonly [number, number];

/** Sides of triangles that no other shares: the edges of a section, mm. */
export function boundaryOf({ points, triangles }: FlatSection): [Corner, Corner][] {
  const nameOf = ([x, y]: Corner) => `${x.toFixed(5)},${y.toFixed(5)}`;
  const sides = new Map<string, [Corner, Corner] | null>();
  for (const corners of triangles) {
    for (let side = 0; side < 3; side += 1) {
      const [a, b] = [points[corners[side]!]!, points[corners[(side + 1) % 3]!]!];
      const key = [nameOf(a), nameOf(b)].sort().join(' ');
      sides.set(key, sides.has(key) ? null : [a, b]);
    }
  }
  return [...sides.values()].filter((side) => side !== null);
}
