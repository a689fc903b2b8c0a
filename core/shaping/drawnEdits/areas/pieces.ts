import { isSamePoint } from '@core/foundations/tolerance';
import type { Place, SolvedCurve } from '@core/shaping/drawn';
import { plainCurve, polygonOf } from '@core/shaping/outline';

import {
  crossingsWith,
  endsOf,
  isPlain,
  isWithin,
  MEET_MM,
  placeAt,
  shareAt,
  sweepOf,
  type PlainCurve,
} from '../crossings';

/** A piece of a curve between two places where others cross or meet it, or all of it. */
export interface Piece {
  curve: string;
  /** Shares along the curve; of a circle the second may be beyond a whole turn. */
  shares: readonly [number, number];
  /** Vertices at both ends. */
  ends: readonly [number, number];
  /** Places along it, both ends too, mm. */
  along: readonly Place[];
  /** Which way it leaves either end, radians, and how it bends to the left from there, 1/mm. */
  leaving: readonly [Leaving, Leaving];
}

export interface Leaving {
  heading: number;
  bend: number;
}

/** Short lines that a round piece is looked at as. */
const PIECES = 24;

/** Vertices as they are found: places that are near to each other are one. */
class Vertices {
  readonly places: Place[] = [];
  at(place: Place): number {
    const there = this.places.findIndex(([x, y]) => Math.hypot(x - place[0], y - place[1]) < MEET_MM);
    return there < 0 ? this.places.push(place) - 1 : there;
  }
}

/**
 * All curves of an outline but construction lines, cut where they cross.
 *
 * @returns null where a smooth curve or an ellipse crosses another: these are not cut.
 */
export function piecesOf(
  curves: readonly SolvedCurve[],
): { pieces: Piece[]; vertices: readonly Place[] } | null {
  const drawn = curves.filter(({ helper }) => !helper);
  const vertices = new Vertices();
  for (const curve of drawn) for (const end of endsOf(curve)) vertices.at(end);
  const pieces: Piece[] = [];
  for (const curve of drawn) {
    if (!isPlain(curve)) {
      if (drawn.some((other) => other !== curve && doCross(wholeOf(curve), wholeOf(other)))) return null;
      const along = wholeOf(curve);
      const ends = [vertices.at(along[0]!), vertices.at(along.at(-1)!)] as const;
      pieces.push({
        curve: curve.id,
        shares: [0, 1],
        ends,
        along,
        leaving: [chord(along), chord([...along].reverse())],
      });
      continue;
    }
    const others = drawn.filter((other) => other !== curve);
    const cuts = cutsOf(curve, others).sort((a, b) => a - b);
    const shares = distinct(curve, cuts);
    for (const [index, from] of shares.entries()) {
      const isLast = index === shares.length - 1;
      if (isLast && curve.kind !== 'circle') break;
      const to = isLast ? 1 + shares[0]! : shares[index + 1]!;
      pieces.push(pieceOf(curve, [from, to], vertices));
    }
  }
  return { pieces, vertices: vertices.places };
}

/** Where a curve is cut: at its ends, where others cross it, and where they end on it. */
function cutsOf(curve: PlainCurve, others: readonly SolvedCurve[]): number[] {
  const crossings = others.flatMap((other) =>
    isPlain(other)
      ? crossingsWith(curve, other).filter((at) => isWithin(curve, at))
      : endsOf(other).filter((at) => isOn(curve, at)),
  );
  const shares = crossings.map((at) => shareAt(curve, at));
  if (curve.kind === 'circle') return shares.length > 0 ? shares : [0];
  // A crossing at an end is the end.
  return [
    0,
    1,
    ...shares.filter((share, index) => share > 0 && share < 1 && !isEnd(curve, crossings[index]!)),
  ];
}

const isEnd = (curve: Exclude<PlainCurve, { kind: 'circle' }>, at: Place) =>
  [curve.from, curve.to].some(([x, y]) => Math.hypot(x - at[0], y - at[1]) < MEET_MM);

const isOn = (curve: PlainCurve, at: Place) =>
  isWithin(curve, at) && isSamePoint(placeAt(curve, shareAt(curve, at)), at);

/** Shares at places that are apart. */
function distinct(curve: PlainCurve, sorted: readonly number[]): number[] {
  const kept: number[] = [];
  for (const share of sorted) {
    const [x, y] = placeAt(curve, share);
    const isThere = kept.some((other) => {
      const [ox, oy] = placeAt(curve, other);
      return Math.hypot(x - ox, y - oy) < MEET_MM;
    });
    // Both ends of an arc that all but closes are its ends.
    if (!isThere || (curve.kind !== 'circle' && share === 1)) kept.push(share);
  }
  return kept;
}

function pieceOf(curve: PlainCurve, shares: readonly [number, number], vertices: Vertices): Piece {
  const [from, to] = shares;
  const count = curve.kind === 'line' ? 1 : PIECES;
  const along = Array.from({ length: count + 1 }, (_, index) =>
    placeAt(curve, from + ((to - from) * index) / count),
  );
  const ends = [vertices.at(along[0]!), vertices.at(along.at(-1)!)] as const;
  return { curve: curve.id, shares, ends, along, leaving: [leaving(curve, from, 1), leaving(curve, to, -1)] };
}

/** @param way 1 along the curve, -1 back. */
function leaving(curve: PlainCurve, share: number, way: 1 | -1): Leaving {
  if (curve.kind === 'line') {
    const [dx, dy] = [curve.to[0] - curve.from[0], curve.to[1] - curve.from[1]];
    return { heading: Math.atan2(way * dy, way * dx), bend: 0 };
  }
  const [x, y] = placeAt(curve, share);
  const round = (curve.kind === 'circle' || sweepOf(curve) > 0 ? 1 : -1) * way;
  const turn = Math.atan2(y - curve.middle[1], x - curve.middle[0]);
  return { heading: turn + (round * Math.PI) / 2, bend: round / curve.radius };
}

const chord = (along: readonly Place[]): Leaving => {
  const [[ax, ay], [bx, by]] = [along[0]!, along[1]!];
  return { heading: Math.atan2(by - ay, bx - ax), bend: 0 };
};

/** A whole curve as short lines, its end too. */
function wholeOf(curve: SolvedCurve): Place[] {
  const along: Place[] = polygonOf([plainCurve(curve)], PIECES);
  const isOpen = curve.kind === 'line' || curve.kind === 'arc' || (curve.kind === 'spline' && !curve.closed);
  const end = isOpen ? endsOf(curve)[1]! : along[0]!;
  return [...along, end];
}

/** Whether two runs of short lines cross; to touch is not to cross. */
function doCross(one: readonly Place[], other: readonly Place[]): boolean {
  const side = (a: Place, b: Place, c: Place) =>
    Math.sign((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]));
  return one.slice(1).some((b, index) => {
    const a = one[index]!;
    return other.slice(1).some((d, place) => {
      const c = other[place]!;
      return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
    });
  });
}
