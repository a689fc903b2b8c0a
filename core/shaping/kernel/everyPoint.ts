/** Three corners of a triangle, anticlockwise. */
type Triple = readonly [number, number, number];

/** A triangle is thin where it is this much lower than long. */
const THIN = 1e-9;

/**
 * Triangles of an area between its loops of points that reach every point: `earcut` leaves out one that lies in line with its neighbours,
 * and the face on the other side of that edge has it. What is missing is closed with triangles without height, and each of these gives its
 * longest edge up to the triangle beyond it.
 *
 * @param flat the points, two numbers each.
 * @param loops the points of each loop, the area to the left of its edges.
 * @param indices three a triangle, anticlockwise.
 * @returns null where that does not come out even.
 */
export function withEveryPoint(
  flat: readonly number[],
  loops: readonly (readonly number[])[],
  indices: readonly number[],
): readonly number[] | null {
  const corners = loops.reduce((sum, loop) => sum + loop.length, 0);
  // Euler: so many there are if each point is a corner.
  if (indices.length === 3 * (corners + 2 * (loops.length - 1) - 2)) return indices;
  const net = new Net(indices);
  const gaps = net.gapsTo(loops);
  if (gaps === null) return null;
  const thin = gaps.flatMap((loop) =>
    loop.slice(2).map((last, at): Triple => [loop[0]!, loop[at + 1]!, last]),
  );
  for (const triple of thin) net.add(triple);
  for (let waited = 0; thin.length > 0;) {
    const triple = longestLast(flat, thin.shift()!);
    const beyond = net.cornerOf(triple[0], triple[2]);
    if (beyond === undefined) return null;
    if (isThin(flat, [triple[0], triple[2], beyond])) {
      thin.push(triple);
      waited += 1;
      if (waited > thin.length) return null;
    } else {
      net.flip(triple, beyond);
      waited = 0;
    }
  }
  return net.indices();
}

/** Triangles by their edges: of each edge as it goes round its triangle, the corner across from it. */
class Net {
  #corners = new Map<number, Map<number, number>>();

  constructor(indices: readonly number[]) {
    for (let at = 0; at < indices.length; at += 3) {
      this.add([indices[at]!, indices[at + 1]!, indices[at + 2]!]);
    }
  }

  cornerOf(from: number, to: number): number | undefined {
    return this.#corners.get(from)?.get(to);
  }

  add([a, b, c]: Triple): void {
    this.#set(a, b, c);
    this.#set(b, c, a);
    this.#set(c, a, b);
  }

  #set(from: number, to: number, corner: number): void {
    const there = this.#corners.get(from);
    if (there) there.set(to, corner);
    else this.#corners.set(from, new Map([[to, corner]]));
  }

  #remove([a, b, c]: Triple): void {
    this.#corners.get(a)?.delete(b);
    this.#corners.get(b)?.delete(c);
    this.#corners.get(c)?.delete(a);
  }

  /** Makes of a triangle and of the one beyond its last edge two that go by the corner between. */
  flip(triple: Triple, beyond: number): void {
    const [a, between, c] = triple;
    this.#remove(triple);
    this.#remove([a, c, beyond]);
    this.add([a, between, beyond]);
    this.add([between, c, beyond]);
  }

  /** Loops of what lies between the triangles and the loops of their area; null where they do not close. */
  gapsTo(loops: readonly (readonly number[])[]): number[][] | null {
    const next = new Map<number, number>();
    const wanted = new Set<string>();
    for (const loop of loops) {
      for (const [index, from] of loop.entries()) {
        const to = loop[(index + 1) % loop.length]!;
        wanted.add(`${from} ${to}`);
        if (this.cornerOf(from, to) === undefined) next.set(from, to);
      }
    }
    for (const [from, ends] of this.#corners) {
      for (const to of ends.keys()) {
        if (this.cornerOf(to, from) !== undefined || wanted.has(`${from} ${to}`)) continue;
        if (next.has(to)) return null;
        next.set(to, from);
      }
    }
    return loopsOf(next);
  }

  indices(): number[] {
    const all: number[] = [];
    for (const [a, ends] of this.#corners) {
      // Each triangle has three edges and is told at that of its least corner.
      for (const [b, c] of ends) if (a < b && a < c) all.push(a, b, c);
    }
    return all;
  }
}

function loopsOf(next: Map<number, number>): number[][] | null {
  const loops: number[][] = [];
  for (const [first] of next) {
    const loop: number[] = [];
    for (let at = first; next.has(at);) {
      loop.push(at);
      const to = next.get(at)!;
      next.delete(at);
      at = to;
      if (at === first) break;
      if (!next.has(at)) return null;
    }
    if (loop.length > 0) loops.push(loop);
  }
  return loops;
}

const squared = (flat: readonly number[], a: number, b: number): number =>
  (flat[2 * a]! - flat[2 * b]!) ** 2 + (flat[2 * a + 1]! - flat[2 * b + 1]!) ** 2;

/** The same triangle, its longest edge from its last corner to its first. */
function longestLast(flat: readonly number[], [a, b, c]: Triple): Triple {
  const [ab, bc, ca] = [squared(flat, a, b), squared(flat, b, c), squared(flat, c, a)];
  if (ca >= ab && ca >= bc) return [a, b, c];
  return ab >= bc ? [b, c, a] : [c, a, b];
}

function isThin(flat: readonly number[], [a, b, c]: Triple): boolean {
  const [ax, ay] = [flat[2 * a]!, flat[2 * a + 1]!];
  const twice = (flat[2 * b]! - ax) * (flat[2 * c + 1]! - ay) - (flat[2 * b + 1]! - ay) * (flat[2 * c]! - ax);
  return Math.abs(twice) <= THIN * Math.max(squared(flat, a, b), squared(flat, b, c), squared(flat, c, a));
}
