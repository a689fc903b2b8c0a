import { circleThrough } from '@core/foundations/vectors';
import type { OutlineConstraint } from '@core/foundations/fields';

import type { DrawnInput, KnownCurve, Place } from './input';
import type { At } from './slopes';

/** Where a circle, or the circle of an arc, stands among the unknowns. */
export interface RoundAt {
  middle: At;
  radius: number;
}

/** The unknowns of a drawn outline: coordinates of points, middles of arcs, radii. Unknowns that are always alike are one. */
export interface Unknowns {
  size: number;
  /** As it was drawn, mm. */
  start: Float64Array;
  /** Those that stay as they start. */
  held: ReadonlySet<number>;
  pointAt(id: string): At;
  roundAt(curve: string): RoundAt | undefined;
  /** Half axes of an ellipse. */
  axesAt(curve: string): At | undefined;
  /** Whether an arc goes anticlockwise from its first end. */
  isLeft(arc: string): boolean;
  /** Relations that are met because unknowns were made one. */
  madeOne: ReadonlySet<string>;
}

/** Which unknowns a relation makes one, if it is of such a kind. */
function alikeIn(
  relation: OutlineConstraint,
  at: { point(id: string): At; middle(curve: string): At | undefined },
): readonly (readonly [number, number])[] {
  switch (relation.kind) {
    case 'coincident': {
      const [a, b] = [at.point(relation.points[0]), at.point(relation.points[1])];
      return [
        [a[0], b[0]],
        [a[1], b[1]],
      ];
    }
    case 'level':
      return [[at.point(relation.points[0])[1], at.point(relation.points[1])[1]]];
    case 'upright':
      return [[at.point(relation.points[0])[0], at.point(relation.points[1])[0]]];
    case 'concentric': {
      const [a, b] = relation.curves.map((curve) => at.middle(curve));
      return a && b
        ? [
            [a[0], b[0]],
            [a[1], b[1]],
          ]
        : [];
    }
    default:
      return [];
  }
}

/**
 * @param makeOne relations that make unknowns alike are met by making them one; otherwise they stay equations of their own, as is
 * needed to tell which relations contradict each other.
 */
export function unknownsOf(input: DrawnInput, makeOne = true): Unknowns {
  const values: number[] = [];
  const heldRaw = new Set<number>();
  const fresh = (value: number, isHeld = false): number => {
    if (isHeld) heldRaw.add(values.length);
    return values.push(value) - 1;
  };
  const points = new Map<string, At>();
  for (const { id, at, held } of input.points) points.set(id, [fresh(at[0], held[0]), fresh(at[1], held[1])]);
  const rounds = new Map<string, RoundAt>();
  const axes = new Map<string, At>();
  const lefts = new Map<string, boolean>();
  const placeOf = (id: string): Place => {
    const [x, y] = points.get(id)!;
    return [values[x]!, values[y]!];
  };
  for (const curve of input.curves) {
    if (curve.kind === 'circle') {
      rounds.set(curve.id, {
        middle: points.get(curve.middle)!,
        radius: fresh(curve.radius, curve.heldRadius),
      });
    } else if (curve.kind === 'arc') {
      const arc = drawnArc(curve, placeOf);
      rounds.set(curve.id, {
        middle: [fresh(arc.middle[0], curve.following), fresh(arc.middle[1], curve.following)],
        radius: fresh(arc.radius, curve.following),
      });
      lefts.set(curve.id, arc.isLeft);
    } else if (curve.kind === 'ellipse') {
      axes.set(curve.id, [fresh(curve.along[0], curve.held[0]), fresh(curve.along[1], curve.held[1])]);
    }
  }
  for (const relation of input.relations) {
    if (relation.kind !== 'fixed') continue;
    for (const unknown of points.get(relation.point) ?? []) heldRaw.add(unknown);
  }

  const parent = Int32Array.from(values.keys());
  const rootOf = (raw: number): number => {
    let root = raw;
    while (parent[root] !== root) root = parent[root]!;
    return root;
  };
  const heldRoot = new Map<number, number>();
  for (const raw of heldRaw) heldRoot.set(raw, values[raw]!);
  const madeOne = new Set<string>();
  for (const relation of makeOne ? input.relations : []) {
    const pairs = alikeIn(relation, {
      point: (id) => points.get(id)!,
      middle: (curve) => rounds.get(curve)?.middle,
    });
    if (pairs.length === 0) continue;
    const roots = pairs.map(([a, b]) => [rootOf(a), rootOf(b)] as const);
    // Two that are held apart can't be made one: that is told as a contradiction.
    if (roots.some(([a, b]) => a !== b && heldRoot.has(a) && heldRoot.has(b))) continue;
    for (const [a, b] of roots) {
      if (rootOf(a) === rootOf(b)) continue;
      const [kept, gone] = heldRoot.has(rootOf(b)) ? [rootOf(b), rootOf(a)] : [rootOf(a), rootOf(b)];
      parent[gone] = kept;
    }
    madeOne.add(relation.id);
  }

  const groups = new Map<number, number[]>();
  for (const raw of values.keys()) {
    const root = rootOf(raw);
    groups.set(root, [...(groups.get(root) ?? []), raw]);
  }
  const place = new Int32Array(values.length);
  const start: number[] = [];
  const held = new Set<number>();
  for (const [root, members] of groups) {
    const index = start.length;
    const fixed = heldRoot.get(root);
    // The middle of where a hand drew them.
    start.push(fixed ?? members.reduce((total, raw) => total + values[raw]!, 0) / members.length);
    if (fixed !== undefined) held.add(index);
    for (const raw of members) place[raw] = index;
  }
  const mapped = (at: At): At => [place[at[0]]!, place[at[1]]!];
  return {
    size: start.length,
    start: Float64Array.from(start),
    held,
    pointAt: (id) => mapped(points.get(id)!),
    roundAt: (curve) => {
      const round = rounds.get(curve);
      return round && { middle: mapped(round.middle), radius: place[round.radius]! };
    },
    axesAt: (curve) => {
      const own = axes.get(curve);
      return own && mapped(own);
    },
    isLeft: (arc) => lefts.get(arc) ?? true,
    madeOne,
  };
}

/** What is drawn all but straight bends with this many times its chord. */
const STRAIGHT_RADIUS = 100;
/** Ends nearer than this count as so far apart, mm. */
const LEAST_CHORD_MM = 1e-3;

/** The circle of an arc as it was drawn, and which way round it goes. Points in line make a very large circle. */
function drawnArc(curve: KnownCurve & { kind: 'arc' }, placeOf: (id: string) => Place) {
  const [from, via, to] = [placeOf(curve.from), placeOf(curve.via), placeOf(curve.to)];
  const turn = (via[0] - from[0]) * (to[1] - from[1]) - (via[1] - from[1]) * (to[0] - from[0]);
  const isLeft = turn >= 0;
  const chord = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const most = STRAIGHT_RADIUS * Math.max(chord, LEAST_CHORD_MM);
  const circle = circleThrough(from, via, to);
  if (circle.radius < most) return { ...circle, isLeft };
  const [nx, ny] = chord === 0 ? [0, 1] : [-(to[1] - from[1]) / chord, (to[0] - from[0]) / chord];
  const side = isLeft ? most : -most;
  const middle: Place = [(from[0] + to[0]) / 2 + side * nx, (from[1] + to[1]) / 2 + side * ny];
  return { middle, radius: Math.hypot(most, chord / 2), isLeft };
}
