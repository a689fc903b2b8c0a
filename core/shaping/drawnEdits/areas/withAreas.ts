import type { DrawnCurve, DrawnOutline } from '@core/foundations/fields';
import { pointsOfCurve, type Place, type SolvedDrawing } from '@core/shaping/drawn';

import { isPlain, MEET_MM, placeAt, wholeShare, type PlainCurve } from '../crossings';
import { faceOf, withCurve, withNames, withPoint, withRelation } from '../names';
import type { DrawnAreas } from './areas';

/** Why areas are no outline together. */
export type AreasFault =
  /** Two of them meet in a point alone. */
  | 'touchInPoint'
  /** They do not hang together. */
  | 'apart';

/** What keeps areas from being one outline; null where nothing does. */
export function faultOfAreas(
  { pieces, sides, areas }: DrawnAreas,
  chosen: ReadonlySet<number>,
): AreasFault | null {
  const isIn = (area: number | null): area is number => area !== null && chosen.has(area);
  const ends = new Map<number, number>();
  const parent = [...areas.keys()];
  const rootOf = (area: number): number => (parent[area] === area ? area : rootOf(parent[area]!));
  for (const [index, piece] of pieces.entries()) {
    const [left, right] = sides[index]!;
    if (isIn(left) && isIn(right)) parent[rootOf(left)] = rootOf(right);
    else if (isIn(left) || isIn(right)) for (const end of piece.ends) ends.set(end, (ends.get(end) ?? 0) + 1);
  }
  if ([...ends.values()].some((count) => count > 2)) return 'touchInPoint';
  return new Set([...chosen].map(rootOf)).size > 1 ? 'apart' : null;
}

type Solved = Pick<SolvedDrawing, 'points' | 'curves'>;

/**
 * An outline that goes round some of the areas that its curves enclose, and nothing else. Curves that are not all of it stay as construction lines
 * with all that was said of them; what is used of them is drawn anew along them, so that it follows.
 */
export function withAreas(
  outline: DrawnOutline,
  solved: Solved,
  { pieces, sides }: DrawnAreas,
  chosen: ReadonlySet<number>,
): DrawnOutline {
  const isIn = (area: number | null) => area !== null && chosen.has(area);
  const runs = new Map<string, (readonly [number, number])[]>();
  for (const [index, { curve, shares }] of pieces.entries()) {
    const [left, right] = sides[index]!;
    if (isIn(left) === isIn(right)) continue;
    runs.set(curve, [...(runs.get(curve) ?? []), shares]);
  }
  let next = withNames(outline);
  const there: { at: Place; id: string }[] = [];
  for (const curve of withNames(outline).curves) {
    if (curve.helper) continue;
    const id = curve.id!;
    const of = solved.curves.find((one) => one.id === id)!;
    const joined = runsJoined(runs.get(id) ?? [], of.kind === 'circle');
    if (joined.length === 1 && joined[0]![1] - joined[0]![0] > 1 - SAME_SHARE) continue;
    next = {
      ...next,
      curves: next.curves.map((one) => (one.id === id ? { ...one, helper: true } : one)),
    };
    if (!isPlain(of)) continue;
    for (const [index, shares] of joined.entries()) {
      // The first of them has the faces of the curve.
      const face = index === 0 ? faceOf(curve) : {};
      next = withRun(next, solved, { curve: { ...curve, id }, of, face }, shares, there);
    }
  }
  return next;
}

/** Runs that follow each other as one; of a circle also over where it begins. */
function runsJoined(
  all: readonly (readonly [number, number])[],
  isRound: boolean,
): (readonly [number, number])[] {
  const joined: [number, number][] = [];
  for (const [from, to] of [...all].sort((a, b) => a[0] - b[0])) {
    const last = joined.at(-1);
    if (last && isSame(last[1], from)) last[1] = to;
    else joined.push([from, to]);
  }
  const [first, last] = [joined[0], joined.at(-1)];
  if (isRound && first && last && first !== last && isSame(last[1] - 1, first[0])) {
    last[1] = first[1] + 1;
    joined.shift();
  }
  return joined;
}

/** Shares of a curve that differ by less are one: rounding. */
const SAME_SHARE = 1e-9;
const isSame = (one: number, other: number) => Math.abs(one - other) < SAME_SHARE;

/** A run of a curve, drawn anew along it. @param there points at crossings so far. */
function withRun(
  outline: DrawnOutline,
  solved: Solved,
  { curve, of, face }: { curve: DrawnCurve & { id: string }; of: PlainCurve; face: Pick<DrawnCurve, 'face'> },
  [from, to]: readonly [number, number],
  there: { at: Place; id: string }[],
): DrawnOutline {
  let next = outline;
  /** @param isHeld a new point is held to the curve, and one that is there already is, too. */
  const pointAt = (share: number, isHeld: boolean): string => {
    const at = placeAt(of, share);
    const drawn = [...solved.points].filter(([id]) => isDrawn(outline, id));
    const own = drawn.find(([id, place]) => isEndOf(curve, id) && isNear(place, at));
    const known = own ?? drawn.find(([, place]) => isNear(place, at));
    let point = known?.[0] ?? there.find((one) => isNear(one.at, at))?.id;
    if (point === undefined) {
      [next, point] = withPoint(next, at);
      there.push({ at, id: point });
    }
    if (isHeld && !isHeldTo(next, point, curve))
      next = withRelation(next, { kind: 'onCurve', point, curve: curve.id });
    return point;
  };
  const start = pointAt(from, true);
  // About the same middle, an arc that begins on the curve ends on it.
  const end = pointAt(to, of.kind === 'line');
  if (of.kind === 'line') return withCurve(next, { kind: 'line', from: start, to: end, ...face })[0];
  const [added, via] = withPoint(next, placeAt(of, (from + to) / 2));
  const [bent, arc] = withCurve(added, { kind: 'arc', from: start, via, to: end, ...face });
  // Between two points that are on the curve anyway its size is enough; but not for half a turn, which could lie on either side.
  const turns = ((to - from) * 2 * Math.PI) / wholeShare(of);
  const isHalf = Math.abs(turns - Math.PI) < HALF_TURN;
  const kind = isHeldTo(bent, end, curve) && !isHalf ? 'equal' : 'concentric';
  return withRelation(bent, { kind, curves: [curve.id, arc] });
}

/** An arc within this of half a turn counts as such, radians. */
const HALF_TURN = 0.2;

const isNear = (one: Place, other: Place) => Math.hypot(one[0] - other[0], one[1] - other[1]) < MEET_MM;

/** A point that a curve begins or ends at, and not only says on which side it lies. */
const isDrawn = ({ curves }: DrawnOutline, id: string) =>
  curves.some(
    (curve) =>
      (curve.kind === 'line' || curve.kind === 'arc'
        ? [curve.from, curve.to]
        : pointsOfCurve(curve)
      ).includes(id) &&
      curve.kind !== 'circle' &&
      curve.kind !== 'ellipse',
  );

const isEndOf = (curve: DrawnCurve, point: string) =>
  (curve.kind === 'line' || curve.kind === 'arc') && (curve.from === point || curve.to === point);

/** Whether a point is held to a curve: as its end, or by a relation. */
const isHeldTo = ({ relations }: DrawnOutline, point: string, curve: DrawnCurve & { id: string }) =>
  isEndOf(curve, point) ||
  relations.some(
    (one) =>
      (one.kind === 'onCurve' || one.kind === 'midpoint') && one.point === point && one.curve === curve.id,
  );
