/** Equations and unknowns that are connected: a change in one part moves nothing in another. */
export interface Part {
  equations: number[];
  unknowns: number[];
}

/** Splits equations into parts that share no unknown. Unknowns that no equation holds are in none. */
export function partsOf(equations: readonly { at: readonly number[] }[], size: number): Part[] {
  const parent = Int32Array.from({ length: size }, (_, index) => index);
  const rootOf = (unknown: number): number => {
    let root = unknown;
    while (parent[root] !== root) root = parent[root]!;
    parent[unknown] = root;
    return root;
  };
  for (const { at } of equations) for (const unknown of at.slice(1)) parent[rootOf(unknown)] = rootOf(at[0]!);
  const parts = new Map<number, Part>();
  for (const [index, { at }] of equations.entries()) {
    const root = at.length > 0 ? rootOf(at[0]!) : -1 - index;
    const part = parts.get(root) ?? { equations: [], unknowns: [] };
    part.equations.push(index);
    parts.set(root, part);
  }
  for (let unknown = 0; unknown < size; unknown += 1) parts.get(rootOf(unknown))?.unknowns.push(unknown);
  return [...parts.values()];
}
