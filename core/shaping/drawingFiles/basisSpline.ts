import type { ISplineEntity } from 'dxf-parser';

import type { Curve, Point } from '@core/shaping/outline';

import { followedCurve } from './plane';

/**
 * A spline of a DXF file: through its fit points where it has them, else along its control points (de Boor's recurrence), a line or an arc where it is one.
 *
 * @returns null for one with weights, which the file's reader does not give.
 */
export function splineCurve({
  fitPoints = [],
  controlPoints = [],
  knotValues = [],
  degreeOfSplineCurve: degree,
  closed,
  rational,
}: ISplineEntity): Curve | null {
  const flat = fitPoints.map(({ x, y }): Point => [x, y]);
  const isRound = flat.length > 3 && apart(flat[0]!, flat.at(-1)!) < SAME;
  if (flat.length > 1)
    return isRound || (closed && flat.length > 2)
      ? { kind: 'spline', points: isRound ? flat.slice(0, -1) : flat, closed: true, role: '' }
      : { kind: 'spline', points: flat, role: '' };
  if (rational || controlPoints.length < degree + 1 || knotValues.length < controlPoints.length + degree + 1)
    return null;
  const poles = controlPoints.map(({ x, y }): Point => [x, y]);
  const [first, last] = [knotValues[degree]!, knotValues[poles.length]!];
  const at = (t: number) => deBoor(poles, knotValues, degree, first + t * (last - first));
  return followedCurve(at, apart(at(0), at(1)) < SAME);
}

/** Ends nearer than this are one, in units of the file. */
const SAME = 1e-9;
const apart = ([ax, ay]: Point, [bx, by]: Point) => Math.hypot(bx - ax, by - ay);

/** A point of a spline by its parameter (de Boor, A Practical Guide to Splines, X). */
export function deBoor(poles: readonly Point[], knots: readonly number[], degree: number, t: number): Point {
  let span = degree;
  while (span < poles.length - 1 && t >= knots[span + 1]!) span += 1;
  const near = Array.from({ length: degree + 1 }, (_, index) => poles[span - degree + index]!);
  for (let level = 1; level <= degree; level += 1)
    for (let index = degree; index >= level; index -= 1) {
      const low = knots[span - degree + index]!;
      const high = knots[index + 1 + span - level]!;
      const share = high === low ? 0 : (t - low) / (high - low);
      const [before, here] = [near[index - 1]!, near[index]!];
      near[index] = [(1 - share) * before[0] + share * here[0], (1 - share) * before[1] + share * here[1]];
    }
  return near[degree]!;
}
