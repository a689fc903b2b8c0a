/** A corner in whole numbers. */
export interface Corner {
  x: number;
  y: number;
}

/**
 * The closed lines round triangles that all run the same way, however they lie over each other: sides that two of them share go against each other and
 * fall away, and what is left winds round each place as often as triangles cover it. For a union that is as good as the triangles, and far less of it.
 */
export function boundaryOfTriangles(triangles: readonly (readonly [Corner, Corner, Corner])[]): Corner[][] {
  const corners: Corner[] = [];
  const known = new Map<string, number>();
  const idOf = (corner: Corner): number => {
    const key = `${corner.x},${corner.y}`;
    const id = known.get(key);
    if (id !== undefined) return id;
    known.set(key, corners.length);
    corners.push(corner);
    return corners.length - 1;
  };
  // How often a side is run from its first corner to its second, more often than back.
  const from: Map<number, number>[] = [];
  const run = (a: number, b: number) => {
    const back = from[b]?.get(a) ?? 0;
    if (back > 1) from[b]!.set(a, back - 1);
    else if (back === 1) from[b]!.delete(a);
    else (from[a] ??= new Map()).set(b, (from[a]!.get(b) ?? 0) + 1);
  };
  for (const triangle of triangles) {
    const [a, b, c] = triangle.map(idOf) as [number, number, number];
    run(a, b);
    run(b, c);
    run(c, a);
  }
  const loops: Corner[][] = [];
  for (const [start, ways] of from.entries()) {
    while (ways && ways.size > 0) {
      // As many sides lead to a corner as from it: whoever goes on comes back.
      const loop: Corner[] = [];
      let at = start;
      do {
        loop.push(corners[at]!);
        const [to, times] = from[at]!.entries().next().value!;
        if (times > 1) from[at]!.set(to, times - 1);
        else from[at]!.delete(to);
        at = to;
      } while (at !== start);
      loops.push(loop);
    }
  }
  return loops;
}
