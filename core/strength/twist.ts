import { isNothing } from '@core/tolerance';

import type { FlatSection } from './section';

/** What a section has against being twisted. */
export interface TwistProperties {
  /** Torsion constant, mm⁴: torque over shear modulus and twist a length. */
  constant: number;
  /** Torque over the largest shear stress that it makes, mm³. */
  modulus: number;
}

/** Cells along the longer side: more follow a slanted edge better. */
const CELLS = 120;
/** What is empty within a section passes the stress function on as it is: as if it were so many times as soft. */
const HOLE_PASSES = 1e4;
const ROUNDS = 2000;
const SMALL = 1e-9;

const OUTSIDE = 0;
const SOLID = 1;
const HOLE = 2;

/**
 * Twisting of a prism by Prandtl's stress function φ: ∇²φ = −2 in the section, φ = 0 on its outer edge, constant along the edge of each hole (Timoshenko & Goodier,
 * "Theory of Elasticity", ch. 10). The constant is 2 ∫ φ, the stress a unit of torque max |∇φ| / (2 ∫ φ). Solved on an even grid by conjugate
 * gradients; where a line of the grid leaves the section it ends at its very edge (Shortley & Weller, 1938). Holes are taken as without stiffness, so that φ is level in them.
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

function workedOut({ points, triangles }: FlatSection): TwistProperties | null {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const step = Math.max(right - left, high - low) / CELLS;
  if (!(step > 0)) return null;
  // A rim of cells that are outside runs round about.
  const columns = Math.ceil((right - left) / step) + 2;
  const rows = Math.ceil((high - low) / step) + 2;
  const kind = cellsOf({ points, triangles }, columns, rows, left - step, low - step, step);
  if (!kind.includes(SOLID)) return null;
  const ends = endsOf({ points, triangles }, kind, columns, left - step, low - step, step);
  const phi = solved(kind, ends, columns, step);
  let volume = 0;
  for (let cell = 0; cell < kind.length; cell += 1) volume += phi[cell]! * step * step;
  const constant = 2 * volume;
  const steepest = Math.max(...ends.map((end) => steepestAt(phi, kind, end)), 0) / step;
  return constant > 0 && steepest > 0 ? { constant, modulus: constant / steepest } : null;
}

/** Which cells the section covers with their middles, and which of the others lie within it. */
function cellsOf(
  { points, triangles }: FlatSection,
  columns: number,
  rows: number,
  left: number,
  low: number,
  step: number,
): Uint8Array {
  const kind = new Uint8Array(columns * rows).fill(HOLE);
  for (const corners of triangles) {
    const [a, b, c] = corners.map((corner) => points[corner]!) as [
      readonly [number, number],
      readonly [number, number],
      readonly [number, number],
    ];
    const cell = (mm: number, from: number) => Math.floor((mm - from) / step);
    for (
      let row = cell(Math.min(a[1], b[1], c[1]), low);
      row <= cell(Math.max(a[1], b[1], c[1]), low);
      row += 1
    ) {
      for (
        let column = cell(Math.min(a[0], b[0], c[0]), left);
        column <= cell(Math.max(a[0], b[0], c[0]), left);
        column += 1
      ) {
        const x = left + (column + 0.5) * step;
        const y = low + (row + 0.5) * step;
        if (isWithin(a, b, c, x, y)) kind[row * columns + column] = SOLID;
      }
    }
  }
  const open = [0];
  while (open.length > 0) {
    const cell = open.pop()!;
    if (kind[cell] !== HOLE) continue;
    kind[cell] = OUTSIDE;
    const column = cell % columns;
    if (column > 0) open.push(cell - 1);
    if (column < columns - 1) open.push(cell + 1);
    if (cell >= columns) open.push(cell - columns);
    if (cell + columns < kind.length) open.push(cell + columns);
  }
  return kind;
}

type Corner = readonly [number, number];

const NO_AREA_MM2 = 1e-12;

function isWithin(a: Corner, b: Corner, c: Corner, x: number, y: number): boolean {
  const side = (p: Corner, q: Corner) => (q[0] - p[0]) * (y - p[1]) - (q[1] - p[1]) * (x - p[0]);
  const [one, two, three] = [side(a, b), side(b, c), side(c, a)];
  // One without an area covers nothing, though a middle may lie in line with it.
  if (Math.abs(one + two + three) < NO_AREA_MM2) return false;
  return (one >= 0 && two >= 0 && three >= 0) || (one <= 0 && two <= 0 && three <= 0);
}

/** Where a line of the grid leaves the section, from the middle of a cell towards one of its neighbours. */
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
  { points, triangles }: FlatSection,
  kind: Uint8Array,
  columns: number,
  left: number,
  low: number,
  step: number,
): End[] {
  const ends = new Map<string, End>();
  const keep = (cell: number, by: number, far: number, square: number) => {
    if (kind[cell] !== SOLID || kind[cell + by] !== OUTSIDE) return;
    ends.set(`${cell} ${by}`, { cell, by, far: Math.min(1, Math.max(NEAREST, far)), square });
  };
  for (const [a, b] of edgesOf(points, triangles)) {
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
    for (const by of [-1, 1, -columns, columns]) {
      const key = `${cell} ${by}`;
      if (kind[cell + by] === OUTSIDE && !ends.has(key)) ends.set(key, { cell, by, far: 0.5, square: 0 });
    }
  }
  return [...ends.values()];
}

/** Sides of triangles that no other shares: the edges of the section. */
function edgesOf(points: FlatSection['points'], triangles: FlatSection['triangles']): [Corner, Corner][] {
  const nameOf = ([x, y]: Corner) => `${x.toFixed(5)},${y.toFixed(5)}`;
  const sides = new Map<string, [Corner, Corner] | null>();
  for (const corners of triangles) {
    for (let side = 0; side < 3; side += 1) {
      const [a, b] = [points[corners[side]!]!, points[corners[(side + 1) % 3]!]!];
      const key = [nameOf(a), nameOf(b)].sort().join(' ');
      sides.set(key, sides.has(key) ? null : [a, b]);
    }
  }
  return [...sides.values()].filter((side) => side !== null);
}

/** The stress function at the middles of cells. */
function solved(kind: Uint8Array, ends: readonly End[], columns: number, step: number): Float64Array {
  const neighbours = [-1, 1, -columns, columns];
  /** What the edge next to a cell takes of it: so much the more the nearer it is. */
  const toEdges = new Float64Array(kind.length);
  for (const { cell, far } of ends) toEdges[cell]! += 1 / far;
  const weight = (cell: number, other: number) =>
    kind[other] === OUTSIDE ? 0 : kind[cell] === HOLE || kind[other] === HOLE ? HOLE_PASSES : 1;
  const apply = (from: Float64Array, into: Float64Array) => {
    for (let cell = 0; cell < kind.length; cell += 1) {
      if (kind[cell] === OUTSIDE) continue;
      let sum = toEdges[cell]! * from[cell]!;
      for (const by of neighbours) {
        const other = cell + by;
        if (kind[other] !== OUTSIDE) sum += weight(cell, other) * (from[cell]! - from[other]!);
      }
      into[cell] = sum;
    }
  };
  const diagonal = Float64Array.from(kind, (own, cell) =>
    own === OUTSIDE ? 1 : neighbours.reduce((sum, by) => sum + weight(cell, cell + by), toEdges[cell]!),
  );
  const phi = new Float64Array(kind.length);
  const residual = Float64Array.from(kind, (own) => (own === OUTSIDE ? 0 : 2 * step * step));
  const scaled = residual.map((value, cell) => value / diagonal[cell]!);
  const direction = scaled.slice();
  const applied = new Float64Array(kind.length);
  let energy = inner(residual, scaled);
  const enough = energy * SMALL * SMALL;
  for (let round = 0; round < ROUNDS && energy > enough; round += 1) {
    apply(direction, applied);
    const along = energy / inner(direction, applied);
    for (let cell = 0; cell < kind.length; cell += 1) {
      phi[cell]! += along * direction[cell]!;
      residual[cell]! -= along * applied[cell]!;
      scaled[cell] = residual[cell]! / diagonal[cell]!;
    }
    const next = inner(residual, scaled);
    const share = next / energy;
    for (let cell = 0; cell < kind.length; cell += 1) {
      direction[cell] = scaled[cell]! + share * direction[cell]!;
    }
    energy = next;
  }
  return phi;
}

function inner(one: Float64Array, other: Float64Array): number {
  let sum = 0;
  for (let at = 0; at < one.length; at += 1) sum += one[at]! * other[at]!;
  return sum;
}

/** Lines that meet the edge flatter than this tell too little of how steep it is square to it. */
const SQUARE_ENOUGH = 0.7;

/** How steep φ is square to the edge, a cell: by a parabola from the edge, where it is 0, through two cells that lie well inside. */
function steepestAt(phi: Float64Array, kind: Uint8Array, { cell, by, far, square }: End): number {
  if (square < SQUARE_ENOUGH) return 0;
  // A middle close to the edge says little.
  const skip = far < 0.5 ? 1 : 0;
  const [near, next] = [cell - skip * by, cell - (skip + 1) * by];
  if (kind[near] !== SOLID || kind[next] !== SOLID) return 0;
  const [a, b] = [far + skip, far + skip + 1];
  const slope = (phi[near]! * b * b - phi[next]! * a * a) / (a * b * (b - a));
  return slope / square;
}
