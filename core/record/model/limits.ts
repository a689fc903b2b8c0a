const MB = 1024 * 1024;

/**
 * How much there can be of everything (how many rows of each kind stands in their registries), so that whatever is taken in by a change can be saved as a file,
 * and whatever is saved can be opened again.
 */

/** Pictures and scans of one repair together, revisions' too, bytes. In a file they take a third more (base 64). */
export const PHOTOS_LIMIT_BYTES = 40 * MB;
/** A repair with its revisions as JSON, without pictures, bytes. One with 10,000 readings takes about 3 MB. */
export const REPAIR_LIMIT_BYTES = 32 * MB;
/** One change, bytes: a revision holds all rows as they were. */
export const CHANGE_LIMIT_BYTES = 16 * MB;
/** What the workshop of a file may take at most, with its frame, bytes. */
const WORKSHOP_LIMIT_BYTES = 8 * MB;
/** Longest repair file that is read, bytes: room for the largest repair with all its pictures. */
export const REPAIR_FILE_LIMIT_BYTES =
  REPAIR_LIMIT_BYTES + Math.ceil((PHOTOS_LIMIT_BYTES * 4) / 3 / MB) * MB + WORKSHOP_LIMIT_BYTES + 2 * MB;

/**
 * How much room a repair of so many bytes leaves for pictures and scans in its file, bytes. The usual limit, except for one that an
 * earlier version let grow larger.
 */
export function roomForPictures(repairBytes: number): number {
  const left = REPAIR_FILE_LIMIT_BYTES - WORKSHOP_LIMIT_BYTES - 2 * MB - repairBytes;
  return Math.max(0, Math.min(PHOTOS_LIMIT_BYTES, Math.floor((left * 3) / 4)));
}

/** Deepest nesting of anything that is read as JSON; a repair in a revision has about 15 levels. */
export const JSON_DEPTH_LIMIT = 64;
/** Most values in anything that is read as JSON. The largest repair file has about three million. */
export const JSON_VALUES_LIMIT = 6_000_000;
