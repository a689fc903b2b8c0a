import type { Repair } from './repairRows';

/** Names of the files of all scans of a repair, deleted ones too. */
export const scanFilesOf = ({ scans }: Repair): string[] => [...new Set(scans.map(({ file }) => file))];

/** Names of all pictures of a repair: of deleted photos too, which can be brought back, and of its revisions. */
export function picturesOf(repair: Repair): string[] {
  const photos = [...repair.photos, ...repair.revisions.flatMap(({ state }) => state.photos)];
  return [...new Set(photos.map(({ file }) => file))];
}
