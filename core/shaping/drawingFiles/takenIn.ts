import type { DrawnOutline } from '@core/foundations/fields';
import { boxOfLoop, type Curve } from '@core/shaping/outline';
import { drawnFromCurves } from '@core/shaping/drawnEdits';

import type { DrawingFileFault, LayeredCurve } from './drawingFile';
import { followedCurve, mappedCurve, type Affine } from './plane';

/** Curves and points that a drawing has room for. */
const MOST = 400;

/** How large curves are, in units of their file. */
export function sizeOfCurves(curves: readonly LayeredCurve[]): readonly [width: number, height: number] {
  const [x0, y0, x1, y1] = boxOfLoop(curves.map(({ curve }) => curve));
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
  const [x0, y0, x1, y1] = boxOfLoop(curves.map(({ curve }) => curve));
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
  if (Math.abs(sin) < 1e-9) return curve;
  if (Math.abs(cos) < 1e-9) return { kind: 'ellipse', middle, alongX: alongY, alongY: alongX };
  return followedCurve((t) => {
    const [x, y] = [alongX * Math.cos(2 * Math.PI * t), alongY * Math.sin(2 * Math.PI * t)];
    return [middle[0] + cos * x - sin * y, middle[1] + sin * x + cos * y];
  }, true) as Plain;
}
