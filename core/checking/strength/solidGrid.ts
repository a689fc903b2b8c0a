import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';

/** Small cubes of a solid: which have their middles in it. Cells run along x first, then y, then z. */
export interface SolidGrid {
  cells: Uint8Array;
  counts: readonly [number, number, number];
  /** Of the first cell's middle, mm. */
  origin: Vec3;
  stepMm: number;
}

/** Middles lie a little beside where edges and flat faces usually are. */
const ASIDE: Vec3 = [0.3719, 0.4127, 0.5231];

/**
 * A closed mesh as cubes, column by column: between each two crossings of a column with the mesh there is material.
 *
 * @param stepMm side of a cube.
 */
export function solidGrid({ positions, indices }: WeldedMesh, stepMm: number): SolidGrid {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let at = 0; at < positions.length; at += 1) {
    const axis = at % 3;
    low[axis] = Math.min(low[axis]!, positions[at]!);
    high[axis] = Math.max(high[axis]!, positions[at]!);
  }
  const counts = [0, 1, 2].map((axis) => Math.max(1, Math.ceil((high[axis]! - low[axis]!) / stepMm))) as [
    number,
    number,
    number,
  ];
  const origin: Vec3 = [
    low[0]! + ASIDE[0] * stepMm,
    low[1]! + ASIDE[1] * stepMm,
    low[2]! + ASIDE[2] * stepMm,
  ];
  const [nx, ny, nz] = counts;
  const crossings: number[][] = Array.from({ length: nx * ny }, () => []);
  const mm = (corner: number, axis: number) => positions[3 * corner + axis]!;
  for (let first = 0; first < indices.length; first += 3) {
    const [a, b, c] = [indices[first]!, indices[first + 1]!, indices[first + 2]!];
    const [ax, ay, bx, by, cx, cy] = [mm(a, 0), mm(a, 1), mm(b, 0), mm(b, 1), mm(c, 0), mm(c, 1)];
    const twice = (bx - ax) * (cy - ay) - (cx - ax) * (by - ay);
    if (twice === 0) continue;
    const from = (least: number, axis: 0 | 1) => Math.max(0, Math.ceil((least - origin[axis]) / stepMm));
    const to = (most: number, axis: 0 | 1) =>
      Math.min(counts[axis] - 1, Math.floor((most - origin[axis]) / stepMm));
    const lastY = to(Math.max(ay, by, cy), 1);
    const [firstX, lastX] = [from(Math.min(ax, bx, cx), 0), to(Math.max(ax, bx, cx), 0)];
    for (let y = from(Math.min(ay, by, cy), 1); y <= lastY; y += 1) {
      const py = origin[1] + y * stepMm;
      for (let x = firstX; x <= lastX; x += 1) {
        const px = origin[0] + x * stepMm;
        const wa = ((bx - px) * (cy - py) - (cx - px) * (by - py)) / twice;
        const wb = ((cx - px) * (ay - py) - (ax - px) * (cy - py)) / twice;
        const wc = 1 - wa - wb;
        if (wa < 0 || wb < 0 || wc < 0) continue;
        crossings[y * nx + x]!.push(wa * mm(a, 2) + wb * mm(b, 2) + wc * mm(c, 2));
      }
    }
  }
  const cells = new Uint8Array(nx * ny * nz);
  for (let column = 0; column < crossings.length; column += 1) {
    const zs = crossings[column]!.sort((one, other) => one - other);
    for (let pair = 0; pair + 1 < zs.length; pair += 2) {
      const begin = Math.max(0, Math.ceil((zs[pair]! - origin[2]) / stepMm));
      const end = Math.min(nz - 1, Math.floor((zs[pair + 1]! - origin[2]) / stepMm));
      for (let z = begin; z <= end; z += 1) cells[z * nx * ny + column] = 1;
    }
  }
  return { cells, counts, origin, stepMm };
}

export const placeOf = ({ counts: [nx, ny], origin, stepMm }: SolidGrid, cell: number): Vec3 => [
  origin[0] + stepMm * (cell % nx),
  origin[1] + stepMm * (Math.floor(cell / nx) % ny),
  origin[2] + stepMm * Math.floor(cell / (nx * ny)),
];

/** The cell of material that is nearest to a place, within so many steps; null where there is none. */
export function nearestCell(grid: SolidGrid, place: Vec3, steps: number): number | null {
  const { counts, origin, stepMm, cells } = grid;
  const at = [0, 1, 2].map((axis) => Math.round((place[axis]! - origin[axis]!) / stepMm));
  let [best, bestMm] = [-1, Infinity];
  for (let dz = -steps; dz <= steps; dz += 1) {
    for (let dy = -steps; dy <= steps; dy += 1) {
      for (let dx = -steps; dx <= steps; dx += 1) {
        const [x, y, z] = [at[0]! + dx, at[1]! + dy, at[2]! + dz];
        if (x < 0 || y < 0 || z < 0 || x >= counts[0] || y >= counts[1] || z >= counts[2]) continue;
        const cell = (z * counts[1] + y) * counts[0] + x;
        if (!cells[cell]) continue;
        const there = placeOf(grid, cell);
        const mm = Math.hypot(there[0] - place[0], there[1] - place[1], there[2] - place[2]);
        if (mm < bestMm) [best, bestMm] = [cell, mm];
      }
    }
  }
  return best < 0 ? null : best;
}

/** The 26 cells round each, with how far their middles are, in steps. */
const AROUND = [-1, 0, 1]
  .flatMap((z) => [-1, 0, 1].flatMap((y) => [-1, 0, 1].map((x) => ({ x, y, z, far: Math.hypot(x, y, z) }))))
  .filter(({ far }) => far > 0);

/**
 * How far each cell is from one, through material, in steps; infinite where there is no way. Ways go from cell to cell in 26 directions, at most 8 % longer than straight
 * ones (Dijkstra, by buckets).
 */
export function distancesFrom({ cells, counts: [nx, ny, nz] }: SolidGrid, from: number): Float64Array {
  const far = new Float64Array(cells.length).fill(Infinity);
  far[from] = 0;
  const buckets: number[][] = [[from]];
  for (let bucket = 0; bucket < buckets.length; bucket += 1) {
    const open = buckets[bucket];
    while (open && open.length > 0) {
      const cell = open.pop()!;
      if (Math.floor(far[cell]! / BUCKET) < bucket) continue;
      const [x, y, z] = [cell % nx, Math.floor(cell / nx) % ny, Math.floor(cell / (nx * ny))];
      for (const by of AROUND) {
        const [ox, oy, oz] = [x + by.x, y + by.y, z + by.z];
        if (ox < 0 || oy < 0 || oz < 0 || ox >= nx || oy >= ny || oz >= nz) continue;
        const other = (oz * ny + oy) * nx + ox;
        const steps = far[cell]! + by.far;
        if (!cells[other] || steps >= far[other]! - 1e-6) continue;
        far[other] = steps;
        (buckets[Math.floor(steps / BUCKET)] ??= []).push(other);
      }
    }
  }
  return far;
}

const BUCKET = 0.9;
