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
  const known = new Map<string, number>();
  const positions: number[] = [];
  const renumbered = new Uint32Array(mesh.positions.length / 3);
  for (let corner = 0; corner < renumbered.length; corner += 1) {
    // Adding 0 turns a negative zero into zero.
    const x = mesh.positions[3 * corner]! + 0;
    const y = mesh.positions[3 * corner + 1]! + 0;
    const z = mesh.positions[3 * corner + 2]! + 0;
    const key = `${x} ${y} ${z}`;
    let index = known.get(key);
    if (index === undefined) {
      index = positions.length / 3;
      known.set(key, index);
      positions.push(x, y, z);
    }
    renumbered[corner] = index;
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
  return { positions: new Float32Array(positions), indices: new Uint32Array(indices) };
}

/**
 * Edges of a welded mesh that do not have exactly one triangle on each side, in opposite directions.
 * Zero means watertight: this is asked before every export.
 */
export function openEdgeCount({ indices }: WeldedMesh): number {
  const directed = new Map<string, number>();
  for (let at = 0; at < indices.length; at += 3) {
    for (let side = 0; side < 3; side += 1) {
      const key = `${indices[at + side]}>${indices[at + ((side + 1) % 3)]}`;
      directed.set(key, (directed.get(key) ?? 0) + 1);
    }
  }
  let open = 0;
  for (const [key, count] of directed) {
    const [from, to] = key.split('>');
    if (count !== 1 || directed.get(`${to}>${from}`) !== 1) open += 1;
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
