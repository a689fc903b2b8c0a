import { partsOf, scoped, type Kernel, type Scope, type Shape, type TaggedSolid } from '@core/shaping/kernel';
import type { KnownCurve, Point } from '@core/shaping/outline';
import { along, cross, minus, unit, type Vec3 } from '@core/foundations/vectors';
import { coordinatesOf } from '@core/shaping/part';
import { isNothing, isParallel, isSquare, SAME_MM } from '@core/foundations/tolerance';

/**
 * Where round faces turn away as they are seen from above, about `middle`: the circle of a ball, those of a ring that lies level, and the straight lines of cylinders and
 * cones, each where its normal is level.
 *
 * @param withinMm how near to them the outline of a mesh lies, mm.
 */
export function turningEdges(
  { kernel, shape }: TaggedSolid,
  [mx, my]: Point,
  withinMm: number,
): KnownCurve[] {
  const flat = ([x, y]: Vec3): Point => [x - mx, y - my];
  return scoped((scope) =>
    partsOf(kernel, scope, shape, 'TopAbs_FACE').flatMap((face): KnownCurve[] => {
      const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
      const at = (u: number, v: number): Vec3 => coordinatesOf(scope.keep(surface.Value(u, v)));
      const circle = (v: number): KnownCurve => {
        const [one, other] = [at(0, v), at(Math.PI, v)];
        const centre = along(one, minus(other, one), 0.5);
        return { kind: 'circle', middle: flat(centre), radius: Math.hypot(...minus(one, centre)), withinMm };
      };
      switch (surface.GetType()) {
        case 'GeomAbs_Sphere':
          return [circle(0)];
        case 'GeomAbs_Torus': {
          const axis = unit(
            cross(minus(at(0, 0), at(Math.PI, 0)), minus(at(Math.PI / 2, 0), at(Math.PI, 0))),
          );
          return isParallel(axis[2]) ? [circle(0), circle(Math.PI)] : [];
        }
        case 'GeomAbs_Cylinder':
        case 'GeomAbs_Cone':
          return straightEdges(at, surface.FirstVParameter(), surface.LastVParameter()).map(([from, to]) => ({
            kind: 'line',
            from: flat(from),
            to: flat(to),
            withinMm,
          }));
        default:
          return [];
      }
    }),
  );
}

/** Whether a solid's outline can be of nothing but curves that `turningEdges` finds, level circles and straight lines. */
export function isKnownAllRound({ kernel, shape }: TaggedSolid): boolean {
  return scoped(
    (scope) =>
      partsOf(kernel, scope, shape, 'TopAbs_FACE').every((face) => isKnownFace(kernel, scope, face)) &&
      partsOf(kernel, scope, shape, 'TopAbs_EDGE').every((edge) => isKnownEdge(kernel, scope, edge)),
  );
}

const KNOWN_FACES = new Set(['GeomAbs_Plane', 'GeomAbs_Cylinder', 'GeomAbs_Cone', 'GeomAbs_Sphere']);

function isKnownFace(kernel: Kernel, scope: Scope, face: Shape): boolean {
  const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
  const kind = surface.GetType();
  if (kind !== 'GeomAbs_Torus') return KNOWN_FACES.has(kind);
  return isLevelRing((u, v) => coordinatesOf(scope.keep(surface.Value(u, v))));
}

/** Seen as a straight line, or a level circle. */
function isKnownEdge(kernel: Kernel, scope: Scope, edge: Shape): boolean {
  const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
  const kind = curve.GetType();
  if (kind === 'GeomAbs_Line') return true;
  if (kind === 'GeomAbs_Circle') {
    const up = scope.keep(scope.keep(scope.keep(curve.Circle()).Axis()).Direction()).Z();
    return isParallel(up) || isSquare(up);
  }
  // Any curve within an upright plane.
  const [first, last] = [curve.FirstParameter(), curve.LastParameter()];
  const places = Array.from({ length: PLACES + 1 }, (_, place) =>
    coordinatesOf(scope.keep(curve.Value(first + ((last - first) * place) / PLACES))),
  );
  const [from, to] = [places[0]!, places.at(-1)!];
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  return places.every(
    ([x, y]) =>
      Math.abs((to[0] - from[0]) * (y - from[1]) - (to[1] - from[1]) * (x - from[0])) <= SAME_MM * length,
  );
}

/** By so many stretches a curve is looked at. */
const PLACES = 12;

function isLevelRing(at: (u: number, v: number) => Vec3): boolean {
  const across = at(Math.PI, 0);
  return isParallel(unit(cross(minus(at(0, 0), across), minus(at(Math.PI / 2, 0), across)))[2]);
}

/**
 * Lines of a cylinder or a cone along which its normal is level. With circles c(v) + r(v)(cos u · X + sin u · Y) at both its ends, D from the one centre to the other and
 * k the difference of their radii, the vertical part of the normal is nothing where cos u (Y × D) − sin u (X × D) = k (X × Y), of each its vertical part.
 */
function straightEdges(at: (u: number, v: number) => Vec3, low: number, high: number): [Vec3, Vec3][] {
  const ends = [low, high].map((v) => {
    const [one, other, aside] = [at(0, v), at(Math.PI, v), at(Math.PI / 2, v)];
    const centre = along(one, minus(other, one), 0.5);
    return { centre, along: minus(one, centre), aside: minus(aside, centre) };
  });
  const [first, last] = ends as [(typeof ends)[0], (typeof ends)[0]];
  // Of a cone that ends in its tip, the other end tells the directions.
  const wide = Math.hypot(...first.along) > Math.hypot(...last.along) ? first : last;
  const [x, y] = [unit(wide.along), unit(wide.aside)];
  const apart = minus(last.centre, first.centre);
  const wider = Math.hypot(...last.along) - Math.hypot(...first.along);
  const [a, b, c] = [cross(y, apart)[2], -cross(x, apart)[2], wider * cross(x, y)[2]];
  const reach = Math.hypot(a, b);
  if (isNothing(reach) || Math.abs(c) > reach) return [];
  return [1, -1].map((side): [Vec3, Vec3] => {
    const u = Math.atan2(b, a) + side * Math.acos(c / reach);
    return [at(u, low), at(u, high)];
  });
}
