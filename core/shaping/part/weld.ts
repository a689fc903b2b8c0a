import type { SolidMesh } from './solidMesh';

/** Triangles that share their corners, as file formats want them. Flat arrays, mm. */
export interface WeldedMesh {
  positions: Float32Array;
  indices: Uint32Array;
}

/** Corners that differ by less than this share of the mesh's reach are one: two steps of single precision. */
const SAME_SHARE = 2.4e-7;

/** Width of the cells that corners are looked for in, in these: what is within reach of a corner lies in its own or, near a border, in the next. */
const CELL = 64;

/**
 * Joins corners at the same place and drops triangles that this makes degenerate (at poles). The kernel meshes both sides
 * of an edge from the same points, but works them out for each: they may differ by a rounding.
 */
export function weld(mesh: Pick<SolidMesh, 'positions' | 'indices'>): WeldedMesh {
  const { positions: places } = mesh;
  const count = places.length / 3;
  let reach = 1;
  for (const mm of places) reach = Math.max(reach, Math.abs(mm));
  const within = SAME_SHARE * reach;
  const cell = CELL * within;
  const table = new Int32Array(2 ** Math.ceil(Math.log2(2 * count + 2))).fill(-1);
  const cells = new Int32Array(places.length);
  const positions = new Float32Array(places.length);
  const renumbered = new Uint32Array(count);
  let known = 0;
  /** The corner of a cell that is near a place, or where in the table one would go: −1 − its slot. */
  const find = (x: number, y: number, z: number, at: number): number => {
    let slot = hashOf(x, y, z) & (table.length - 1);
    for (; table[slot]! >= 0; slot = (slot + 1) & (table.length - 1)) {
      const corner = 3 * table[slot]!;
      const isInCell = cells[corner] === x && cells[corner + 1] === y && cells[corner + 2] === z;
      if (isInCell && isNear(positions, corner, places, at, within)) return table[slot]!;
    }
    return -1 - slot;
  };
  const [own, aside] = [new Int32Array(3), new Int32Array(3)];
  for (let corner = 0; corner < count; corner += 1) {
    const at = 3 * corner;
    let nearBorders = 0;
    for (let axis = 0; axis < 3; axis += 1) {
      const place = places[at + axis]! / cell;
      own[axis] = Math.floor(place);
      const share = place - own[axis]!;
      aside[axis] = share < 1 / CELL ? -1 : share > 1 - 1 / CELL ? 1 : 0;
      if (aside[axis] !== 0) nearBorders += 1;
    }
    let found = find(own[0]!, own[1]!, own[2]!, at);
    const free = found;
    // Near a border it may have gone into the next cell.
    for (let side = 1; found < 0 && nearBorders > 0 && side < 8; side += 1) {
      const steps = [0, 1, 2].map((axis) => ((side >> axis) & 1) * aside[axis]!) as [number, number, number];
      // A step that goes nowhere leads to a cell that was looked into.
      if (steps.some((step, axis) => step === 0 && (side >> axis) & 1)) continue;
      found = find(own[0]! + steps[0], own[1]! + steps[1], own[2]! + steps[2], at);
    }
    if (found < 0) {
      table[-1 - free] = known;
      cells.set(own, 3 * known);
      positions[3 * known] = places[at]!;
      positions[3 * known + 1] = places[at + 1]!;
      positions[3 * known + 2] = places[at + 2]!;
      found = known;
      known += 1;
    }
    renumbered[corner] = found;
  }
  const indices = new Uint32Array(mesh.indices.length);
  let kept = 0;
  for (let at = 0; at < mesh.indices.length; at += 3) {
    const a = renumbered[mesh.indices[at]!]!;
    const b = renumbered[mesh.indices[at + 1]!]!;
    const c = renumbered[mesh.indices[at + 2]!]!;
    if (a === b || b === c || c === a) continue;
    indices[kept] = a;
    indices[kept + 1] = b;
    indices[kept + 2] = c;
    kept += 3;
  }
  return { positions: positions.slice(0, 3 * known), indices: indices.slice(0, kept) };
}

/** Spreads the bits of a position over a table: three large odd numbers, mixed once more for the low bits. */
function hashOf(x: number, y: number, z: number): number {
  const mixed = Math.imul(x, 73856093) ^ Math.imul(y, 19349663) ^ Math.imul(z, 83492791);
  return Math.imul(mixed ^ (mixed >>> 15), 0x2c1b3c6d) >>> 3;
}

const isNear = (a: Float32Array, i: number, b: Float32Array, j: number, within: number) =>
  Math.abs(a[i]! - b[j]!) <= within &&
  Math.abs(a[i + 1]! - b[j + 1]!) <= within &&
  Math.abs(a[i + 2]! - b[j + 2]!) <= within;

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
