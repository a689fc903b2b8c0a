import type { Place, SolvedCurve } from '@core/shaping/drawn';
import { areaOf, isWithin } from '@core/shaping/outline';

import { piecesOf, type Leaving, type Piece } from './pieces';

/** What curves that cross each other enclose. */
export interface DrawnAreas {
  pieces: readonly Piece[];
  vertices: readonly Place[];
  areas: readonly Area[];
  /** The area to the left of each piece and the one to its right; null outside of all. */
  sides: readonly (readonly [number | null, number | null])[];
}

/** One of the areas, as short lines: round it, and round what lies within it and is none of it. */
export interface Area {
  round: readonly Place[];
  holes: readonly (readonly Place[])[];
}

/** Headings nearer than this are one, radians: then the one that bends further to the left comes later. */
const SAME_HEADING = 1e-6;

/**
 * The areas of a planar subdivision, by half-edges: from each piece to the next one clockwise at its end, what is to the left is gone round (de
 * Berg et al., Computational Geometry, 2008, 2.2). Pieces that lead nowhere bound nothing.
 *
 * @returns null where a smooth curve or an ellipse crosses another.
 */
export function areasOf(curves: readonly SolvedCurve[]): DrawnAreas | null {
  const cut = piecesOf(curves);
  if (!cut) return null;
  const pieces = withoutLoose(cut.pieces);
  const tail = (half: number) => pieces[half >> 1]!.ends[half & 1]!;
  const leavingOf = (half: number): Leaving => pieces[half >> 1]!.leaving[half & 1]!;
  const out = new Map<number, number[]>();
  for (let half = 0; half < 2 * pieces.length; half += 1) {
    const all = out.get(tail(half)) ?? [];
    all.push(half);
    out.set(tail(half), all);
  }
  for (const all of out.values()) all.sort((a, b) => compared(leavingOf(a), leavingOf(b)));
  const after = (half: number): number => {
    const all = out.get(tail(half ^ 1))!;
    return all[(all.indexOf(half ^ 1) + all.length - 1) % all.length]!;
  };

  const cycleOf = new Int32Array(2 * pieces.length).fill(-1);
  const cycles: { round: Place[]; areaMm2: number; group: number }[] = [];
  const groupOf = groupsOf(pieces);
  for (let first = 0; first < 2 * pieces.length; first += 1) {
    if (cycleOf[first]! >= 0) continue;
    const round: Place[] = [];
    for (let half = first; cycleOf[half]! < 0; half = after(half)) {
      cycleOf[half] = cycles.length;
      const { along } = pieces[half >> 1]!;
      round.push(...(half & 1 ? [...along].reverse() : along).slice(0, -1));
    }
    cycles.push({ round, areaMm2: areaOf(round), group: groupOf(tail(first)) });
  }
  // What goes round anticlockwise is an area; what goes round otherwise is the outside of a group, within an area of another.
  const inner = [...cycles.keys()].filter((index) => cycles[index]!.areaMm2 > 0);
  const areaOfCycle = cycles.map(({ areaMm2, round, group }, index): number | null => {
    if (areaMm2 > 0) return inner.indexOf(index);
    const around = inner.filter(
      (other) => cycles[other]!.group !== group && isWithin(round[0]!, cycles[other]!.round),
    );
    return around.length === 0 ? null : inner.indexOf(smallest(around, (one) => cycles[one]!.areaMm2));
  });
  return {
    pieces,
    vertices: cut.vertices,
    areas: inner.map((index, area) => ({
      round: cycles[index]!.round,
      holes: cycles.flatMap(({ round, areaMm2 }, other) =>
        areaMm2 <= 0 && areaOfCycle[other] === area ? [round] : [],
      ),
    })),
    sides: pieces.map((_, piece) => [
      areaOfCycle[cycleOf[2 * piece]!]!,
      areaOfCycle[cycleOf[2 * piece + 1]!]!,
    ]),
  };
}

/** The area at a place; null outside of all. */
export function areaAt({ areas }: DrawnAreas, at: Place): number | null {
  const around = [...areas.keys()].filter((index) => isWithin(at, areas[index]!.round));
  return around.length === 0 ? null : smallest(around, (index) => areaOf(areas[index]!.round));
}

const smallest = (indices: readonly number[], of: (index: number) => number): number =>
  indices.reduce((best, index) => (of(index) < of(best) ? index : best));

function compared(a: Leaving, b: Leaving): number {
  const [one, other] = [a, b].map(({ heading }) => {
    const turn = ((heading % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
    return turn > 2 * Math.PI - SAME_HEADING / 2 ? 0 : turn;
  }) as [number, number];
  return Math.abs(one - other) < SAME_HEADING ? a.bend - b.bend : one - other;
}

/** Without pieces that end where nothing goes on. */
function withoutLoose(all: readonly Piece[]): readonly Piece[] {
  const count = new Map<number, number>();
  for (const { ends } of all) for (const end of ends) count.set(end, (count.get(end) ?? 0) + 1);
  const kept = all.filter(({ ends }) => ends.every((end) => count.get(end)! > 1));
  return kept.length === all.length ? all : withoutLoose(kept);
}

/** Which vertices hang together. */
function groupsOf(pieces: readonly Piece[]): (vertex: number) => number {
  const parent = new Map<number, number>();
  const rootOf = (vertex: number): number => {
    const above = parent.get(vertex);
    return above === undefined || above === vertex ? vertex : rootOf(above);
  };
  for (const { ends } of pieces) parent.set(rootOf(ends[0]), rootOf(ends[1]));
  return rootOf;
}
