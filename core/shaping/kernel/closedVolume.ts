import { type SolidMesh, meshVolume, openEdgeCount, weld } from '@core/shaping/part';

/** A mesh never changes, and is asked more than once. */
const VOLUMES = new WeakMap<SolidMesh, number | null>();

/** Volume within the triangles, mm³; null where they do not close. */
export function closedVolume(mesh: SolidMesh): number | null {
  const known = VOLUMES.get(mesh);
  if (known !== undefined) return known;
  const welded = weld(mesh);
  const volume = openEdgeCount(welded) === 0 ? meshVolume(welded) : null;
  VOLUMES.set(mesh, volume);
  return volume;
}
