import type { DrawnCurve, DrawnOutline } from '@core/foundations/fields';
import { isNothing } from '@core/foundations/tolerance';
import { curveName, pointsOfCurve, type Place, type SolvedDrawing } from '@core/shaping/drawn';

import { withoutFollows } from './follows';
import { withCurve, withNames, withPoint, withRelation } from './names';

/** The end of a run that a hand drew this near to the line that it is mirrored in is meant to be on it, as a share of the outline. */
const ON_LINE_SHARE = 0.02;
/** The end of a turned run that comes this near to that of another is meant to meet it: as a share of the outline, and of the run from end to end. */
const [MEETS_SHARE, MEETS_OF_RUN] = [0.12, 0.35];

/** How large an outline is, mm. */
export function spanOf({ points }: Pick<SolvedDrawing, 'points'>): number {
  const all = [...points.values()];
  const along = (axis: 0 | 1) => all.map((at) => at[axis]);
  const spread = (values: number[]) => Math.max(...values) - Math.min(...values);
  return all.length === 0 ? 0 : Math.max(spread(along(0)), spread(along(1)));
}

type Solved = Pick<SolvedDrawing, 'points' | 'curves'>;

/** Where a run of curves begins and ends: points at which just one of them does. */
function endsOfRun(outline: DrawnOutline, ids: ReadonlySet<string>): ReadonlySet<string> {
  const count = new Map<string, number>();
  for (const [index, curve] of outline.curves.entries()) {
    if (!ids.has(curveName(curve, index)) || (curve.kind !== 'line' && curve.kind !== 'arc')) continue;
    for (const end of [curve.from, curve.to]) count.set(end, (count.get(end) ?? 0) + 1);
  }
  return new Set([...count].flatMap(([point, times]) => (times === 1 ? [point] : [])));
}

/** An ellipse lies along the outline's own two ways: it has no copy that is turned. */
const hasEllipse = (outline: DrawnOutline, ids: ReadonlySet<string>) =>
  outline.curves.some((curve, index) => ids.has(curveName(curve, index)) && curve.kind === 'ellipse');

interface Copying {
  /** Where a point's copy goes. */
  to(at: Place): Place;
  /** The outline with a copy held to its point. */
  hold(outline: DrawnOutline, point: string, copy: string): DrawnOutline;
  /** Points that are their own copies. */
  isOwn(point: string): boolean;
  /** A point that is there already and that the copy of this one is meant to be. */
  meets(point: string, at: Place): string | undefined;
}

/** Curves copied point by point, each point of a copy held to the one that it comes of. What is its own copy is not made twice. */
function copied(
  outline: DrawnOutline,
  { points }: Solved,
  ids: ReadonlySet<string>,
  { to, hold, isOwn, meets }: Copying,
): { outline: DrawnOutline; copies: ReadonlyMap<string, string> } {
  let next = withNames(outline);
  const copies = new Map<string, string>();
  const fresh = (point: string): string => {
    const [added, id] = withPoint(next, to(points.get(point)!));
    next = added;
    return id;
  };
  const copyOf = (point: string): string => {
    if (isOwn(point)) return point;
    const known = copies.get(point);
    if (known) return known;
    const copy = meets(point, to(points.get(point)!)) ?? fresh(point);
    copies.set(point, copy);
    next = hold(next, point, copy);
    return copy;
  };
  for (const curve of withNames(outline).curves) {
    if (!ids.has(curve.id!) || pointsOfCurve(curve).every(isOwn)) continue;
    const { id, ...plain } = curve;
    // The middle of an arc says only on which side it is: it is held by what its ends and its radius say.
    const renamed = (point: string) =>
      curve.kind === 'arc' && point === curve.via ? fresh(point) : copyOf(point);
    const renamedCurve = copyUnder(withoutFollows(plain as DrawnCurve), renamed);
    const [added, copy] = withCurve(next, renamedCurve);
    next = added;
    if (curve.kind === 'arc' || curve.kind === 'circle')
      next = withRelation(next, { kind: 'equal', curves: [id!, copy] });
  }
  return { outline: next, copies };
}

function copyUnder(curve: DrawnCurve, renamed: (point: string) => string): DrawnCurve {
  switch (curve.kind) {
    case 'line':
      return { ...curve, from: renamed(curve.from), to: renamed(curve.to) };
    case 'arc':
      return { ...curve, from: renamed(curve.from), via: renamed(curve.via), to: renamed(curve.to) };
    case 'spline':
      return { ...curve, points: curve.points.map(renamed) };
    case 'circle':
    case 'ellipse':
      return { ...curve, middle: renamed(curve.middle) };
  }
}

/**
 * Curves mirrored in a line, as live copies: what lies on the line is its own mirror image, and ends of the run near it are held there.
 *
 * @returns null without a line to mirror in, or for an ellipse.
 */
export function withMirrored(
  outline: DrawnOutline,
  solved: Solved,
  ids: ReadonlySet<string>,
  about: string,
): DrawnOutline | null {
  const line = solved.curves.find(({ id }) => id === about);
  if (line?.kind !== 'line' || ids.has(about) || hasEllipse(outline, ids)) return null;
  const [dx, dy] = [line.to[0] - line.from[0], line.to[1] - line.from[1]];
  const length = Math.hypot(dx, dy);
  const normal: Place = [-dy / length, dx / length];
  const off = ([x, y]: Place) => (x - line.from[0]) * normal[0] + (y - line.from[1]) * normal[1];
  const nearMm = ON_LINE_SHARE * spanOf(solved);
  const ends = endsOfRun(outline, ids);
  const isOwn = (point: string) => {
    const by = Math.abs(off(solved.points.get(point)!));
    return ends.has(point) ? by < nearMm : isNothing(by);
  };
  const mirrored = copied(outline, solved, ids, {
    to: (at) => [at[0] - 2 * off(at) * normal[0], at[1] - 2 * off(at) * normal[1]],
    hold: (held, point, copy) => withRelation(held, { kind: 'symmetric', points: [point, copy], about }),
    isOwn,
    meets: () => undefined,
  });
  return [...ends].reduce(
    (next, point) =>
      isOwn(point) && !isEndOf(outline, about, point)
        ? withRelation(next, { kind: 'onCurve', point, curve: about })
        : next,
    mirrored.outline,
  );
}

const isEndOf = (outline: DrawnOutline, line: string, point: string) =>
  withNames(outline).curves.some(
    (curve) => curve.id === line && curve.kind === 'line' && (curve.from === point || curve.to === point),
  );

/**
 * Curves repeated round a point until there are `count` of them, evenly over a whole turn, as live copies. Where the end of one run nearly
 * meets the beginning of the next, they are joined.
 *
 * @returns null for an ellipse.
 */
export function withRepeatedRound(
  outline: DrawnOutline,
  solved: Solved,
  ids: ReadonlySet<string>,
  about: string,
  count: number,
): DrawnOutline | null {
  if (hasEllipse(outline, ids)) return null;
  const middle = solved.points.get(about)!;
  const ends = endsOfRun(outline, ids);
  /** Ends of the runs so far, and where they are. */
  const there = new Map([...ends].map((point) => [point, solved.points.get(point)!]));
  const places = [...there.values()];
  const run = Math.max(
    0,
    ...places.flatMap((one) => places.map((other) => Math.hypot(one[0] - other[0], one[1] - other[1]))),
  );
  // Not over a gap of its own, as between teeth.
  const nearMm = Math.min(MEETS_SHARE * spanOf(solved), MEETS_OF_RUN * run);
  // What is turned about one middle hangs together: what does already needs no relation of its own.
  const root = new Map<string, string>();
  const rootOf = (point: string): string => {
    const up = root.get(point);
    return up === undefined ? point : rootOf(up);
  };
  let next = outline;
  for (let turn = 1; turn < count; turn += 1) {
    const angle = (2 * Math.PI * turn) / count;
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    const to = ([x, y]: Place): Place => [
      middle[0] + cos * (x - middle[0]) - sin * (y - middle[1]),
      middle[1] + sin * (x - middle[0]) + cos * (y - middle[1]),
    ];
    const { outline: grown, copies } = copied(next, solved, ids, {
      to,
      hold: (held, point, copy) => {
        if (rootOf(point) === rootOf(copy)) return held;
        root.set(rootOf(copy), rootOf(point));
        return withRelation(held, { kind: 'turned', points: [point, copy], about, angle });
      },
      isOwn: (point) => point === about,
      meets: (point, at) =>
        ends.has(point)
          ? [...there].find(([, [x, y]]) => Math.hypot(x - at[0], y - at[1]) < nearMm)?.[0]
          : undefined,
    });
    next = grown;
    // Only now: ends of one run are not joined to each other.
    for (const point of ends) {
      const copy = copies.get(point);
      if (copy !== undefined && !there.has(copy)) there.set(copy, to(solved.points.get(point)!));
    }
  }
  return next;
}
