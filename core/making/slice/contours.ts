import type { WeldedMesh } from '@core/shaping/part';

/** Closed outlines of a mesh at one height, mm. Outer ones run anticlockwise seen from above, holes clockwise. */
export interface Contours {
  /** x y after each other, all loops in one array. */
  points: Float64Array;
  /** Where each loop begins, counted in points, and where the last one ends. */
  begins: Uint32Array;
}

/** A mesh made ready to be cut at many heights: its edges are numbered, its triangles sorted by their lowest corner. */
export interface CutTable {
  positions: Float32Array;
  /** Corners of each edge, lower number first. */
  edges: Uint32Array;
  /** The three edges of each triangle, opposite to no corner in particular: from its first corner to the second, and on. */
  edgesOf: Uint32Array;
  indices: Uint32Array;
  /** Triangles by rising lowest corner. */
  order: Uint32Array;
  lowest: Float32Array;
  highest: Float32Array;
  /** How many triangles have a side that no other shares in the opposite direction: such a mesh does not close. */
  open: number;
}

/**
 * Makes a mesh ready for `contoursAt`. Grows with the number of triangles, and its logarithm for the sorting.
 */
export function cutTable({ positions, indices }: WeldedMesh): CutTable {
  const count = indices.length / 3;
  const corners = positions.length / 3;
  const edgesOf = new Uint32Array(indices.length);
  // Edges by their lower corner: heads of chains, so that no text or object stands for an edge.
  const head = new Int32Array(corners).fill(-1);
  const next = new Int32Array(indices.length);
  const edges = new Uint32Array(2 * indices.length);
  const balance = new Int8Array(indices.length);
  let known = 0;
  for (let at = 0; at < indices.length; at += 1) {
    const from = indices[at]!;
    const to = indices[at % 3 === 2 ? at - 2 : at + 1]!;
    const low = from < to ? from : to;
    const high = from < to ? to : from;
    let edge = head[low]!;
    while (edge >= 0 && edges[2 * edge + 1] !== high) edge = next[edge]!;
    if (edge < 0) {
      edge = known;
      known += 1;
      edges[2 * edge] = low;
      edges[2 * edge + 1] = high;
      next[edge] = head[low]!;
      head[low] = edge;
    }
    balance[edge]! += from < to ? 1 : -1;
    edgesOf[at] = edge;
  }
  let open = 0;
  for (let edge = 0; edge < known; edge += 1) if (balance[edge] !== 0) open += 1;
  const lowest = new Float32Array(count);
  const highest = new Float32Array(count);
  for (let triangle = 0; triangle < count; triangle += 1) {
    const at = 3 * triangle;
    const a = positions[3 * indices[at]! + 2]!;
    const b = positions[3 * indices[at + 1]! + 2]!;
    const c = positions[3 * indices[at + 2]! + 2]!;
    lowest[triangle] = Math.min(a, b, c);
    highest[triangle] = Math.max(a, b, c);
  }
  const order = new Uint32Array(count).map((_, index) => index);
  order.sort((one, other) => lowest[one]! - lowest[other]!);
  return { positions, edges: edges.slice(0, 2 * known), edgesOf, indices, order, lowest, highest, open };
}

/**
 * The outlines of a mesh at rising heights, by a sweep over its triangles: what is met at one height is kept for the next, and each crossing is
 * linked to the next one by the edge that both triangles share. A corner exactly at a height counts as below it, so that no
 * loop is left open; a level face at a height belongs to what is above it if it is a floor, and is left out if it is a ceiling.
 *
 * @param heights mm, rising.
 */
export function* contoursAt(table: CutTable, heights: readonly number[]): Generator<Contours> {
  const { positions, edges, edgesOf, indices, order, lowest, highest } = table;
  const active: number[] = [];
  let coming = 0;
  // The crossing that follows each crossed edge; what is left of earlier heights is reported by `seen`.
  const following = new Int32Array(edges.length / 2);
  const seen = new Int32Array(edges.length / 2).fill(-1);
  const begun: number[] = [];
  for (const [layer, height] of heights.entries()) {
    while (coming < order.length && lowest[order[coming]!]! <= height) {
      active.push(order[coming]!);
      coming += 1;
    }
    begun.length = 0;
    let kept = 0;
    for (const triangle of active) {
      if (highest[triangle]! <= height) continue;
      active[kept] = triangle;
      kept += 1;
      const at = 3 * triangle;
      const a = positions[3 * indices[at]! + 2]! > height;
      const b = positions[3 * indices[at + 1]! + 2]! > height;
      const c = positions[3 * indices[at + 2]! + 2]! > height;
      // Solid lies to the left of a line from where the triangle goes down through the height to where it comes up.
      const down = a && !b ? at : b && !c ? at + 1 : at + 2;
      const up = !a && b ? at : !b && c ? at + 1 : at + 2;
      const edge = edgesOf[down]!;
      following[edge] = edgesOf[up]!;
      seen[edge] = layer;
      begun.push(edge);
    }
    active.length = kept;
    yield linked(layer, height, begun, { positions, edges, following, seen });
  }
}

interface Crossings {
  positions: Float32Array;
  edges: Uint32Array;
  following: Int32Array;
  seen: Int32Array;
}

function linked(
  layer: number,
  height: number,
  begun: readonly number[],
  { positions, edges, following, seen }: Crossings,
): Contours {
  const points = new Float64Array(2 * begun.length);
  const begins: number[] = [0];
  let count = 0;
  for (const first of begun) {
    if (seen[first] !== layer) continue;
    const start = count;
    let edge = first;
    do {
      seen[edge] = -1 - layer;
      const low = 3 * edges[2 * edge]!;
      const high = 3 * edges[2 * edge + 1]!;
      const from = positions[low + 2]!;
      const share = (height - from) / (positions[high + 2]! - from);
      points[2 * count] = positions[low]! + share * (positions[high]! - positions[low]!);
      points[2 * count + 1] = positions[low + 1]! + share * (positions[high + 1]! - positions[low + 1]!);
      count += 1;
      edge = following[edge]!;
    } while (edge !== first && seen[edge] === layer);
    if (count - start < 3) count = start;
    else begins.push(count);
  }
  return { points: points.slice(0, 2 * count), begins: new Uint32Array(begins) };
}

/** What the outlines enclose, holes taken off, mm². */
export function areaOf({ points, begins }: Contours): number {
  let twice = 0;
  for (let loop = 0; loop + 1 < begins.length; loop += 1) {
    let last = begins[loop + 1]! - 1;
    for (let at = begins[loop]!; at < begins[loop + 1]!; at += 1) {
      twice += points[2 * last]! * points[2 * at + 1]! - points[2 * at]! * points[2 * last + 1]!;
      last = at;
    }
  }
  return twice / 2;
}
