import { listsOf, type Lists } from '@core/foundations/formula';

/** Most sizes with a doubt of their own that a derived one may rest on; more than a formula of any use has. */
export const MOST_ROOTS = 400;

/**
 * The measured sizes, and those stated with limits, that each size rests on, in rising order, and where each root of a needed size stands among
 * those of the size that needs it. They depend on formulas alone, so that a changed reading moves only numbers.
 */
export interface RootSets {
  roots: Lists;
  /** For every need (in the order of the lists of needs): place of each of its roots in the user's list. */
  places: Lists;
  /** Sizes that rest on more than MOST_ROOTS; theirs are left empty. */
  tooMany: number[];
}

/** @param needs by rank, so that needs have lower ranks; @param isRoot sizes with a doubt of their own. */
export function rootSetsOf(
  needs: readonly (readonly number[])[],
  isRoot: (rank: number) => boolean,
): RootSets {
  const roots: number[][] = [];
  const places: number[][] = [];
  const tooMany: number[] = [];
  for (const [rank, own] of needs.entries()) {
    let merged = isRoot(rank) ? [rank] : union(own.map((need) => roots[need] ?? []));
    if (merged.length > MOST_ROOTS) {
      tooMany.push(rank);
      merged = [];
    }
    roots.push(merged);
    const placeOf = new Map(merged.map((root, place) => [root, place]));
    for (const need of own) {
      places.push(merged.length === 0 ? [] : (roots[need] ?? []).map((root) => placeOf.get(root)!));
    }
  }
  return { roots: listsOf(roots), places: listsOf(places), tooMany };
}

function union(lists: readonly (readonly number[])[]): number[] {
  if (lists.length === 1) return [...lists[0]!];
  return [...new Set(lists.flat())].sort((a, b) => a - b);
}
