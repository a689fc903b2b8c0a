import type { DrawnCurve, DrawnOutline } from '@core/foundations/fields';

import { type Place, pointsOfCurve, type SolvedDrawing } from '@core/shaping/drawn';
import { withCurve, withNames, withPoint, withRelation } from './names';

/** A copy that comes this near to a point that is there already is joined to it, as a share of the outline. */
const JOINS_SHARE = 0.08;

/** ... and turned ones, as a share of the outline and of the run from its one end to the other. */
const [ROUGH_SHARE, ROUGH_OF_RUN] = [0.12, 0.35];

/** How large an outline is, mm. */
export function spanOf({ points }: Pick<SolvedDrawing, 'points'>): number {
  const all = [...points.values()];
  const along = (axis: 0 | 1) => all.map((at) => at[axis]);
  const spread = (values: number[]) => Math.max(...values) - Math.min(...values);
  return all.length === 0 ? 0 : Math.max(spread(along(0)), spread(along(1)));
}

type Solved = Pick<SolvedDrawing, 'points' | 'curves'>;

/**
 * Curves copied point by point, each point of a copy held to the one that it comes of. Ends that all but meet a point that is there are joined to it.
 */
function copied(
  outline: DrawnOutline,
  solved: Solved,
  ids: ReadonlySet<string>,
  to: (at: Place) => Place,
  holdTo: (outline: DrawnOutline, point: string, copy: string) => DrawnOutline,
  isOwn: (point: string) => boolean,
  joins: Map<string, Place>,
  nearMm: number,
): DrawnOutline {
  let next = withNames(outline);
  const copies = new Map<string, string>();
  const copyOf = (point: string, mayJoin: boolean): string => {
    const known = copies.get(point);
    if (known) return known;
    if (isOwn(point)) return point;
    const at = to(solved.points.get(point)!);
    const there = mayJoin
      ? [...joins].find(([, [x, y]]) => Math.hypot(x - at[0], y - at[1]) < nearMm)?.[0]
      : undefined;
    let copy = there;
    if (copy === undefined) {
      const [added, fresh] = withPoint(next, at);
      next = added;
      copy = fresh;
      joins.set(copy, at);
    }
    copies.set(point, copy);
    next = holdTo(next, point, copy);
    return copy;
  };
  for (const curve of withNames(outline).curves) {
    if (!ids.has(curve.id!)) continue;
    const { id, ...plain } = curve;
    const own = pointsOfCurve(curve);
    // The middle of an arc says only on which side it is: it is held by what its ends and its radius say.
    const names = new Map(
      own.map((point) => {
        if (curve.kind !== 'arc' || point !== curve.via) return [point, copyOf(point, true)];
        const [added, fresh] = withPoint(next, to(solved.points.get(point)!));
        next = added;
        return [point, fresh];
      }),
    );
    const renamed = (point: string) => names.get(point)!;
    const copy = copyUnder(plain as DrawnCurve, renamed);
    const [added, fresh] = withCurve(next, copy);
    next = added;
    if (curve.kind === 'arc' || curve.kind === 'circle')
      next = withRelation(next, { kind: 'equal', curves: [id!, fresh] });
  }
  return next;
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

/** Curves mirrored in a line, as live copies: what lies on the line is its own mirror image. */
export function withMirrored(
  outline: DrawnOutline,
  solved: Solved,
  ids: ReadonlySet<string>,
  about: string,
): DrawnOutline | null {
  const line = solved.curves.find(({ id }) => id === about);
  if (line?.kind !== 'line' || ids.has(about)) return null;
  const [dx, dy] = [line.to[0] - line.from[0], line.to[1] - line.from[1]];
  const length = Math.hypot(dx, dy);
  const normal: Place = [-dy / length, dx / length];
  const off = ([x, y]: Place) => (x - line.from[0]) * normal[0] + (y - line.from[1]) * normal[1];
  const nearMm = JOINS_SHARE * spanOf(solved);
  const isOwn = (point: string) => Math.abs(off(solved.points.get(point)!)) < nearMm;
  let next = copied(
    outline,
    solved,
    ids,
    (at) => [at[0] - 2 * off(at) * normal[0], at[1] - 2 * off(at) * normal[1]],
    (held, point, copy) => withRelation(held, { kind: 'symmetric', points: [point, copy], about }),
    isOwn,
    new Map(),
    nearMm,
  );
  // Ends that lie on the line are held there.
  const ends = new Set(
    outline.curves.flatMap((curve, index) =>
      ids.has(curve.id ?? String(index)) && (curve.kind === 'line' || curve.kind === 'arc')
        ? [curve.from, curve.to]
        : [],
    ),
  );
  for (const point of ends)
    if (isOwn(point) && !isEndOf(outline, about, point))
      next = withRelation(next, { kind: 'onCurve', point, curve: about });
  return next;
}

const isEndOf = (outline: DrawnOutline, line: string, point: string) =>
  withNames(outline).curves.some(
    (curve) => curve.id === line && curve.kind === 'line' && (curve.from === point || curve.to === point),
  );

/** Curves repeated round a point until there are `count` of them, evenly over a whole turn, as live copies. */
export function withRepeatedRound(
  outline: DrawnOutline,
  solved: Solved,
  ids: ReadonlySet<string>,
  about: string,
  count: number,
): DrawnOutline {
  const middle = solved.points.get(about)!;
  const joins = new Map(
    [...solved.points].filter(([id]) =>
      outline.curves.some(
        (curve, index) =>
          ids.has(curve.id ?? String(index)) &&
          (curve.kind === 'line' || curve.kind === 'arc') &&
          (curve.from === id || curve.to === id),
      ),
    ),
  );
  let next = outline;
  // A copy is joined to where the run ends, but not over a gap of its own.
  const ends = [...joins.values()];
  const chord = Math.max(
    0,
    ...ends.flatMap((one) => ends.map((other) => Math.hypot(one[0] - other[0], one[1] - other[1]))),
  );
  const nearMm = Math.min(ROUGH_SHARE * spanOf(solved), ROUGH_OF_RUN * chord);
  // What is turned about one middle hangs together: what does already needs no relation of its own.
  const root = new Map<string, string>();
  const rootOf = (point: string): string => {
    const up = root.get(point);
    return up === undefined ? point : rootOf(up);
  };
  for (let turn = 1; turn < count; turn += 1) {
    const angle = (2 * Math.PI * turn) / count;
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    next = copied(
      next,
      solved,
      ids,
      ([x, y]) => [
        middle[0] + cos * (x - middle[0]) - sin * (y - middle[1]),
        middle[1] + sin * (x - middle[0]) + cos * (y - middle[1]),
      ],
      (held, point, copy) => {
        if (rootOf(point) === rootOf(copy)) return held;
        root.set(rootOf(copy), rootOf(point));
        return withRelation(held, { kind: 'turned', points: [point, copy], about, angle });
      },
      (point) => point === about,
      joins,
      nearMm,
    );
  }
  return next;
}
