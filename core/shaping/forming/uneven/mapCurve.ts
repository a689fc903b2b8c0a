import type { Vec3 } from '@core/foundations/vectors';
import { toWorld, WORLD, wayToWorld, type Affine } from '@core/shaping/part';

import { fittedSpline } from './fittedSpline';
import { mappedFlat, type FlatMap } from './flatMap';
import type { ConicKind, Curve, FlatPoint, Spline } from './geometry';

export type Range = readonly [number, number];

const SAME = 1e-12;

export const isSame = (a: number, b: number): boolean => Math.abs(a - b) <= SAME * Math.max(1, Math.abs(a));

/** Whether two ways are square to each other, for their lengths. */
export const isSquare = (a: readonly number[], b: readonly number[]): boolean =>
  Math.abs(sumOf(a, b)) <= SAME * Math.hypot(...a) * Math.hypot(...b);

const sumOf = (a: readonly number[], b: readonly number[]) =>
  a.reduce((sum, one, axis) => sum + one * b[axis]!, 0);

/** How far along its two ways a conic section is at a parameter, as the kernel draws them. */
const CONIC: Record<
  ConicKind,
  (sizes: readonly number[]) => readonly [(t: number) => number, (t: number) => number]
> = {
  circle: ([r]) => [(t) => r! * Math.cos(t), (t) => r! * Math.sin(t)],
  ellipse: ([a, b]) => [(t) => a! * Math.cos(t), (t) => b! * Math.sin(t)],
  hyperbola: ([a, b]) => [(t) => a! * Math.cosh(t), (t) => b! * Math.sinh(t)],
  parabola: ([focal]) => [(t) => (t * t) / (4 * focal!), (t) => t],
};

/** Points and ways of some number of coordinates, mapped. */
interface Mapping<Point> {
  point(point: Point): Point;
  way(direction: Point): Point;
}

const combined = <Point extends readonly number[]>(
  at: Point,
  ...parts: readonly (readonly [number, Point])[]
): Point =>
  at.map((value, axis) =>
    parts.reduce((sum, [by, direction]) => sum + by * direction[axis]!, value),
  ) as unknown as Point;

/**
 * A curve mapped, with its parameter multiplied by `pace`. A line that the map makes longer or shorter keeps its
 * parameter as a spline, unless the pace is that of the map.
 */
function mapped<Point extends readonly number[]>(
  curve: Curve<Point>,
  map: Mapping<Point>,
  [from, to]: Range,
  pace: number,
  form: 'own' | 'spline' = 'own',
): Curve<Point> {
  const paced = (spline: Spline<Point>): Spline<Point> => ({
    ...spline,
    knots: spline.knots.map(({ at, times }) => ({ at: at * pace, times })),
  });
  if (curve.kind === 'spline') return paced({ ...curve, poles: curve.poles.map((pole) => map.point(pole)) });
  const at = map.point(curve.at);
  if (curve.kind === 'line') {
    const direction = map.way(curve.direction);
    if (form === 'own' && isSame(Math.hypot(...direction), pace))
      return { kind: 'line', at, direction: direction.map((one) => one / pace) as unknown as Point };
    const ends = [from, to];
    return paced({
      kind: 'spline',
      periodic: false,
      degree: 1,
      poles: ends.map((end) => combined(at, [end, direction])),
      knots: ends.map((end) => ({ at: end, times: 2 })),
    });
  }
  const [x, y] = [map.way(curve.x), map.way(curve.y)];
  const size = Math.hypot(...x);
  const isRound = curve.kind === 'circle' && isSame(size, Math.hypot(...y)) && isSquare(x, y);
  if (form === 'own' && isRound && pace === 1) {
    const one = (direction: Point) => direction.map((value) => value / size) as unknown as Point;
    return { kind: 'circle', at, x: one(x), y: one(y), sizes: [curve.sizes[0]! * size] };
  }
  const { degree, knots, coefficients } = fittedSpline(CONIC[curve.kind](curve.sizes), from, to);
  const poles = coefficients[0]!.map((first, index) =>
    combined(at, [first, x], [coefficients[1]![index]!, y]),
  );
  return paced({ kind: 'spline', periodic: false, degree, poles, knots });
}

const inSpace = (map: Affine): Mapping<Vec3> => ({
  point: (point) => toWorld(map, point),
  way: (direction) => wayToWorld(map, direction),
});

/** How much faster the parameter of a curve runs, once mapped: for lines only, since theirs is a length. */
export const paceOf = (curve: Curve<Vec3>, map: Affine): number =>
  curve.kind === 'line' ? Math.hypot(...wayToWorld(map, curve.direction)) : 1;

/** A curve in space, mapped; its parameter runs at its own pace (`paceOf`). */
export const mapCurve = (curve: Curve<Vec3>, map: Affine, range: Range): Curve<Vec3> =>
  mapped(curve, inSpace(map), range, paceOf(curve, map));

/** The same with its parameter as it was. */
export const mapKept = (curve: Curve<Vec3>, map: Affine, range: Range): Curve<Vec3> =>
  mapped(curve, inSpace(map), range, 1);

/** A curve as a spline with the same parameter. */
export const asSpline = (curve: Curve<Vec3>, range: Range): Spline<Vec3> =>
  mapped(curve, inSpace(WORLD), range, 1, 'spline') as Spline<Vec3>;

/** A curve in the parameters of a surface, where those have been mapped, at the pace of its edge. */
export function mapFlatCurve(
  curve: Curve<FlatPoint>,
  map: FlatMap,
  range: Range,
  pace: number,
): Curve<FlatPoint> {
  const both = (point: FlatPoint) => mappedFlat(map, point);
  return mapped(curve, { point: both, way: both }, range, pace);
}

/** The reach of a curve in the parameters of its surface, from the least to the most: at least what it takes. */
export function reachOf(curve: Curve<FlatPoint>, [from, to]: Range): FlatPoint[] {
  if (curve.kind === 'spline') return [...curve.poles];
  if (curve.kind === 'line') return [from, to].map((end) => combined(curve.at, [end, curve.direction]));
  const [x, y] = CONIC[curve.kind](curve.sizes);
  const at = [from, to].map((end) => combined(curve.at, [x(end), curve.x], [y(end), curve.y]));
  if (curve.kind !== 'circle' && curve.kind !== 'ellipse') return [...at, curve.at];
  const most = curve.sizes[0]!;
  return [...at, ...[-most, most].map((by) => [curve.at[0] + by, curve.at[1] + by] as FlatPoint)];
}
