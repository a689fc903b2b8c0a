import { dot, minus, type Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';

import { distancesFrom, nearestCell, placeOf, solidGrid, type SolidGrid } from './solidGrid';

/** A place on the middle line between a load and where it is held, with the direction of the line there, towards the hold. */
export interface Station {
  at: Vec3;
  towards: Vec3;
}

/** The middle line of what lies between a load and where it is held, and what it takes to tell whether there is another way round. */
export interface Limb {
  stations: Station[];
  grid: SolidGrid;
  loadCell: number;
  holdCell: number;
  /** As far from the load as the hold is, or further: sections leave none of those near the hold on the load's side. */
  beyond: readonly number[];
  hold: Vec3;
}

/** Cubes along the longest side of the part, coarse first: thin limbs ask for more. */
const FINENESS = [56, 110, 190];
const MOST_CELLS = 3_000_000;
/** Load and hold lie on the part: so many cubes from its material at most. */
const ON_PART_STEPS = 2;
/** Layers of cubes that are one bead of the line. */
const BEAD_STEPS = 1.6;
/** Beads to either side that tell the line's direction. */
const BEADS = 3;
/** Half of a plane's thickness in cubes, with what they are off. */
const BESIDE_STEPS = 2;
/** Ways over cubes are told to about so many steps. */
const BEYOND_STEPS = 1.5;
/** Less lies between load and hold than this: nothing to look at, mm. */
const LEAST_MM = 1;

/**
 * Finds the limb between load and hold: how far each cube of the solid is from the hold, through material; cubes that are equally far are a slice across the
 * limb, whose middle lies on its middle line. The slices that the load's own way goes through are followed.
 *
 * @returns null where no material joins the two, or nothing lies between them.
 */
export function limbBetween(mesh: WeldedMesh, load: Vec3, hold: Vec3): Limb | null {
  if (Math.hypot(...minus(load, hold)) < LEAST_MM) return null;
  const reach = reachOf(mesh);
  for (const cubes of FINENESS) {
    const stepMm = Math.max(
      Math.max(...reach) / cubes,
      Math.cbrt((reach[0]! * reach[1]! * reach[2]!) / MOST_CELLS),
    );
    const grid = solidGrid(mesh, stepMm);
    const loadCell = nearestCell(grid, load, ON_PART_STEPS);
    const holdCell = nearestCell(grid, hold, ON_PART_STEPS);
    if (loadCell === null || holdCell === null) continue;
    const far = distancesFrom(grid, holdCell);
    if (!Number.isFinite(far[loadCell])) continue;
    const stations = middleLine(grid, far, loadCell);
    if (stations.length < 2) continue;
    const fromLoad = distancesFrom(grid, loadCell);
    const least = fromLoad[holdCell]! - BEYOND_STEPS;
    const beyond: number[] = [];
    for (let cell = 0; cell < fromLoad.length; cell += 1) {
      if (fromLoad[cell]! >= least && fromLoad[cell]! < Infinity) beyond.push(cell);
    }
    return { stations, grid, loadCell, holdCell, beyond, hold };
  }
  return null;
}

/** The slices from the load to the hold, each with its middle, and the line through them. */
function middleLine(grid: SolidGrid, far: Float64Array, loadCell: number): Station[] {
  const slices: number[][] = [];
  const last = Math.floor(far[loadCell]! / BEAD_STEPS);
  for (let cell = 0; cell < far.length; cell += 1) {
    const slice = Math.floor(far[cell]! / BEAD_STEPS);
    if (slice <= last) (slices[slice] ??= []).push(cell);
  }
  const beads: Vec3[] = [];
  let before: ReadonlySet<number> = new Set([loadCell]);
  for (let slice = last; slice >= 0; slice -= 1) {
    const own = touching(grid, slices[slice] ?? [], before);
    if (own.size === 0) break;
    before = own;
    beads.push(middleOf(grid, own));
  }
  return beads
    .map((at, index) => {
      const [first, end] = [Math.max(0, index - BEADS), Math.min(beads.length - 1, index + BEADS)];
      return { at, towards: minus(beads[end]!, beads[first]!) };
    })
    .filter(({ towards }) => Math.hypot(...towards) > 0);
}

/** The cells of a slice that hang together with those of the slice before. */
function touching(
  { counts: [nx, ny] }: SolidGrid,
  slice: readonly number[],
  before: ReadonlySet<number>,
): Set<number> {
  const all = new Set(slice);
  const steps = [-1, 0, 1].flatMap((z) =>
    [-1, 0, 1].flatMap((y) => [-1, 0, 1].map((x) => (z * ny + y) * nx + x)),
  );
  const own = new Set<number>();
  const open = slice.filter((cell) => before.has(cell) || steps.some((step) => before.has(cell + step)));
  while (open.length > 0) {
    const cell = open.pop()!;
    if (own.has(cell)) continue;
    own.add(cell);
    for (const step of steps) if (all.has(cell + step) && !own.has(cell + step)) open.push(cell + step);
  }
  return own;
}

function middleOf(grid: SolidGrid, cells: ReadonlySet<number>): Vec3 {
  const sum = [0, 0, 0];
  for (const cell of cells) for (const [axis, mm] of placeOf(grid, cell).entries()) sum[axis]! += mm;
  return [sum[0]! / cells.size, sum[1]! / cells.size, sum[2]! / cells.size];
}

/** Whether load and hold still hang together once the cells in a plane that `isCut` names are taken out: then another limb bears as well, or the plane cuts off less than the limb.
 *
 * @param nearMm so near to the hold no cube may be left on the load's side.
 */
export function isThereAnotherWay(
  { grid, loadCell, holdCell, beyond, hold }: Limb,
  isCut: (place: Vec3) => boolean,
  plane: { origin: Vec3; normal: Vec3 },
  { thickMm, nearMm }: { thickMm: number; nearMm: number },
): boolean {
  const { cells, counts } = grid;
  const left = cells.slice();
  const { origin, normal } = plane;
  const base = origin[0] * normal[0] + origin[1] * normal[1] + origin[2] * normal[2];
  for (let cell = 0; cell < left.length; cell += 1) {
    if (!left[cell]) continue;
    // Most cells are far from the plane: told without a place of their own.
    const x = grid.origin[0] + grid.stepMm * (cell % counts[0]);
    const y = grid.origin[1] + grid.stepMm * (Math.floor(cell / counts[0]) % counts[1]);
    const z = grid.origin[2] + grid.stepMm * Math.floor(cell / (counts[0] * counts[1]));
    if (Math.abs(x * normal[0] + y * normal[1] + z * normal[2] - base) > thickMm) continue;
    if (isCut([x, y, z])) left[cell] = 0;
  }
  // The single cube of the hold may be cut off by the slightest corner: those beside it have to be as well. What lies in the plane is on neither side.
  const isBefore = (place: Vec3) => dot(minus(place, origin), normal) < -BESIDE_STEPS * grid.stepMm;
  const near = new Set(
    beyond.filter((cell) => {
      const place = placeOf(grid, cell);
      return left[cell] && Math.hypot(...minus(place, hold)) < nearMm && isBefore(place);
    }),
  );
  if (left[holdCell]) near.add(holdCell);
  if (!left[loadCell] || near.size === 0) return false;
  const [nx, ny, nz] = counts;
  const open = [loadCell];
  left[loadCell] = 0;
  while (open.length > 0) {
    const cell = open.pop()!;
    if (near.has(cell)) return true;
    const [x, y, z] = [cell % nx, Math.floor(cell / nx) % ny, Math.floor(cell / (nx * ny))];
    const visit = (other: number, inside: boolean) => {
      if (!inside || !left[other]) return;
      left[other] = 0;
      open.push(other);
    };
    visit(cell - 1, x > 0);
    visit(cell + 1, x < nx - 1);
    visit(cell - nx, y > 0);
    visit(cell + nx, y < ny - 1);
    visit(cell - nx * ny, z > 0);
    visit(cell + nx * ny, z < nz - 1);
  }
  return false;
}

function reachOf({ positions }: WeldedMesh): [number, number, number] {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let at = 0; at < positions.length; at += 1) {
    low[at % 3] = Math.min(low[at % 3]!, positions[at]!);
    high[at % 3] = Math.max(high[at % 3]!, positions[at]!);
  }
  return [high[0]! - low[0]!, high[1]! - low[1]!, high[2]! - low[2]!];
}
