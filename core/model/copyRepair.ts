import type { Repair } from './repair';

/**
 * The same repair under new ids, so that a file can be opened again beside the repair it came from.
 * Ids inside a repair only need to be unique in it, but the server keeps all rows in one table each.
 * Instruments, machines, materials and picture files are the workshop's, and keep theirs.
 *
 * @param newId makes a fresh id each time it is called.
 */
export function copyRepair(repair: Repair, newId: () => string): Repair {
  const renamed = new Map<string, string>();
  const rename = (id: string) => {
    const known = renamed.get(id);
    if (known) return known;
    const fresh = newId();
    renamed.set(id, fresh);
    return fresh;
  };
  return renameIn(repair, rename);
}

/** Keys of rows and steps, and of the values in them, that hold an id of the repair's own. */
const ID_KEYS = new Set(['id', 'sizeId', 'counterpartSizeId', 'bodyId', 'rimOf', 'point']);

/** Holds rows of the workshop, which are not the repair's to rename. */
const NOT_OURS = 'workshop';

/** Sizes have an `of` too, which is a word there; that of an edge rule or a repeat is the id of a step. */
const namesStep = (data: object) => 'edges' in data || 'pattern' in data;

function renameIn<T>(data: T, rename: (id: string) => string): T {
  if (Array.isArray(data)) return data.map((item: unknown) => renameIn(item, rename)) as T;
  if (typeof data !== 'object' || data === null) return data;
  return Object.fromEntries(
    Object.entries(data).map(([key, value]: [string, unknown]) => {
      if (key === NOT_OURS) return [key, value];
      const isId = ID_KEYS.has(key) || (key === 'of' && namesStep(data));
      return [key, typeof value === 'string' && isId ? rename(value) : renameIn(value, rename)];
    }),
  ) as T;
}
