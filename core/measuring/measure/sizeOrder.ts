import type { Fault } from '@core/foundations/fault';
import type { Derivation, Size } from '@core/record/model';

import { prepareDerivation, type Derived, type SizeFinder } from './derive';

/** A size with what it needs, before sizes are put in order. */
export interface Linked {
  size: Size;
  derived: Derived | null;
  /** What is wrong with it whatever the values are. */
  brokenBy: Fault | null;
  /** The sizes it uses, as places in the list. */
  needs: number[];
}

/**
 * Prepares the derivations of sizes and puts them in an order in which each stands after those that it needs. Sizes
 * that go in a circle are told so, each naming the circle from its own place on.
 * @param sizes those that are not removed; tags and ids are unique.
 */
export function linkAndSort(sizes: readonly Size[]): Linked[] {
  const places = new Map(sizes.map(({ id }, place) => [id, place]));
  const byTag = new Map(sizes.map((size) => [size.tag, size]));
  const find: SizeFinder = {
    byTag: (tag) => byTag.get(tag) ?? null,
    byId: (id) => sizes[places.get(id) ?? -1] ?? null,
  };
  const linked = sizes.map((size): Linked => {
    const derivation: Derivation | null = size.kind === 'derived' ? size.derivation : null;
    const derived = derivation && prepareDerivation(size, derivation, find);
    if (!derived?.ok) return { size, derived: null, brokenBy: derived ? derived.fault : null, needs: [] };
    const needs = derived.value.needs.map(({ id }) => places.get(id)!);
    return { size, derived: derived.value, brokenBy: null, needs };
  });
  const order = sorted(linked);
  const rankOf = new Int32Array(sizes.length);
  for (const [rank, place] of order.entries()) rankOf[place] = rank;
  return order.map((place) => {
    const entry = linked[place]!;
    return { ...entry, needs: entry.needs.map((need) => rankOf[need]!) };
  });
}

/** Places in order (Kahn's algorithm); what is left over stands in a circle, or behind one, and comes last. */
function sorted(linked: Linked[]): number[] {
  const usedBy: number[][] = linked.map(() => []);
  const open = linked.map(({ needs }, place) => {
    const distinct = new Set(needs);
    for (const need of distinct) usedBy[need]!.push(place);
    return distinct.size;
  });
  // Last in, first out: what rests on a size follows it closely, and lies near it in memory.
  const ready = open.flatMap((count, place) => (count === 0 ? [place] : [])).reverse();
  const order: number[] = [];
  for (let place = ready.pop(); place !== undefined; place = ready.pop()) {
    order.push(place);
    for (const user of usedBy[place]!) {
      open[user]! -= 1;
      if (open[user] === 0) ready.push(user);
    }
  }
  const left = new Set(open.flatMap((count, place) => (count > 0 ? [place] : [])));
  for (const circle of circlesIn(left, linked)) {
    const tags = circle.map((place) => linked[place]!.size.tag);
    for (const [at, place] of circle.entries()) {
      const entry = linked[place]!;
      entry.brokenBy = { code: 'formula.cycle', tags: [...tags.slice(at), ...tags.slice(0, at)] };
      entry.derived = null;
    }
  }
  return [...order, ...left];
}

/** Circles among sizes that could not be put in order, each size in at most one. */
function circlesIn(left: ReadonlySet<number>, linked: readonly Linked[]): number[][] {
  const circles: number[][] = [];
  const done = new Set<number>();
  for (const start of left) {
    const path: number[] = [];
    let at: number | undefined = start;
    while (at !== undefined && !done.has(at)) {
      const again = path.indexOf(at);
      if (again >= 0) {
        circles.push(path.slice(again));
        break;
      }
      path.push(at);
      at = linked[at]!.needs.find((need) => left.has(need));
    }
    for (const place of path) done.add(place);
  }
  return circles;
}
