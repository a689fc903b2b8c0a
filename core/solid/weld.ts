import type { SolidMesh } from './mesh';

/** Triangles that share their corners, as file formats want them. Flat arrays, mm. */
export interface WeldedMesh {
  positions: Float32Array;
  indices: Uint32Array;
}

/**
 * Joins corners at equal positions and drops triangles that this makes degenerate (at poles). The kernel
 * meshes both sides of an edge from the same points, so positions are equal to the last bit.
 */
export function weld(mesh: Pick<SolidMesh, 'positions' | 'indices'>): WeldedMesh {
  const count = mesh.positions.length / 3;
  // Adding 0 turns a negative zero into zero, so that equal positions have equal bits.
  const places = mesh.positions.map((mm) => mm + 0);
  const bits = new Int32Array(places.buffer);
  const table = new Int32Array(2 ** Math.ceil(Math.log2(2 * count + 2))).fill(-1);
  const positions = new Float32Array(places.length);
  const renumbered = new Uint32Array(count);
  let known = 0;
  for (let corner = 0; corner < count; corner += 1) {
    const at = 3 * corner;
    let slot = hashOf(bits[at]!, bits[at + 1]!, bits[at + 2]!) & (table.length - 1);
    while (table[slot]! >= 0 && !isSame(positions, 3 * table[slot]!, places, at)) {
      slot = (slot + 1) & (table.length - 1);
    }
    if (table[slot]! < 0) {
      table[slot] = known;
      positions.set(places.subarray(at, at + 3), 3 * known);
      known += 1;
    }
    renumbered[corner] = table[slot]!;
  }
  const indices: number[] = [];
  for (let at = 0; at < mesh.indices.length; at += 3) {
    const [a, b, c] = [0, 1, 2].map((offset) => renumbered[mesh.indices[at + offset]!]!) as [
      number,
      number,
      number,
    ];
    if (a !== b && b !== c && c !== a) indices.push(a, b, c);
  }
  return { positions: positions.slice(0, 3 * known), indices: new Uint32Array(indices) };
}

/** Spreads the bits of a position over a table: three large odd numbers, mixed once more for the low bits. */
function hashOf(x: number, y: number, z: number): number {
  const mixed = Math.imul(x, 73856093) ^ Math.imul(y, 19349663) ^ Math.imul(z, 83492791);
  return Math.imul(mixed ^ (mixed >>> 15), 0x2c1b3c6d) >>> 3;
}

const isSame = (a: Float32Array, i: number, b: Float32Array, j: number) =>
  a[i] === b[j] && a[i + 1] === b[j + 1] && a[i + 2] === b[j + 2];

/**
 * Edges of a welded mesh that do not have exactly one triangle on each side, in opposite directions.
 * Zero means watertight: this is asked before every export.
 */
export function openEdgeCount({ indices, positions }: WeldedMesh): number {
  // The corners that each corner has an edge to, all in one array, by where each one's begin.
  const begins = new Uint32Array(positions.length / 3 + 1);
  for (const from of indices) begins[from + 1]! += 1;
  for (let corner = 1; corner < begins.length; corner += 1) begins[corner]! += begins[corner - 1]!;
  const filled = begins.slice();
  const to = new Uint32Array(indices.length);
  for (let at = 0; at < indices.length; at += 3) {
    for (let side = 0; side < 3; side += 1) {
      to[filled[indices[at + side]!]!++] = indices[at + ((side + 1) % 3)]!;
    }
  }
  const edges = (from: number, other: number) => {
    let found = 0;
    for (let at = begins[from]!; at < begins[from + 1]!; at += 1) if (to[at] === other) found += 1;
    return found;
  };
  let open = 0;
  for (let from = 0; from + 1 < begins.length; from += 1) {
    for (let at = begins[from]!; at < begins[from + 1]!; at += 1) {
      if (edges(from, to[at]!) !== 1 || edges(to[at]!, from) !== 1) open += 1;
    }
  }
  return open;
}

/**
 * Volume inside a closed mesh, mm³, by the divergence theorem: a sixth of the sum of a · (b × c).
 */
export function meshVolume({ positions, indices }: Pick<WeldedMesh, 'positions' | 'indices'>): number {
  let six = 0;
  for (let at = 0; at < indices.length; at += 3) {
    const [a, b, c] = [3 * indices[at]!, 3 * indices[at + 1]!, 3 * indices[at + 2]!];
    const [ax, ay, az] = [positions[a]!, positions[a + 1]!, positions[a + 2]!];
    const [bx, by, bz] = [positions[b]!, positions[b + 1]!, positions[b + 2]!];
    const [cx, cy, cz] = [positions[c]!, positions[c + 1]!, positions[c + 2]!];
    six += ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
  }
  return six / 6;
}
