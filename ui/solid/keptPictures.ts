import { browserStore, type DeviceStore } from '../api/device/deviceStore';
import type { UncheckedBody } from './protocol';

/** Repairs whose picture is kept, those that were built last. */
const KEPT_COUNT = 12;
/** A part with more triangles than that is quicker built than fetched, and takes room that work needs: bytes. */
const MOST_BYTES = 4_000_000;

interface KeptPicture {
  at: number;
  bodies: UncheckedBody[];
}

export const pictures: DeviceStore = browserStore('pictures');

/** Keeps how the bodies of a repair look, in place of how they looked before. */
export async function keepPicture(
  repairId: string,
  bodies: readonly UncheckedBody[],
  now: number,
  store: DeviceStore = pictures,
): Promise<void> {
  const bytes = bodies.reduce((sum, { mesh }) => sum + bytesOf(mesh), 0);
  if (bytes > MOST_BYTES) return store.remove(repairId);
  // Sizes that are written on it may be others by the time it is looked at.
  const plain = bodies.map((body): UncheckedBody => ({ ...body, annotations: [] }));
  await store.put(repairId, { at: now, bodies: plain } satisfies KeptPicture);
  const kept = (await store.entries()).map(([id, value]) => ({ id, at: (value as KeptPicture).at }));
  kept.sort((a, b) => b.at - a.at);
  for (const { id } of kept.slice(KEPT_COUNT)) await store.remove(id);
}

/** How the bodies of a repair looked when they were last built on this device; none if that is not known. */
export async function keptPicture(
  repairId: string,
  store: DeviceStore = pictures,
): Promise<readonly UncheckedBody[]> {
  const kept = (await store.get(repairId)) as KeptPicture | undefined;
  return kept?.bodies ?? [];
}

const bytesOf = ({ positions, normals, indices, edges }: UncheckedBody['mesh']): number =>
  [positions, normals, indices, edges].reduce((sum, { byteLength }) => sum + byteLength, 0);
