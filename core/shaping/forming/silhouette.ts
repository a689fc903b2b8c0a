import { Clipper, FillRule } from 'clipper2-ts';

import { no, type Result, type StepFault } from '@core/foundations/fault';
import { meshOf, scoped, type TaggedSolid, partsOf } from '@core/shaping/kernel';
import {
  curvesOfPolygon,
  regionOfLoops,
  type KnownCurve,
  type Loop,
  type Point,
  type Region,
} from '@core/shaping/outline';
import { coordinatesOf } from '@core/shaping/part';
import { isParallel, isSameLength, isSamePoint } from '@core/foundations/tolerance';

import { boundaryOfTriangles, type Corner } from './boundaryOfTriangles';
import { isKnownAllRound, turningEdges } from './turningEdges';

/** Where the outline is of curves that nobody knows, it is as near as this. */
const FINE = { gapMm: 0.004, angle: 0.1 };
/** Where all of it is known, the mesh only tells which curve is where. */
const COARSE = { gapMm: 0.01, angle: 0.2 };
/** Where a round face turns away, no corner of the mesh need lie: its outline runs within so many gaps. */
const TURNS_WITHIN = 3;

/** Clipper counts in whole numbers; these are a mm. */
const PER_MM = 1e5;

/** Loops smaller than this are left by rounding, mm². */
const SMALLEST_MM2 = 1e-3;

/**
 * The outline of all of a solid as it is seen from above, about `middle`: exact where edges make it that are straight or round, or balls, cylinders, cones and level
 * rings; within a few micrometres elsewhere.
 */
export function silhouetteOf(solid: TaggedSolid, middle: Point): Result<Region, StepFault> {
  const quality = isKnownAllRound(solid) ? COARSE : FINE;
  const { positions, indices } = meshOf(solid, quality);
  const at = (corner: number): Point => {
    const place = 3 * indices[corner]!;
    return [positions[place]! - middle[0], positions[place + 1]! - middle[1]];
  };
  const triangles: [Corner, Corner, Corner][] = [];
  for (let corner = 0; corner < indices.length; corner += 3) {
    const [a, b, c] = [at(corner), at(corner + 1), at(corner + 2)];
    if ((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]) <= 0) continue;
    triangles.push([whole(a), whole(b), whole(c)]);
  }
  const known = [...edgeCurves(solid, middle), ...turningEdges(solid, middle, TURNS_WITHIN * quality.gapMm)];
  // Where it runs along a line and back, Clipper may never end.
  const round = boundaryOfTriangles(triangles)
    .map((loop) => Clipper.trimCollinear(loop))
    .filter(({ length }) => length > 2);
  const loops = Clipper.union(round, FillRule.NonZero).flatMap((path): Loop[] => {
    const area = Clipper.area(path);
    if (Math.abs(area) < SMALLEST_MM2 * PER_MM ** 2) return [];
    const points = path.map(({ x, y }): Point => [x / PER_MM, y / PER_MM]);
    // Holes come clockwise.
    return [curvesOfPolygon(area > 0 ? points : points.reverse(), known, quality.gapMm)];
  });
  return loops.length > 0 ? regionOfLoops(loops) : no({ code: 'outline.notHere' });
}

const whole = ([x, y]: Point): Corner => ({ x: Math.round(x * PER_MM), y: Math.round(y * PER_MM) });

/** What its edges are as they are seen, each once: level circles, and straight lines. */
function edgeCurves({ kernel, shape }: TaggedSolid, [mx, my]: Point): KnownCurve[] {
  const found: KnownCurve[] = [];
  scoped((scope) => {
    for (const edge of partsOf(kernel, scope, shape, 'TopAbs_EDGE')) {
      const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
      const kind = curve.GetType();
      if (kind === 'GeomAbs_Line') {
        const [from, to] = [curve.FirstParameter(), curve.LastParameter()].map((at): Point => {
          const [x, y] = coordinatesOf(scope.keep(curve.Value(at)));
          return [x - mx, y - my];
        }) as [Point, Point];
        if (!isSamePoint(from, to)) found.push({ kind: 'line', from, to, withinMm: 0 });
      }
      if (kind !== 'GeomAbs_Circle') continue;
      const circle = scope.keep(curve.Circle());
      const axis = scope.keep(scope.keep(circle.Axis()).Direction());
      if (!isParallel(axis.Z())) continue;
      const location = scope.keep(circle.Location());
      const [x, y, radius] = [location.X() - mx, location.Y() - my, circle.Radius()];
      const isKnown = found.some(
        (one) => one.kind === 'circle' && isSameLength(one.radius, radius) && isSamePoint(one.middle, [x, y]),
      );
      if (!isKnown) found.push({ kind: 'circle', middle: [x, y], radius, withinMm: 0 });
    }
  });
  return found;
}
