import type { Repair } from './repairRows';

/**
 * The same repair under new ids, so that a file can be opened again beside the repair it came from.
 * Ids inside a repair only need to be unique in it, but the server keeps all rows in one table each.
 * Instruments, machines, materials and picture files are the workshop's, and keep theirs.
 *
 * @param newId makes a fresh id each time it is called.
 */
export function copyRepair(repair: Repair, newId: () => string): Repair {
  return withFreshIds(repair, newId);
}

/** Why a trial that came with a file teaches no machine here. */
export const CAME_WITH_FILE = 'it came with a file, so it may have been made elsewhere';

/**
 * The repair of a file as it is taken in: its trials count for nothing until somebody says so. Every workshop has a bench printer, and theirs is not
 * ours; and a file that is opened twice would say everything twice.
 */
export function takenIn(repair: Repair): Repair {
  const trials = repair.trials.map((trial) => ({ ...trial, leftOut: trial.leftOut ?? CAME_WITH_FILE }));
  return { ...repair, trials };
}

/** Rows or steps under new ids; whatever in them refers to another of them follows. */
export function withFreshIds<T>(data: T, newId: () => string): T {
  const renamed = new Map<string, string>();
  const rename = (id: string) => {
    const known = renamed.get(id);
    if (known) return known;
    const fresh = newId();
    renamed.set(id, fresh);
    return fresh;
  };
  const steps = stepIdsIn(data);
  return renameIn(data, {
    rename,
    renameTag: (tag) => {
      const end = tag.lastIndexOf(':');
      // What a body was made of another's faces is called after their steps.
      const role = steps.reduce(
        (text, id) => text.replaceAll(`${plainOf(id)}-`, `${plainOf(rename(id))}-`),
        tag.slice(end + 1),
      );
      return `${rename(tag.slice(0, end))}:${role}`;
    },
  });
}

/** An id or a tag as it stands within the name of a face. */
export const plainOf = (text: string): string => text.replaceAll(/[^A-Za-z0-9]/g, '-');

interface Renaming {
  rename(id: string): string;
  renameTag(tag: string): string;
}

/** Keys of rows and steps, and of the values in them, that hold an id of the repair's own. */
const ID_KEYS = new Set([
  'id',
  'sizeId',
  'counterpartSizeId',
  'alsoSizeIds',
  'photoIds',
  'bodyId',
  'fitId',
  'rimOf',
  'point',
  'and',
  'step',
  'body',
  'layout',
]);

/** Holds rows of the workshop, which are not the repair's to rename. */
const NOT_OURS = 'workshop';

/** Sizes have an `of` too, which is a word there; that of these steps and of an edge rule is the id of a step or a body. */
const OF_STEPS = new Set<unknown>(['body', 'offset', 'draft', 'pattern', 'mirror']);
const namesStep = (data: object) => 'edges' in data || ('kind' in data && OF_STEPS.has(data.kind));
/** Faces moved may be all of them, or all that a fit is for. */
const WORDS = ['all', 'mating'];

function renameIn<T>(data: T, renaming: Renaming): T {
  if (Array.isArray(data)) return data.map((item: unknown) => renameIn(item, renaming)) as T;
  if (typeof data !== 'object' || data === null) return data;
  // What stands in a drawn outline has names of its own, by which its curves and relations go; its lengths may be sizes.
  const isDrawn = 'shape' in data && data.shape === 'drawn';
  const isPick = 'near' in data;
  return Object.fromEntries(
    Object.entries(data).map(([key, value]: [string, unknown]) => {
      if (key === NOT_OURS) return [key, value];
      if (isDrawn) return [key, drawnData(value, renaming)];
      if (isPick && key === 'tag') return [key, renaming.renameTag(value as string)];
      if (isPick && key === 'tags') return [key, (value as string[]).map(renaming.renameTag)];
      const isId = ID_KEYS.has(key) || (key === 'of' && !WORDS.includes(value as string) && namesStep(data));
      if (!isId) return [key, renameIn(value, renaming)];
      // A mirror or a pattern may name several.
      if (Array.isArray(value) && value.every((id) => typeof id === 'string')) {
        return [key, value.map((id) => renaming.rename(id))];
      }
      return [key, typeof value === 'string' ? renaming.rename(value) : renameIn(value, renaming)];
    }),
  ) as T;
}

/** What stands in a drawn outline: only its numbers may name rows, and what it follows names faces and bodies. */
function drawnData(data: unknown, renaming: Renaming): unknown {
  if (Array.isArray(data)) return data.map((one: unknown) => drawnData(one, renaming));
  if (typeof data !== 'object' || data === null) return data;
  if ('from' in data && !('kind' in data)) return renameIn(data, renaming);
  return Object.fromEntries(
    Object.entries(data).map(([key, one]) => [
      key,
      key === 'follows' ? renameIn(one, renaming) : drawnData(one, renaming),
    ]),
  );
}

function stepIdsIn(data: unknown): string[] {
  // Curves of a drawing have names too, and are no steps.
  if (typeof data !== 'object' || data === null || ('shape' in data && data.shape === 'drawn')) return [];
  const inside = Object.values(data).flatMap(stepIdsIn);
  const isStep = 'kind' in data && 'id' in data && typeof data.id === 'string';
  return isStep ? [data.id as string, ...inside] : inside;
}
