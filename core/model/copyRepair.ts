import type { Repair, RepairState } from './repair';

/**
 * The same repair under new ids, so that a file can be opened again beside the repair it came from.
 * Ids inside a repair only need to be unique in it, but the server keeps all rows in one table each.
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
  const readings = (state: RepairState) =>
    state.readings.map((row) => ({ ...row, id: rename(row.id), sizeId: rename(row.sizeId) }));
  const copyState = (state: RepairState): RepairState => ({
    head: { ...state.head, id: rename(state.head.id) },
    sizes: state.sizes.map((row) => ({ ...row, id: rename(row.id) })),
    readings: readings(state),
    fits: state.fits.map((row) => ({
      ...row,
      id: rename(row.id),
      counterpartSizeId: rename(row.counterpartSizeId),
    })),
    bodies: state.bodies.map((row) => ({ ...row, id: rename(row.id), steps: renameIn(row.steps, rename) })),
  });
  return {
    ...copyState(repair),
    revisions: repair.revisions.map((row) => ({
      ...row,
      id: rename(row.id),
      state: copyState(row.state),
      figures: row.figures.map((figure) => ({ ...figure, bodyId: rename(figure.bodyId) })),
    })),
  };
}

/** Keys of a step, and of the values in it, that hold an id. */
const ID_KEYS = new Set(['id', 'of', 'rimOf']);

function renameIn<T>(data: T, rename: (id: string) => string): T {
  if (Array.isArray(data)) return data.map((item) => renameIn(item, rename)) as T;
  if (typeof data !== 'object' || data === null) return data;
  return Object.fromEntries(
    Object.entries(data).map(([key, value]) => [
      key,
      typeof value === 'string' && ID_KEYS.has(key) ? rename(value) : renameIn(value, rename),
    ]),
  ) as T;
}
