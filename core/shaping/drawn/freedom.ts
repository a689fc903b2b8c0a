import { dependenciesOf, factorise, outsideOf, type Factored } from '@core/measuring/adjustment';

import { pointsOfCurve, type Place } from './input';
import { freeOf } from './settle';
import { namesIn, type Asked, type System } from './system';

/** How an outline can still move. */
export interface Freedom {
  /** Degrees of freedom: unknowns less the rank of the Jacobian. */
  waysLeft: number;
  /** Of those, ways in which all of it moves alike: to the right, to the back, turned. */
  asWhole: number;
  /** Points that can still move, and which ways: one direction of length 1, or none where any will do. */
  points: ReadonlyMap<string, Place | 'anyWay'>;
  /** Circles and arcs whose radius can still change. */
  radii: ReadonlySet<string>;
  /** Relations and dimensions that say nothing that others do not say. */
  oneTooMany: ReadonlySet<string>;
}

/** A move smaller than this share of the whole is none. */
const MOVES = 1e-5;
/** Across its way a point moves by less than the root of this share of what it does along it: it has one way. */
const ONE_WAY = 1e-6;

/** What is left free, from the null space of the Jacobian (rank by QR with column pivoting). */
export function freedomOf(system: System, values: ArrayLike<number>): Freedom {
  const { unknowns, input } = system;
  const equations = freeOf(system);
  const free = freeUnknowns(system);
  const factored = factorise(
    jacobianOf(equations, free, unknowns.size, values),
    free.length,
    equations.length,
  );
  const ways = outsideOf(factored).map((way) => {
    const whole = new Float64Array(unknowns.size);
    for (const [index, unknown] of free.entries()) whole[unknown] = way[index]!;
    return whole;
  });
  const points = new Map<string, Place | 'anyWay'>();
  for (const { id } of input.points) {
    const way = wayOfPoint(unknowns.pointAt(id), ways);
    if (way) points.set(id, way);
  }
  const radii = new Set(
    input.curves.flatMap(({ id }) => {
      const round = unknowns.roundAt(id);
      return round && ways.some((way) => Math.abs(way[round.radius]!) > MOVES) ? [id] : [];
    }),
  );
  return {
    waysLeft: ways.length,
    asWhole: asWhole(system, values),
    points,
    radii,
    oneTooMany: oneTooMany(equations, factored),
  };
}

/** The Jacobian where the unknowns stand, its rows as columns: what `factorise` takes. @param free those that are its rows there. */
export function jacobianOf(
  equations: readonly Asked[],
  free: readonly number[],
  size: number,
  values: ArrayLike<number>,
): Float64Array {
  const row = new Int32Array(size).fill(-1);
  for (const [index, unknown] of free.entries()) row[unknown] = index;
  const cells = new Float64Array(equations.length * free.length);
  for (const [index, equation] of equations.entries()) {
    const { at, slopes } = equation.predict(values);
    for (const [term, unknown] of at.entries())
      if (row[unknown]! >= 0) cells[index * free.length + row[unknown]!]! += slopes[term]!;
  }
  return cells;
}

/** Unknowns that are not held; without the middles of arcs that only say on which side these are drawn. */
function freeUnknowns(system: System): number[] {
  const { unknowns, input } = system;
  const idle = new Set(
    input.curves.flatMap((curve) =>
      curve.kind === 'arc' && isOnlyDrawn(curve.via, system) ? unknowns.pointAt(curve.via) : [],
    ),
  );
  return Array.from({ length: unknowns.size }, (_, unknown) => unknown).filter(
    (unknown) => !unknowns.held.has(unknown) && !idle.has(unknown),
  );
}

/** Middles of arcs that are no points of their own. */
function isOnlyDrawn(id: string, { input, equations, unknowns }: System): boolean {
  const used = input.curves.flatMap((curve) => pointsOfCurve(curve)).filter((one) => one === id);
  if (used.length > 1) return false;
  const [x] = unknowns.pointAt(id);
  return !equations.some(({ predict }) => predict(unknowns.start).at.includes(x));
}

/** How a point moves over all ways: not at all, along one direction, or any way. */
function wayOfPoint(
  [x, y]: readonly [number, number],
  ways: readonly Float64Array[],
): Place | 'anyWay' | null {
  let [xx, xy, yy] = [0, 0, 0];
  for (const way of ways) {
    xx += way[x]! * way[x]!;
    xy += way[x]! * way[y]!;
    yy += way[y]! * way[y]!;
  }
  const middle = (xx + yy) / 2;
  const swing = Math.hypot((xx - yy) / 2, xy);
  if (middle + swing < MOVES * MOVES) return null;
  if (middle - swing > ONE_WAY * (middle + swing)) return 'anyWay';
  const turn = Math.atan2(2 * xy, xx - yy) / 2;
  return [Math.cos(turn), Math.sin(turn)];
}

/** In how many of three ways all can move as one: two along, one turned. */
function asWhole({ unknowns, input, equations }: System, values: ArrayLike<number>): number {
  // A point that no curve needs and that is only fixed is no part of what moves.
  const used = new Set([
    ...input.curves.flatMap((curve) => pointsOfCurve(curve)),
    ...[
      ...input.relations.filter(({ kind }) => kind !== 'fixed'),
      ...input.dimensions.map(({ dimension }) => dimension),
    ]
      .flatMap(namesIn)
      .flatMap(({ point }) => point ?? []),
  ]);
  const places = [
    ...input.points.flatMap(({ id }) => (used.has(id) ? [unknowns.pointAt(id)] : [])),
    ...input.curves.flatMap(({ id }) => {
      const round = unknowns.roundAt(id);
      return round ? [round.middle] : [];
    }),
  ];
  // What stands against each way: equations, unknowns that are held, and those that are one and would have to part.
  const against = [0, 1, 2].map((way) => {
    const direction = new Map<number, number>();
    const parted: number[] = [];
    for (const [x, y] of places) {
      const wanted = [
        way === 0 ? 1 : way === 2 ? -values[y]! : 0,
        way === 1 ? 1 : way === 2 ? values[x]! : 0,
      ];
      for (const [axis, unknown] of [x, y].entries()) {
        const known = direction.get(unknown) ?? wanted[axis]!;
        direction.set(unknown, known);
        parted.push(wanted[axis]! - known);
      }
    }
    const ofEquations = equations.map(({ predict }) => {
      const { at, slopes } = predict(values);
      return at.reduce((sum, unknown, term) => sum + slopes[term]! * (direction.get(unknown) ?? 0), 0);
    });
    const ofHeld = [...unknowns.held].map((unknown) => direction.get(unknown) ?? 0);
    return [...ofEquations, ...ofHeld, ...parted].map((by) => (Math.abs(by) < MOVES ? 0 : by));
  });
  const rows = against[0]!.length;
  return rows === 0 ? 3 : 3 - factorise(Float64Array.from(against.flat()), rows, 3).rank;
}

/** A factor below this share is rounding. */
const TAKES_PART = 1e-7;

/** What can be left out without letting anything move: the last of each set that depends on each other. */
function oneTooMany(equations: readonly Asked[], factored: Factored): Set<string> {
  const found = new Set<string>();
  for (const factors of dependenciesOf(factored)) {
    const last = [...factors.keys()]
      .filter((index) => Math.abs(factors[index]!) > TAKES_PART && equations[index]!.of !== null)
      .at(-1);
    if (last !== undefined) found.add(equations[last]!.of!);
  }
  return found;
}
