import { isNothing, isSameLength } from '@core/foundations/tolerance';
import type { Place, SolvedCurve, SolvedDrawing } from '@core/shaping/drawn';
import { plainCurve, polygonOf } from '@core/shaping/outline';

import { spanOf } from './copies';
import {
  crossingsWith,
  endsOf,
  isPlain,
  isWithin,
  MEET_MM,
  placeAt,
  shareAt,
  type PlainCurve,
} from './crossings';

/** What keeps drawn curves from being an outline, at its place, mm. */
export type DrawnProblem =
  /** A curve that is a point. */
  | { kind: 'noLength'; at: Place; curve: string }
  /** A curve that lies on another. */
  | { kind: 'doubled'; at: Place; curve: string }
  /** Two ends that a hand meant to meet. */
  | { kind: 'gap'; at: Place; points: readonly [string, string]; gapMm: number }
  /** Ends that nothing goes on from. */
  | { kind: 'open'; at: Place; count: number }
  /** More than two curves end here. */
  | { kind: 'fork'; at: Place }
  /** Two curves cross. */
  | { kind: 'crossing'; at: Place };

/** Loose ends nearer to each other than this share of the outline are meant to meet. */
const GAP_SHARE = 0.05;

const apart = (one: Place, other: Place) => Math.hypot(one[0] - other[0], one[1] - other[1]);

/** The first thing that keeps drawn curves from being an outline, or a path, which may be open and cross itself; null if nothing does. */
export function problemIn(
  { points, curves }: Pick<SolvedDrawing, 'points' | 'curves'>,
  as: 'outline' | 'path' = 'outline',
): DrawnProblem | null {
  const drawn = curves.filter(({ helper }) => !helper);
  const first = withoutLength(drawn) ?? doubled(drawn);
  if (first) return first;
  const ends = atEnds(drawn, points);
  if (as === 'outline') return ends ?? crossing(drawn.filter(isPlain)) ?? bentCrossing(drawn);
  // A path has two ends; more of them are pieces that do not hang together.
  return ends?.kind === 'open' && ends.count <= 2 ? null : ends;
}

function withoutLength(drawn: readonly SolvedCurve[]): DrawnProblem | null {
  for (const curve of drawn) {
    const isPoint =
      curve.kind === 'line'
        ? apart(curve.from, curve.to) < MEET_MM
        : curve.kind === 'circle'
          ? curve.radius < MEET_MM
          : curve.kind === 'arc' &&
            apart(curve.from, curve.to) < MEET_MM &&
            apart(curve.from, curve.via) < MEET_MM;
    if (isPoint)
      return {
        kind: 'noLength',
        curve: curve.id,
        at: curve.kind === 'circle' ? curve.middle : (curve as { from: Place }).from,
      };
  }
  return null;
}

/** Two curves of one line or circle that share more than an end. */
function doubled(drawn: readonly SolvedCurve[]): DrawnProblem | null {
  const plain = drawn.filter(isPlain);
  for (const [index, curve] of plain.entries())
    for (const other of plain.slice(0, index)) {
      if (!isOfOne(curve, other)) continue;
      const at = [curve, other].map((one) => middleOf(one));
      const shared = [isInside(other, at[0]!), isInside(curve, at[1]!)];
      const place = shared[0] ? at[0]! : shared[1] ? at[1]! : null;
      if (place) return { kind: 'doubled', curve: curve.id, at: place };
    }
  return null;
}

const middleOf = (curve: PlainCurve): Place => placeAt(curve, 0.5);

function isInside(curve: PlainCurve, at: Place): boolean {
  const share = shareAt(curve, at);
  return curve.kind === 'circle' || (share > 0 && share < 1);
}

/** Whether two curves lie on one line, or on one circle. */
function isOfOne(one: PlainCurve, other: PlainCurve): boolean {
  if (one.kind === 'line' || other.kind === 'line') {
    if (one.kind !== 'line' || other.kind !== 'line') return false;
    const length = apart(one.from, one.to);
    const [ux, uy] = [(one.to[0] - one.from[0]) / length, (one.to[1] - one.from[1]) / length];
    return [other.from, other.to].every(([x, y]) =>
      isNothing((x - one.from[0]) * uy - (y - one.from[1]) * ux),
    );
  }
  return isSameLength(one.radius, other.radius) && isNothing(apart(one.middle, other.middle));
}

/** Ends at which not just two curves meet. */
function atEnds(drawn: readonly SolvedCurve[], points: ReadonlyMap<string, Place>): DrawnProblem | null {
  const ends: { at: Place; count: number }[] = [];
  for (const curve of drawn)
    for (const at of endsOf(curve)) {
      const there = ends.find((end) => apart(end.at, at) < MEET_MM);
      if (there) there.count += 1;
      else ends.push({ at, count: 1 });
    }
  const loose = ends.filter(({ count }) => count === 1);
  const near = loose
    .flatMap((one, index) =>
      loose.slice(0, index).map((other) => ({ one, other, gapMm: apart(one.at, other.at) })),
    )
    .sort((a, b) => a.gapMm - b.gapMm)[0];
  if (near && near.gapMm < GAP_SHARE * spanOf({ points })) {
    const idAt = (at: Place) => [...points].find(([, place]) => apart(place, at) < MEET_MM)?.[0];
    const [a, b] = [idAt(near.one.at), idAt(near.other.at)];
    if (a !== undefined && b !== undefined)
      return { kind: 'gap', at: near.one.at, points: [a, b], gapMm: near.gapMm };
  }
  const fork = ends.find(({ count }) => count > 2);
  if (fork) return { kind: 'fork', at: fork.at };
  return loose[0] ? { kind: 'open', at: loose[0].at, count: loose.length } : null;
}

/** Where two curves cross, not at an end of either. */
function crossing(drawn: readonly PlainCurve[]): DrawnProblem | null {
  for (const [index, curve] of drawn.entries())
    for (const other of drawn.slice(0, index)) {
      const ends = [...endsOf(curve), ...endsOf(other)];
      const at = crossingsWith(curve, other).find(
        (place) => isWithin(curve, place) && ends.every((end) => apart(end, place) > MEET_MM),
      );
      if (at && !isTouching(curve, other, at)) return { kind: 'crossing', at };
    }
  return null;
}

/** Pieces that a curve is looked at as, where it is neither straight nor round. */
const PIECES = 48;

/** Where a smooth curve or an ellipse crosses another, or itself, as short lines: where two of them do, off the ends of the curves. */
function bentCrossing(drawn: readonly SolvedCurve[]): DrawnProblem | null {
  const runs = drawn.map((curve) => shortLines(curve));
  for (const [index, curve] of drawn.entries())
    for (const [place, other] of drawn.slice(0, index + 1).entries()) {
      if ((isPlain(curve) && isPlain(other)) || (curve === other && curve.kind !== 'spline')) continue;
      const ends = [...endsOf(curve), ...endsOf(other)];
      const at = crossingOfRuns(runs[index]!, runs[place]!, curve === other, (found) =>
        ends.every((end) => apart(end, found) > END_SHARE * lengthOf(runs[index]!)),
      );
      if (at) return { kind: 'crossing', at };
    }
  return null;
}

/** Short lines are off a curve by less than this share of its length; so near to an end they say nothing. */
const END_SHARE = 0.01;
const lengthOf = (run: readonly Place[]): number =>
  run.slice(1).reduce((sum, at, index) => sum + apart(at, run[index]!), 0);

function shortLines(curve: SolvedCurve): Place[] {
  const corners = polygonOf([plainCurve(curve)], PIECES);
  const isRound =
    curve.kind === 'circle' || curve.kind === 'ellipse' || (curve.kind === 'spline' && curve.closed);
  const end = isRound ? corners[0] : endsOf(curve).at(-1);
  return end ? [...corners, end] : corners;
}

/** The first place where two runs of short lines cross; of one with itself, where two do that are no neighbours. */
function crossingOfRuns(
  one: readonly Place[],
  other: readonly Place[],
  isSame: boolean,
  counts: (at: Place) => boolean,
): Place | null {
  for (let i = 1; i < one.length; i += 1)
    for (let j = 1; j < (isSame ? i - 1 : other.length); j += 1) {
      const at = segmentsCross(one[i - 1]!, one[i]!, other[j - 1]!, other[j]!);
      const isSeam = isSame && i === one.length - 1 && j === 1 && apart(one[0]!, one.at(-1)!) < MEET_MM;
      if (at && !isSeam && counts(at)) return at;
    }
  return null;
}

/** Where two segments cross within both; null where they do not, or run alongside. */
function segmentsCross(a: Place, b: Place, c: Place, d: Place): Place | null {
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
  const cross = ux * vy - uy * vx;
  if (Math.abs(cross) <= SAME_WAY * Math.hypot(ux, uy) * Math.hypot(vx, vy)) return null;
  const [wx, wy] = [c[0] - a[0], c[1] - a[1]];
  const [s, t] = [(wx * vy - wy * vx) / cross, (wx * uy - wy * ux) / cross];
  return s > 0 && s < 1 && t > 0 && t < 1 ? [a[0] + s * ux, a[1] + s * uy] : null;
}

/** Ways that are nearer than this are one, as the sine of the angle between them: a touching pair is solved to far less. */
const SAME_WAY = 1e-4;

/** Curves that run the same way where they meet touch, and do not cross. */
function isTouching(one: PlainCurve, other: PlainCurve, at: Place): boolean {
  const [[ax, ay], [bx, by]] = [wayAt(one, at), wayAt(other, at)];
  return Math.abs(ax * by - ay * bx) < SAME_WAY;
}

function wayAt(curve: PlainCurve, [x, y]: Place): Place {
  const [dx, dy] =
    curve.kind === 'line'
      ? [curve.to[0] - curve.from[0], curve.to[1] - curve.from[1]]
      : [curve.middle[1] - y, x - curve.middle[0]];
  const length = Math.hypot(dx, dy) || 1;
  return [dx / length, dy / length];
}
