import { isNothing } from '@core/foundations/tolerance';

import type { FlatSection } from './section';
import { boundaryOf, type Corner } from './sectionBoundary';

/** What a section has against being twisted. */
export interface TwistProperties {
  /** Torsion constant, mm⁴: torque over shear modulus and twist a length. */
  constant: number;
  /** Torque over the largest shear stress that it makes along its outline, mm³; sharp hollow corners make more at a point. */
  modulus: number;
}

/** Cells across a wall, so that the slope at its edge is that of a curve; and along the longer side, so that a slanted edge is followed. */
const [CELLS_ACROSS, CELLS_ALONG] = [10, 90];
/** More cells of material take too long. */
const MOST_CELLS = 40_000;
const ROUNDS = 4000;
const SMALL = 1e-8;
/** Share of the outline that may be steeper than what is taken: a hollow corner, where the slope grows without end as cells get smaller. */
const STEEPER = 0.03;

/** A cell outside, or the index of a hole, or material; holes begin at 2. */
const [OUTSIDE, SOLID, FIRST_HOLE] = [0, 1, 2];
const UNSEEN = 255;

/**
 * Twisting of a prism by Prandtl's stress function φ: ∇²φ = −2 in the section, φ = 0 on its outer edge, level along the edge of each hole, where
 * ∮ ∂φ/∂n = −2 times its area (Timoshenko & Goodier, "Theory of Elasticity", 3rd ed., 109 and 115). The constant is 2 ∫ φ, holes with their level among
 * it, the stress a unit of torque max |∇φ| / (2 ∫ φ). Solved on an even grid, as fine as the walls are thin, by conjugate gradients; where a line of the grid leaves the
 * section it ends at its very edge (Shortley & Weller, 1938). Each hole is one unknown.
 *
 * A strip 100 by 1: J = 100 / 3 less 0.21, W = 100 / 3. A tube of 20 with a wall of 1: W = π (10⁴ − 9⁴) / 20.
 *
 * @returns null of a section without area.
 */
export function twistProperties(section: FlatSection): TwistProperties | null {
  const before = known.get(section);
  if (before !== undefined) return before;
  const found = workedOut(section);
  known.set(section, found);
  return found;
}

/** It takes a tenth of a second, and another load asks for it again. */
const known = new WeakMap<FlatSection, TwistProperties | null>();

interface Grid {
  kind: Uint8Array;
  columns: number;
  rows: number;
  left: number;
  low: number;
  step: number;
}

function workedOut(section: FlatSection): TwistProperties | null {
  const edges = boundaryOf(section);
  const [perimeter, area] = [lengthOf(edges), areaOf(section)];
  if (!(area > 0) || !(perimeter > 0)) return null;
  const grid = gridOf(section, stepOf(section, area, perimeter));
  if (!grid.kind.includes(SOLID)) return null;
  const ends = endsOf(edges, grid);
  const { phi, levels } = solved(grid, ends);
  let volume = 0;
  for (let cell = 0; cell < grid.kind.length; cell += 1) {
    const own = grid.kind[cell]!;
    if (own !== OUTSIDE) volume += (own === SOLID ? phi[cell]! : levels[own - FIRST_HOLE]!) * grid.step ** 2;
  }
  const constant = 2 * volume;
  const steepest = steepestOf(phi, grid, ends) / grid.step;
  return constant > 0 && steepest > 0 ? { constant, modulus: constant / steepest } : null;
}

const lengthOf = (edges: readonly (readonly [Corner, Corner])[]) =>
  edges.reduce((sum, [a, b]) => sum + Math.hypot(b[0] - a[0], b[1] - a[1]), 0);

function areaOf({ points, triangles }: FlatSection): number {
  return triangles.reduce((sum, [a, b, c]) => {
    const [p, q, r] = [points[a]!, points[b]!, points[c]!];
    return sum + Math.abs((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0])) / 2;
  }, 0);
}

/** Of a wall twice its area over its outline is its thickness. */
function stepOf({ points }: FlatSection, area: number, perimeter: number): number {
  const reach = (axis: 0 | 1) => {
    const all = points.map((point) => point[axis]);
    return Math.max(...all) - Math.min(...all);
  };
  const fine = Math.min((2 * area) / perimeter / CELLS_ACROSS, Math.max(reach(0), reach(1)) / CELLS_ALONG);
  return Math.max(fine, Math.sqrt(area / MOST_CELLS));
}

/** Which cells the section covers with their middles; of the others, which lie outside and which in which hole. */
function gridOf({ points, triangles }: FlatSection, step: number): Grid {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  // A rim of cells that are outside runs round about.
  const [left, low] = [Math.min(...xs) - step, Math.min(...ys) - step];
  const columns = Math.ceil((Math.max(...xs) - left) / step) + 1;
  const rows = Math.ceil((Math.max(...ys) - low) / step) + 1;
  const kind = new Uint8Array(columns * rows).fill(UNSEEN);
  const cell = (mm: number, from: number) => Math.floor((mm - from) / step);
  for (const corners of triangles) {
    const [a, b, c] = corners.map((corner) => points[corner]!) as [Corner, Corner, Corner];
    const top = cell(Math.max(a[1], b[1], c[1]), low);
    for (let row = cell(Math.min(a[1], b[1], c[1]), low); row <= top; row += 1) {
      const right = cell(Math.max(a[0], b[0], c[0]), left);
      for (let column = cell(Math.min(a[0], b[0], c[0]), left); column <= right; column += 1) {
        const [x, y] = [left + (column + 0.5) * step, low + (row + 0.5) * step];
        if (isWithin(a, b, c, x, y)) kind[row * columns + column] = SOLID;
      }
    }
  }
  const grid = { kind, columns, rows, left, low, step };
  fill(grid, 0, OUTSIDE);
  let hole = FIRST_HOLE;
  for (let at = 0; at < kind.length; at += 1) {
    // More holes than there are numbers for are one.
    if (kind[at] === UNSEEN) fill(grid, at, Math.min(hole++, UNSEEN - 1));
  }
  return grid;
}

function fill({ kind, columns, rows }: Grid, from: number, as: number): void {
  const open = [from];
  while (open.length > 0) {
    const cell = open.pop()!;
    if (kind[cell] !== UNSEEN) continue;
    kind[cell] = as;
    const column = cell % columns;
    if (column > 0) open.push(cell - 1);
    if (column < columns - 1) open.push(cell + 1);
    if (cell >= columns) open.push(cell - columns);
    if (cell < columns * (rows - 1)) open.push(cell + columns);
  }
}

const NO_AREA_MM2 = 1e-12;

function isWithin(a: Corner, b: Corner, c: Corner, x: number, y: number): boolean {
  const side = (p: Corner, q: Corner) => (q[0] - p[0]) * (y - p[1]) - (q[1] - p[1]) * (x - p[0]);
  const [one, two, three] = [side(a, b), side(b, c), side(c, a)];
  // One without an area covers nothing, though a middle may lie in line with it.
  if (Math.abs(one + two + three) < NO_AREA_MM2) return false;
  return (one >= 0 && two >= 0 && three >= 0) || (one <= 0 && two <= 0 && three <= 0);
}

/** Where a line of the grid leaves the material, from the middle of a cell towards one of its neighbours. */
interface End {
  cell: number;
  /** To the neighbour, in the list of cells. */
  by: number;
  /** How far the edge is, in cells: 0 to 1. */
  far: number;
  /** What of the edge's own normal lies along the line. */
  square: number;
}

/** A middle that lies on the edge itself is taken as a little inside it. */
const NEAREST = 0.02;
/** Of rounding, in cells. */
const HAIR = 1e-6;

function endsOf(
  edges: readonly (readonly [Corner, Corner])[],
  { kind, columns, left, low, step }: Grid,
): End[] {
  const ends = new Map<number, End>();
  const ways = [1, -1, columns, -columns];
  const key = (cell: number, by: number) => 4 * cell + ways.indexOf(by);
  const keep = (cell: number, by: number, far: number, square: number) => {
    if (kind[cell] !== SOLID || kind[cell + by] === SOLID) return;
    ends.set(key(cell, by), { cell, by, far: Math.min(1, Math.max(NEAREST, far)), square });
  };
  for (const [a, b] of edges) {
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    // Lines along x cross what goes up, lines along y what goes across.
    for (const along of [0, 1] as const) {
      const across = along === 0 ? 1 : 0;
      const square = Math.abs(b[across] - a[across]) / length;
      if (isNothing(square)) continue;
      const [fromAlong, fromAcross] = along === 0 ? [left, low] : [low, left];
      const middle = (mm: number) => (mm - fromAcross) / step - 0.5;
      const [first, last] = [Math.min(a[across], b[across]), Math.max(a[across], b[across])];
      for (let line = Math.ceil(middle(first) - HAIR); line <= Math.floor(middle(last) + HAIR); line += 1) {
        const at = fromAcross + (line + 0.5) * step;
        const crossing = a[along] + ((b[along] - a[along]) * (at - a[across])) / (b[across] - a[across]);
        const place = (crossing - fromAlong) / step - 0.5;
        // On a middle itself it lies between it and either neighbour.
        for (const before of new Set([Math.floor(place - HAIR), Math.floor(place + HAIR)])) {
          const [cell, by] = along === 0 ? [line * columns + before, 1] : [before * columns + line, columns];
          keep(cell, by, place - before, square);
          keep(cell + by, -by, before + 1 - place, square);
        }
      }
    }
  }
  // Where a middle lies just on the edge no crossing is found between it and its neighbour.
  for (let cell = 0; cell < kind.length; cell += 1) {
    if (kind[cell] !== SOLID) continue;
    for (const by of ways) {
      if (kind[cell + by] !== SOLID && !ends.has(key(cell, by))) {
        ends.set(key(cell, by), { cell, by, far: 0.5, square: 0 });
      }
    }
  }
  return [...ends.values()];
}

/** The stress function at the middles of cells, and its level in each hole. */
function solved({ kind, columns, step }: Grid, ends: readonly End[]) {
  const numbers = new Int32Array(kind.length).fill(-1);
  const cells: number[] = [];
  let holes = 0;
  for (let cell = 0; cell < kind.length; cell += 1) {
    if (kind[cell] === SOLID) numbers[cell] = cells.push(cell) - 1;
    else if (kind[cell] !== OUTSIDE) holes = Math.max(holes, kind[cell]! - FIRST_HOLE + 1);
  }
  const solid = cells.length;
  const count = solid + holes;
  const source = new Float64Array(count);
  for (const own of kind) {
    if (own >= FIRST_HOLE) source[solid + own - FIRST_HOLE]! += 2 * step * step;
  }
  source.fill(2 * step * step, 0, solid);
  const neighbours = new Int32Array(4 * solid).fill(-1);
  const diagonal = new Float64Array(count);
  for (let at = 0; at < solid; at += 1) {
    for (const [side, by] of [-1, 1, -columns, columns].entries()) {
      const other = numbers[cells[at]! + by]!;
      if (other < 0) continue;
      neighbours[4 * at + side] = other;
      diagonal[at]! += 1;
    }
  }
  /** What passes to the edge next to a cell: so much the more the nearer it is; outside φ is 0, in a hole it is the hole's. */
  const toHoles: { cell: number; hole: number; weight: number }[] = [];
  for (const { cell, by, far } of ends) {
    const [at, other] = [numbers[cell]!, kind[cell + by]!];
    diagonal[at]! += 1 / far;
    if (other === OUTSIDE) continue;
    const hole = solid + other - FIRST_HOLE;
    diagonal[hole]! += 1 / far;
    toHoles.push({ cell: at, hole, weight: 1 / far });
  }
  const apply = (from: Float64Array, into: Float64Array) => {
    for (let at = 0; at < solid; at += 1) {
      let sum = diagonal[at]! * from[at]!;
      for (let side = 4 * at; side < 4 * at + 4; side += 1) {
        const other = neighbours[side]!;
        if (other >= 0) sum -= from[other]!;
      }
      into[at] = sum;
    }
    for (let hole = solid; hole < count; hole += 1) into[hole] = diagonal[hole]! * from[hole]!;
    for (const { cell, hole, weight } of toHoles) {
      into[cell]! -= weight * from[hole]!;
      into[hole]! -= weight * from[cell]!;
    }
  };
  const values = conjugateGradients(apply, source, diagonal);
  const phi = new Float64Array(kind.length);
  for (let at = 0; at < solid; at += 1) phi[cells[at]!] = values[at]!;
  const levels = values.subarray(solid);
  for (let cell = 0; cell < kind.length; cell += 1) {
    if (kind[cell]! >= FIRST_HOLE) phi[cell] = levels[kind[cell]! - FIRST_HOLE]!;
  }
  return { phi, levels };
}

function conjugateGradients(
  apply: (from: Float64Array, into: Float64Array) => void,
  source: Float64Array,
  diagonal: Float64Array,
): Float64Array {
  const count = source.length;
  const values = new Float64Array(count);
  const residual = source.slice();
  const scaled = residual.map((value, at) => (diagonal[at]! > 0 ? value / diagonal[at]! : 0));
  const direction = scaled.slice();
  const applied = new Float64Array(count);
  let energy = inner(residual, scaled);
  const enough = energy * SMALL * SMALL;
  for (let round = 0; round < ROUNDS && energy > enough; round += 1) {
    apply(direction, applied);
    const along = energy / inner(direction, applied);
    for (let at = 0; at < count; at += 1) {
      values[at]! += along * direction[at]!;
      residual[at]! -= along * applied[at]!;
      scaled[at] = diagonal[at]! > 0 ? residual[at]! / diagonal[at]! : 0;
    }
    const next = inner(residual, scaled);
    const share = next / energy;
    for (let at = 0; at < count; at += 1) direction[at] = scaled[at]! + share * direction[at]!;
    energy = next;
  }
  return values;
}

function inner(one: Float64Array, other: Float64Array): number {
  let sum = 0;
  for (let at = 0; at < one.length; at += 1) sum += one[at]! * other[at]!;
  return sum;
}

/** Lines that meet the edge flatter than this tell too little of how steep it is square to it. */
const SQUARE_ENOUGH = 0.7;

/** How steep φ is along the outer edge, a cell, but for the little that hollow corners make steeper. */
function steepestOf(phi: Float64Array, grid: Grid, ends: readonly End[]): number {
  const slopes = ends
    .filter(({ cell, by }) => grid.kind[cell + by] === OUTSIDE)
    .map((end) => slopeAt(phi, grid.kind, end))
    .filter((slope) => slope > 0)
    .sort((a, b) => a - b);
  return slopes[Math.floor((1 - STEEPER) * (slopes.length - 1))] ?? 0;
}

/** How steep φ is square to the edge, a cell: by a parabola from the edge, where it is 0, through two cells that lie well inside. */
function slopeAt(phi: Float64Array, kind: Uint8Array, { cell, by, far, square }: End): number {
  if (square < SQUARE_ENOUGH) return 0;
  // A middle close to the edge says little.
  const skip = far < 0.5 ? 1 : 0;
  const [near, next] = [cell - skip * by, cell - (skip + 1) * by];
  if (kind[near] !== SOLID || kind[next] !== SOLID) return 0;
  const [a, b] = [far + skip, far + skip + 1];
  const slope = (phi[near]! * b * b - phi[next]! * a * a) / (a * b * (b - a));
  return slope / square;
}
