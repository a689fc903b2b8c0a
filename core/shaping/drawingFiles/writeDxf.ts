import { DxfWriter, point3d, SplineFlags, Units } from '@tarikjabiri/dxf';

import { circleThrough } from '@core/foundations/vectors';
import { smoothLine, type Curve, type Point } from '@core/shaping/outline';

const at = ([x, y]: readonly number[]) => point3d(x!, y!, 0);
const DEGREES = 180 / Math.PI;

/** Curves as a DXF file at true size, millimetres; y points up, as it is drawn. */
export function writeDxf(curves: readonly Curve[], layer: string): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.addLayer(layer, 7, 'CONTINUOUS');
  dxf.setCurrentLayerName(layer);
  for (const curve of curves) {
    switch (curve.kind) {
      case 'line':
        dxf.addLine(at(curve.from), at(curve.to));
        break;
      case 'arc': {
        const { middle, radius } = circleThrough(curve.from, curve.via, curve.to);
        const turn = ([x, y]: Point) => Math.atan2(y - middle[1], x - middle[0]) * DEGREES;
        // A DXF's arcs all go anticlockwise.
        const [from, to] = isLeft(curve) ? [curve.from, curve.to] : [curve.to, curve.from];
        dxf.addArc(at(middle), radius, (turn(from) + 360) % 360, (turn(to) + 360) % 360);
        break;
      }
      case 'circle':
        dxf.addCircle(at(curve.middle), curve.radius);
        break;
      case 'ellipse': {
        const { middle, alongX, alongY, turn = 0 } = curve;
        // The longer axis comes first.
        const isLong = alongX >= alongY;
        const [long, short] = isLong ? [alongX, alongY] : [alongY, alongX];
        const way = isLong ? turn : turn + Math.PI / 2;
        dxf.addEllipse(
          at(middle),
          at([long * Math.cos(way), long * Math.sin(way)]),
          short / long,
          0,
          2 * Math.PI,
        );
        break;
      }
      case 'spline':
        dxf.addSpline(splineOf(curve));
    }
  }
  return dxf.stringify();
}

const isLeft = ({ from, via, to }: Extract<Curve, { kind: 'arc' }>): boolean =>
  (via[0] - from[0]) * (to[1] - from[1]) - (via[1] - from[1]) * (to[0] - from[0]) > 0;

/** A smooth curve as cubic pieces, each by its four Bézier poles, with the points that it goes through besides. */
function splineOf({ points, closed, even }: Extract<Curve, { kind: 'spline' }>) {
  const { knots, slopes } = smoothLine(points, closed ?? false, even ?? false);
  const pieces = knots.length - 1;
  const poles: number[][] = [[...points[0]!]];
  for (let piece = 0; piece < pieces; piece += 1) {
    const step = knots[piece + 1]! - knots[piece]!;
    const [a, b] = [piece, (piece + 1) % points.length];
    const off = (of: readonly number[], way: readonly number[], share: number) =>
      of.map((value, axis) => value + (share * step * way[axis]!) / 3);
    poles.push(off(points[a]!, slopes[a]!, 1), off(points[b]!, slopes[b]!, -1), [...points[b]!]);
  }
  const fitPoints = closed ? [...points, points[0]!] : points;
  return {
    controlPoints: poles.map(at),
    fitPoints: fitPoints.map(at),
    degreeCurve: 3,
    flags: closed ? SplineFlags.Closed | SplineFlags.Planar : SplineFlags.Planar,
    // Each piece ends in a knot of three, the whole in one of four.
    knots: [knots[0]!, ...knots.flatMap((knot) => [knot, knot, knot]), knots.at(-1)!],
  };
}
