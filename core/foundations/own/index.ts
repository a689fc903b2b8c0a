/**
 * What an object holds itself under a key that may be any text; undefined if nothing. Plain `object[key]` would find “constructor” and “__proto__” in all objects: a lint
 * rule asks for this, or for a Map.
 */
export const ownValue = <T>(object: Readonly<Record<string, T>>, key: string): T | undefined =>
  // eslint-disable-next-line own/own-keys -- asked for just before
  Object.hasOwn(object, key) ? object[key] : undefined;
