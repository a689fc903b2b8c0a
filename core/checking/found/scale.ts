import { nearestTo } from '@core/shaping/boxTree';
import type { WeldedMesh } from '@core/shaping/part';

import { leastSquares, type Row } from './leastSquares';
import { crossOf, samplesOf } from './samples';

/** Points that are looked at, and rounds in which those that are off for another reason are put aside. */
const POINTS = 2500;
const ROUNDS = 8;
/** A point further off than this many times the middle one, and this, mm, is worn, broken or something else. */
const OFF = { times: 3, mm: 0.02 };
/** A scale is told where it makes what is left this much smaller, and moves the ends of the piece by more than this, mm. */
const TOLD = { times: 1.3, mm: 0.08 };
/** Numbers that are found: a turn, a move, a scale. */
const TURN_AND_MOVE = 6;
const ALL = 7;

/**
 * By how much a found piece is larger than the spare that it is laid over, as a share (0.01 for a hundredth; below 0: smaller); null where no scale
 * explains what is off. How far each place is off along its face's normal is taken as a small turn, a small move and a scale about the middle, by least squares
 * (Umeyama, IEEE PAMI 13, 1991, to planes instead of points), without those that are off otherwise.
 *
 * @param found in the spare's place, mm.
 */
export function scaleOver(found: WeldedMesh, spare: WeldedMesh): number | null {
  const { rows, reachMm } = rowsOf(found, spare);
  let kept = rows.filter(({ off }) => Math.abs(off) < NEAR * reachMm);
  let solved: number[] | null = null;
  for (let round = 0; round < ROUNDS; round += 1) {
    if (kept.length < LEAST_KEPT * POINTS) return null;
    solved = leastSquares(kept, ALL);
    if (!solved) return null;
    const left = rows.map((row) => Math.abs(leftOf(row, solved!)));
    const middle = Float64Array.from(left).sort()[Math.floor(left.length / 2)]!;
    kept = rows.filter((_, index) => left[index]! <= Math.max(OFF.mm, OFF.times * middle));
  }
  const rigid = leastSquares(kept, TURN_AND_MOVE);
  if (!solved || !rigid) return null;
  const share = solved[TURN_AND_MOVE]!;
  const better = spreadOf(kept, rigid) / Math.max(spreadOf(kept, solved), 1e-9);
  return better > TOLD.times && (Math.abs(share) * reachMm) / 2 > TOLD.mm ? share : null;
}

/** What lies further from the spare than this share of its reach is not its surface at all. */
const NEAR = 0.05;
/** Of fewer places than this share no scale is told. */
const LEAST_KEPT = 0.3;

function rowsOf(found: WeldedMesh, spare: WeldedMesh): { rows: Row[]; reachMm: number } {
  const { points } = samplesOf(found, POINTS);
  const [low, high] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ];
  for (let at = 0; at < points.length; at += 1) {
    low[at % 3] = Math.min(low[at % 3]!, points[at]!);
    high[at % 3] = Math.max(high[at % 3]!, points[at]!);
  }
  const middle = low.map((mm, axis) => (mm + high[axis]!) / 2);
  const reachMm = Math.hypot(...low.map((mm, axis) => high[axis]! - mm));
  const rows = Array.from({ length: POINTS }, (_, sample): Row => {
    const at = [0, 1, 2].map((axis) => points[3 * sample + axis]!) as [number, number, number];
    const near = nearestTo(spare, at)!;
    const cross = crossOf(spare.positions, spare.indices, near.at);
    const length = Math.hypot(...cross);
    const [nx, ny, nz] = cross.map((mm) => mm / length) as [number, number, number];
    const [x, y, z] = at.map((mm, axis) => mm - middle[axis]!) as [number, number, number];
    const off = at.reduce((sum, mm, axis) => sum + (mm - near.place[axis]!) * [nx, ny, nz][axis]!, 0);
    return {
      slopes: [y * nz - z * ny, z * nx - x * nz, x * ny - y * nx, nx, ny, nz, x * nx + y * ny + z * nz],
      off,
    };
  });
  return { rows, reachMm };
}

const leftOf = ({ slopes, off }: Row, solved: readonly number[]): number =>
  off - solved.reduce((sum, value, at) => sum + value * slopes[at]!, 0);

const spreadOf = (rows: readonly Row[], solved: readonly number[]): number =>
  Math.sqrt(rows.reduce((sum, row) => sum + leftOf(row, solved) ** 2, 0) / rows.length);
