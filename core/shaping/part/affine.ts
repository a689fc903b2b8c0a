import type { Vec3 } from '@core/foundations/vectors';
import { toLocal, toWorld, wayToWorld, type Frame } from './frame';

/** A map of space: where its origin and its three ways go. Here the ways need be neither square nor of length one. */
export type Affine = Frame;

/** First `inner`, then `outer`. */
export const placedIn = (outer: Affine, inner: Affine): Affine => ({
  origin: toWorld(outer, inner.origin),
  x: wayToWorld(outer, inner.x),
  y: wayToWorld(outer, inner.y),
  z: wayToWorld(outer, inner.z),
});

/** The way back from a place: a map that only turns and moves. */
export function undone(place: Affine): Affine {
  const way = (axis: number) => [place.x[axis]!, place.y[axis]!, place.z[axis]!] as Vec3;
  return { origin: toLocal(place, [0, 0, 0]), x: way(0), y: way(1), z: way(2) };
}
