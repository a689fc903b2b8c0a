import { Clipper, FillRule } from 'clipper2-ts';

import { no, type Result, type StepFault } from '@core/fault';
import { meshOf, scoped, type TaggedSolid, partsOf } from '@core/kernel';
import {
  curvesOfPolygon,
  regionOfLoops,
  type KnownCircle,
  type Loop,
  type Point,
  type Region,
} from '@core/outline';
import { isParallel, isSameLength, isSamePoint } from '@core/tolerance';

/** Where the outline bends out of no edge, as a ball's does, it is as near as this. */
const QUALITY = { gapMm: 0.004, angle: 0.1 };

/** Clipper counts in whole numbers; these are a mm. */
const PER_MM = 1e5;

/** Loops smaller than this are left by rounding, mm². */
const SMALLEST_MM2 = 1e-3;

/**
 * The outline of all of a solid as it is seen from above, about `middle`: exact where edges make it that are straight or round, within a few
 * micrometres elsewhere.
 */
export function silhouetteOf(solid: TaggedSolid, middle: Point): Result<Region, StepFault> {
  const { positions, indices } = meshOf(solid, QUALITY);
  const at = (corner: number): Point => {
    const place = 3 * indices[corner]!;
    return [positions[place]! - middle[0], positions[place + 1]! - middle[1]];
  };
  const triangles = [];
  for (let corner = 0; corner < indices.length; corner += 3) {
    const [a, b, c] = [at(corner), at(corner + 1), at(corner + 2)];
    if ((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]) <= 0) continue;
    triangles.push([a, b, c].map(([x, y]) => ({ x: Math.round(x * PER_MM), y: Math.round(y * PER_MM) })));
  }
  const circles = levelCircles(solid, middle);
  const loops = Clipper.union(triangles, FillRule.NonZero).flatMap((path): Loop[] => {
    const area = Clipper.area(path);
    if (Math.abs(area) < SMALLEST_MM2 * PER_MM ** 2) return [];
    const points = path.map(({ x, y }): Point => [x / PER_MM, y / PER_MM]);
    // Holes come clockwise.
    return [curvesOfPolygon(area > 0 ? points : points.reverse(), circles, QUALITY.gapMm)];
  });
  return loops.length > 0 ? regionOfLoops(loops) : no({ code: 'outline.notHere' });
}

/** Circles of which level edges are a part, each once, about `middle`. */
function levelCircles({ kernel, shape }: TaggedSolid, [mx, my]: Point): KnownCircle[] {
  const found: KnownCircle[] = [];
  scoped((scope) => {
    for (const edge of partsOf(kernel, scope, shape, 'TopAbs_EDGE')) {
      const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
      if (curve.GetType() !== 'GeomAbs_Circle') continue;
      const circle = scope.keep(curve.Circle());
      const axis = scope.keep(scope.keep(circle.Axis()).Direction());
      if (!isParallel(axis.Z())) continue;
      const location = scope.keep(circle.Location());
      const [x, y, radius] = [location.X() - mx, location.Y() - my, circle.Radius()];
      const isKnown = found.some(
        (one) => isSameLength(one.radius, radius) && isSamePoint(one.middle, [x, y]),
      );
      if (!isKnown) found.push({ middle: [x, y], radius });
    }
  });
  return found;
}
