import { boolean, type TaggedSolid } from '@core/shaping/kernel';

/** Adds a fresh solid to what is there; alone it starts the body. Takes over `added`. @param merge makes one face of those that lie in one surface. */
export function joinTo(before: TaggedSolid | null, added: TaggedSolid, merge: boolean): TaggedSolid {
  if (!before) return added;
  const joined = boolean('fuse', before, added, merge);
  added.dispose();
  return joined;
}

/** Takes a fresh solid away from what is there. Takes over `tool`. */
export function cutFrom(before: TaggedSolid, tool: TaggedSolid): TaggedSolid {
  const rest = boolean('cut', before, tool);
  tool.dispose();
  return rest;
}
