import {
  type Kernel,
  type Shape,
  planeOf,
  faceArea,
  scoped,
  type Scope,
  edgesBetween,
  type TaggedSolid,
  partsOf,
  volumeWithin,
  closestPoints,
} from '@core/shaping/kernel';
import { type Vec3, along, cross, dot, minus, unit } from '@core/foundations/vectors';
import { coordinatesOf, type Picked, type Measured, type Thing } from '@core/shaping/part';
import { KERNEL_MM, SAME_ANGLE } from '@core/foundations/tolerance';

/** A thing and the way it has, for angles. */
interface Found {
  shape: Shape;
  thing: Thing;
  /** A flat face's normal; a line's or an axis' way. */
  way: { of: 'normal' | 'line'; at: Vec3 } | null;
  /** The middle of a round edge, a point of a round face's axis abreast of its middle, or a corner itself. */
  centre?: Vec3;
}

/** Measures one thing, or between two; of the same solid or of two. Null if one of them is no longer there. */
export function measure(
  first: { solid: TaggedSolid; picked: Picked },
  second: { solid: TaggedSolid; picked: Picked } | null,
): Measured | null {
  const { kernel } = first.solid;
  return scoped((scope) => {
    const a = found(scope, first.solid, first.picked);
    const b = second && found(scope, second.solid, second.picked);
    if (!a || (second && !b)) return null;
    if (!b) {
      const wallMm = first.picked.kind === 'face' ? wallAt(first.solid, a.shape, first.picked.near) : null;
      return { things: [a.thing], distance: null, centres: null, angle: null, wallMm };
    }
    return {
      things: [a.thing, b.thing],
      distance: closestPoints(kernel, scope, a.shape, b.shape),
      centres: centresApart(a, b),
      angle: angleBetween(a.way, b.way),
      wallMm: null,
    };
  });
}

/** An edge that begins nearer than this to the foot of a way across is its other end, mm. */
const AT_FOOT_MM = 1e-4;

function centresApart(a: Found, b: Found): Measured['centres'] {
  if (!a.centre || !b.centre || !(a.way ?? b.way)) return null;
  const [from, to] = [a.centre, b.centre];
  const direction = (a.way ?? b.way)!.at;
  const isParallel = !a.way || !b.way || Math.hypot(...cross(a.way.at, b.way.at)) < SAME_ANGLE;
  // What is along an axis is no distance from it.
  const end = isParallel ? along(to, direction, -dot(minus(to, from), direction)) : to;
  return { mm: Math.hypot(...minus(end, from)), from, to: end };
}

/** The smallest room between two solids, with its ends; and the volume they have in common, if they overlap. */
export function clearance(
  one: TaggedSolid,
  other: TaggedSolid,
): { mm: number; from: Vec3; to: Vec3; overlapMm3: number } | null {
  const { kernel } = one;
  return scoped((scope) => {
    const distance = closestPoints(kernel, scope, one.shape, other.shape);
    if (!distance) return null;
    if (distance.mm > KERNEL_MM) return { ...distance, overlapMm3: 0 };
    const common = scope.keep(new kernel.BRepAlgoAPI_Common(one.shape, other.shape));
    const shared = scope.keep(common.Shape());
    return { ...distance, overlapMm3: Math.max(0, volumeWithin(kernel, shared)) };
  });
}

function found(scope: Scope, solid: TaggedSolid, picked: Picked): Found | null {
  const { kernel } = solid;
  if (picked.kind === 'corner') return cornerFound(kernel, scope, solid.shape, picked.near);
  const candidates =
    picked.kind === 'face' ? solid.facesTagged(picked.tag) : edgesBetween(scope, solid, ...picked.tags);
  if (candidates.length === 0) return null;
  const vertex = pointShape(kernel, scope, picked.near);
  const nearest = candidates
    .map((shape) => ({ shape, mm: closestPoints(kernel, scope, vertex, shape)?.mm ?? Infinity }))
    .reduce((best, next) => (next.mm < best.mm ? next : best)).shape;
  return picked.kind === 'face' ? faceFound(kernel, scope, nearest) : edgeFound(kernel, scope, nearest);
}

/** The corner of a solid that is nearest to a point. */
function cornerFound(kernel: Kernel, scope: Scope, solid: Shape, near: Vec3): Found | null {
  const corners = partsOf(kernel, scope, solid, 'TopAbs_VERTEX').map((shape) => {
    const point = scope.keep(kernel.BRep_Tool.Pnt(scope.keep(kernel.TopoDS.Vertex(shape))));
    return { shape, at: coordinatesOf(point) };
  });
  const away = ({ at }: { at: Vec3 }) => Math.hypot(...minus(at, near));
  const [first, ...others] = corners;
  if (!first) return null;
  const { shape, at } = others.reduce((best, next) => (away(next) < away(best) ? next : best), first);
  return { shape, thing: { kind: 'corner', at }, way: null, centre: at };
}

function faceFound(kernel: Kernel, scope: Scope, shape: Shape): Found {
  const areaMm2 = faceArea(kernel, shape);
  const plane = planeOf(kernel, shape);
  if (plane) return { shape, thing: { kind: 'plane', areaMm2 }, way: { of: 'normal', at: plane.normal } };
  const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(shape)), true));
  if (surface.GetType() !== 'GeomAbs_Cylinder')
    return { shape, thing: { kind: 'surface', areaMm2 }, way: null };
  const cylinder = scope.keep(surface.Cylinder());
  const axis = scope.keep(scope.keep(cylinder.Axis()).Direction());
  return {
    shape,
    thing: { kind: 'cylinder', diameterMm: 2 * cylinder.Radius(), areaMm2 },
    way: { of: 'line', at: coordinatesOf(axis) },
    centre: axisMiddle(kernel, scope, shape, cylinder, coordinatesOf(axis)),
  };
}

/** The point of a cylinder's axis that is abreast of the middle of its face. */
function axisMiddle(
  kernel: Kernel,
  scope: Scope,
  face: Shape,
  cylinder: InstanceType<Kernel['gp_Cylinder']>,
  direction: Vec3,
): Vec3 {
  const location = scope.keep(cylinder.Location());
  const at: Vec3 = coordinatesOf(location);
  const properties = scope.keep(new kernel.GProp_GProps());
  kernel.BRepGProp.SurfaceProperties(face, properties, false, false);
  const middle = scope.keep(properties.CentreOfMass());
  return along(at, direction, dot(minus(coordinatesOf(middle), at), direction));
}

function edgeFound(kernel: Kernel, scope: Scope, shape: Shape): Found {
  const properties = scope.keep(new kernel.GProp_GProps());
  kernel.BRepGProp.LinearProperties(shape, properties, false, false);
  const lengthMm = properties.Mass();
  const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(shape))));
  const kind = curve.GetType();
  if (kind === 'GeomAbs_Line') {
    const way = scope.keep(curve.EvalDN(curve.FirstParameter(), 1));
    const at = unit(coordinatesOf(way));
    return { shape, thing: { kind: 'line', lengthMm }, way: { of: 'line', at } };
  }
  if (kind === 'GeomAbs_Circle') {
    const circle = scope.keep(curve.Circle());
    const axis = scope.keep(scope.keep(circle.Axis()).Direction());
    const centre = scope.keep(circle.Location());
    return {
      shape,
      thing: { kind: 'circle', diameterMm: 2 * circle.Radius(), lengthMm },
      way: { of: 'line', at: coordinatesOf(axis) },
      centre: coordinatesOf(centre),
    };
  }
  return { shape, thing: { kind: 'curve', lengthMm }, way: null };
}

/** Between 0 and a quarter turn, as a protractor reads it: a face counts by its plane, not by its normal. */
function angleBetween(a: Found['way'], b: Found['way']): number | null {
  if (!a || !b) return null;
  const cosine = Math.min(1, Math.abs(dot(a.at, b.at)));
  const between = Math.acos(cosine);
  return a.of === b.of ? between : Math.PI / 2 - between;
}

function pointShape(kernel: Kernel, scope: Scope, at: Vec3): Shape {
  const point = scope.keep(new kernel.gp_Pnt(...at));
  return scope.keep(scope.keep(new kernel.BRepBuilderAPI_MakeVertex(point)).Vertex());
}

/** Further than any part reaches, mm. */
const FAR_MM = 3000;

/** How much material there is under a point of a face, square to it. Null where it can't be told. */
function wallAt(solid: TaggedSolid, face: Shape, near: Vec3): number | null {
  const { kernel } = solid;
  return scoped((scope) => {
    const foot = closestPoints(kernel, scope, pointShape(kernel, scope, near), face)?.to;
    const normal = foot && outwardAt(kernel, scope, face, foot);
    if (!foot || !normal) return null;
    const end = along(foot, normal, -FAR_MM);
    const points = [foot, end].map((at) => scope.keep(new kernel.gp_Pnt(...at)));
    const ray = scope.keep(scope.keep(new kernel.BRepBuilderAPI_MakeEdge(points[0]!, points[1]!)).Edge());
    const inside = scope.keep(new kernel.BRepAlgoAPI_Common(ray, solid.shape));
    // Of the pieces of the ray that lie in material, the one that begins at the face.
    const walls = partsOf(kernel, scope, scope.keep(inside.Shape()), 'TopAbs_EDGE').flatMap((piece) => {
      const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(piece))));
      const ends = [curve.FirstParameter(), curve.LastParameter()].map((at) => {
        const point = scope.keep(curve.Value(at));
        return Math.hypot(...minus(coordinatesOf(point), foot));
      });
      return Math.min(...ends) < AT_FOOT_MM ? [Math.max(...ends)] : [];
    });
    return walls[0] ?? null;
  });
}

/** The way out of the solid at a point of a face: flat faces by their plane, cylinders from their axis. */
function outwardAt(kernel: Kernel, scope: Scope, face: Shape, at: Vec3): Vec3 | null {
  const plane = planeOf(kernel, face);
  if (plane) return plane.normal;
  const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
  if (surface.GetType() !== 'GeomAbs_Cylinder') return null;
  const axes = scope.keep(scope.keep(surface.Cylinder()).Position());
  const [location, direction] = [scope.keep(axes.Location()), scope.keep(axes.Direction())];
  const way: Vec3 = coordinatesOf(direction);
  const from = minus(at, coordinatesOf(location));
  const outward = unit(minus(from, along([0, 0, 0], way, dot(from, way))));
  const isHole = (face.Orientation() === 'TopAbs_REVERSED') === axes.Direct();
  return isHole ? along([0, 0, 0], outward, -1) : outward;
}
