import type { DrawnOutline } from '@core/foundations/fields';
import { boxOfLoop, polygonOf, type Curve, type Point } from '@core/shaping/outline';
import { circleThrough } from '@core/foundations/vectors';
import { drawnFromCurves } from '@core/shaping/drawnEdits';

import type { DrawingFileFault, LayeredCurve } from './drawingFile';
import { followedCurve, mappedCurve, ROUNDING, type Affine } from './plane';

/** Curves and points that a drawing has room for. */
const MOST = 400;

/** The smallest box round curves: arcs by where they reach furthest, smooth ones as short lines. */
function boxOf(curves: readonly LayeredCurve[]): [x0: number, y0: number, x1: number, y1: number] {
  const [xs, ys] = [0, 1].map((axis) =>
    curves.flatMap(({ curve }) => furthestOf(curve).map((at) => at[axis]!)),
  ) as [number[], number[]];
  // One after the other: there may be more than a call takes.
  const least = (all: readonly number[]) => all.reduce((a, b) => Math.min(a, b), Infinity);
  const most = (all: readonly number[]) => all.reduce((a, b) => Math.max(a, b), -Infinity);
  return [least(xs), least(ys), most(xs), most(ys)];
}

function furthestOf(curve: Curve): readonly Point[] {
  if (curve.kind === 'arc') {
    const { from, via, to } = curve;
    const { middle, radius } = circleThrough(from, via, to);
    const side = ([x, y]: Point) => (to[0] - from[0]) * (y - from[1]) - (to[1] - from[1]) * (x - from[0]);
    const quarters: Point[] = [
      [middle[0] + radius, middle[1]],
      [middle[0] - radius, middle[1]],
      [middle[0], middle[1] + radius],
      [middle[0], middle[1] - radius],
    ];
    // On the circle, what is on the same side of the chord as the arc is on the arc.
    return [from, to, ...quarters.filter((at) => side(at) * side(via) > 0)];
  }
  if (curve.kind === 'spline') return [...polygonOf([curve]), ...curve.points];
  const [x0, y0, x1, y1] = boxOfLoop([curve]);
  return [
    [x0, y0],
    [x1, y1],
  ];
}

/** How large curves are, in units of their file. */
export function sizeOfCurves(curves: readonly LayeredCurve[]): readonly [width: number, height: number] {
  const [x0, y0, x1, y1] = boxOf(curves);
  return [x1 - x0, y1 - y0];
}

/**
 * Curves of a file as a drawn outline, at true size, its middle where the outline begins. Ends that meet are one point.
 *
 * @param unitMm millimetres to a unit of the file.
 */
export function drawnFromFile(
  curves: readonly LayeredCurve[],
  unitMm: number,
): { ok: true; value: DrawnOutline } | { ok: false; fault: DrawingFileFault } {
  if (curves.length === 0) return { ok: false, fault: { code: 'nothingToTake' } };
  const [x0, y0, x1, y1] = boxOf(curves);
  const map: Affine = [unitMm, 0, 0, unitMm, (-unitMm * (x0 + x1)) / 2, (-unitMm * (y0 + y1)) / 2];
  const placed = curves.flatMap(({ curve }) => inParts(untilted(mappedCurve(curve, map))));
  if (placed.length > MOST)
    return { ok: false, fault: { code: 'tooMany', curves: placed.length, most: MOST } };
  const outline = drawnFromCurves(placed);
  return outline.points.length > MOST
    ? { ok: false, fault: { code: 'tooMany', curves: placed.length, most: MOST } }
    : { ok: true, value: outline };
}

/** Points that one smooth curve of a drawing has room for. */
const MOST_THROUGH = 100;

/** A smooth curve through more points than one has room for, as several that go on from each other. */
function inParts(curve: Plain): Plain[] {
  if (curve.kind !== 'spline' || curve.points.length <= MOST_THROUGH) return [curve];
  const points = curve.closed ? [...curve.points, curve.points[0]!] : curve.points;
  const pieces = Math.ceil((points.length - 1) / (MOST_THROUGH - 1));
  const at = (piece: number) => Math.round((piece * (points.length - 1)) / pieces);
  return Array.from({ length: pieces }, (_, piece): Plain => ({
    kind: 'spline',
    points: points.slice(at(piece), at(piece + 1) + 1),
    closed: false,
  }));
}

type Plain = Parameters<typeof drawnFromCurves>[0][number];

/** A drawing's ellipses lie along its ways: one that is turned by a quarter has its axes changed, any other is smooth through points of it. */
function untilted(curve: Curve): Plain {
  if (curve.kind !== 'ellipse') return curve;
  const { middle, alongX, alongY, turn = 0 } = curve;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  if (Math.abs(sin) < ROUNDING) return curve;
  if (Math.abs(cos) < ROUNDING) return { kind: 'ellipse', middle, alongX: alongY, alongY: alongX };
  return followedCurve((t) => {
    const [x, y] = [alongX * Math.cos(2 * Math.PI * t), alongY * Math.sin(2 * Math.PI * t)];
    return [middle[0] + cos * x - sin * y, middle[1] + sin * x + cos * y];
  }, true) as Plain;
}
