import {
  distanceBetween,
  meetings,
  partsOf,
  spansOf,
  type Kernel,
  type Scope,
  type Shape,
  type TaggedSolid,
} from '@core/shaping/kernel';
import { cross, dot, type Vec3 } from '@core/foundations/vectors';
import { coordinatesOf, toLocal, type Frame, type SeenCurve, type SeenPiece } from '@core/shaping/part';

type Place = readonly [x: number, y: number];

/** What is shorter than this in the plane is seen from its end, mm. */
const POINT_MM = 1e-4;
/** A circle is square to a plane, or seen from its edge, within this sine. */
const SQUARE = 1e-7;
/** What is nearer to a face than this lies on it, mm. */
const ON_FACE_MM = 1e-6;
/** Points that a curve of no plain form is followed by: for each of its pieces, at least, and at most. */
const [A_SPAN, LEAST_POINTS, MOST_POINTS] = [4, 9, 60];

/**
 * An edge as it is seen square to a plane. A straight one is a line or a point; a round one a circle, an arc, or a line where it is seen from its edge;
 * any other goes smoothly through points of it.
 *
 * @param count points to follow it by; by its own pieces, if left out.
 */
export function seenCurve(
  kernel: Kernel,
  scope: Scope,
  edge: Shape,
  frame: Frame,
  count?: number,
): SeenCurve {
  const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
  const [first, last] = [curve.FirstParameter(), curve.LastParameter()];
  const spaceAt = (parameter: number): Vec3 => coordinatesOf(scope.keep(curve.Value(parameter)));
  const flat = (place: Vec3): Place => {
    const [x, y] = toLocal(frame, place);
    return [x, y];
  };
  const at = (share: number): Place => flat(spaceAt(first + (last - first) * share));
  const [from, to] = [at(0), at(1)];
  const isClosed = isSameInSpace(spaceAt(first), spaceAt(last));
  const lineOr = (a: Place, b: Place): SeenCurve =>
    Math.hypot(b[0] - a[0], b[1] - a[1]) < POINT_MM
      ? { kind: 'point', at: a }
      : { kind: 'line', from: a, to: b };
  const type = curve.GetType();
  if (type === 'GeomAbs_Line') return lineOr(from, to);
  if (type === 'GeomAbs_Circle') {
    const circle = scope.keep(curve.Circle());
    const position = scope.keep(circle.Position());
    const axis = coordinatesOf(scope.keep(position.Direction()));
    const middle = coordinatesOf(scope.keep(circle.Location()));
    const radius = circle.Radius();
    const aside = cross(axis, frame.z);
    if (Math.hypot(...aside) < SQUARE)
      return isClosed
        ? { kind: 'circle', middle: flat(middle), radius }
        : { kind: 'arc', from, via: at(0.5), to };
    if (Math.abs(dot(axis, frame.z)) < SQUARE) {
      // From its edge: as far as its points reach along the line that it is seen as, at its ends or where it turns back.
      const along = (way: Vec3) => dot(way, aside);
      const turnsAt = Math.atan2(
        along(coordinatesOf(scope.keep(position.YDirection()))),
        along(coordinatesOf(scope.keep(position.XDirection()))),
      );
      const turns = Array.from({ length: 9 }, (_, index) => turnsAt + (index - 4) * Math.PI).filter(
        (turn) => turn > first && turn < last,
      );
      const places = [...turns, first, last].map(spaceAt);
      const reach = places.map(along);
      return lineOr(
        flat(places[reach.indexOf(Math.min(...reach))]!),
        flat(places[reach.indexOf(Math.max(...reach))]!),
      );
    }
  }
  const spans = spansOf(kernel, scope, curve).length - 1;
  const pieces = count ?? Math.min(MOST_POINTS, Math.max(LEAST_POINTS, A_SPAN * spans));
  const points = Array.from({ length: pieces }, (_, index) => at(index / (isClosed ? pieces : pieces - 1)));
  const spanMm = Math.max(...points.map(([x, y]) => Math.hypot(x - from[0], y - from[1])));
  if (spanMm < POINT_MM) return { kind: 'point', at: from };
  // A curve that is seen from its edge goes to and fro along a line.
  const straight = straightened(points, spanMm);
  return straight ? lineOr(...straight) : { kind: 'spline', points, closed: isClosed };
}

const isSameInSpace = (a: Vec3, b: Vec3): boolean =>
  Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]) < POINT_MM;

/** Both ends of points that lie in line within a ten-thousandth of a millimetre; null for others. */
function straightened(points: readonly Place[], spanMm: number): [Place, Place] | null {
  const from = points[0]!;
  const far = points.find(([x, y]) => Math.hypot(x - from[0], y - from[1]) === spanMm)!;
  const [ux, uy] = [(far[0] - from[0]) / spanMm, (far[1] - from[1]) / spanMm];
  const off = points.map(([x, y]) => Math.abs((x - from[0]) * uy - (y - from[1]) * ux));
  if (Math.max(...off) > POINT_MM) return null;
  const along = points.map(([x, y]) => (x - from[0]) * ux + (y - from[1]) * uy);
  return [points[along.indexOf(Math.min(...along))]!, points[along.indexOf(Math.max(...along))]!];
}

/** The middle of an edge, in space. */
function middleOf(kernel: Kernel, scope: Scope, edge: Shape): Vec3 {
  const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
  return coordinatesOf(scope.keep(curve.Value((curve.FirstParameter() + curve.LastParameter()) / 2)));
}

/** Lines in which a plane cuts the faces of a solid, each with the face that it is on. */
export function cutsOf(
  scope: Scope,
  { kernel, shape }: Pick<TaggedSolid, 'kernel' | 'shape'>,
  frame: Frame,
): { edge: Shape; face: Shape }[] {
  const point = scope.keep(new kernel.gp_Pnt(...frame.origin));
  const way = scope.keep(new kernel.gp_Dir(...frame.z));
  const plane = scope.keep(new kernel.gp_Pln(point, way));
  const section = scope.keep(new kernel.BRepAlgoAPI_Section(shape, plane, false));
  section.Build(scope.keep(new kernel.Message_ProgressRange()));
  if (!section.IsDone()) return [];
  return partsOf(kernel, scope, scope.keep(section.Shape()), 'TopAbs_EDGE').flatMap((edge) => {
    const found = scope.keep(new kernel.TopoDS_Shape());
    if (section.HasAncestorFaceOn1(edge, found)) return [{ edge, face: found }];
    // Along a seam of one face it cuts that. What lies between two faces is an edge of the solid, and no cut through a face.
    const at = scope.keep(new kernel.gp_Pnt(...middleOf(kernel, scope, edge)));
    const vertex = scope.keep(scope.keep(new kernel.BRepBuilderAPI_MakeVertex(at)).Vertex());
    const [face, other] = partsOf(kernel, scope, shape, 'TopAbs_FACE').filter(
      (one) => distanceBetween(kernel, vertex, one) < ON_FACE_MM,
    );
    return face && !other ? [{ edge, face }] : [];
  });
}

/** All of a solid that a drawing in a plane can follow: its edges, and where the plane cuts its faces. */
export function seenOf(scope: Scope, solid: TaggedSolid, frame: Frame): SeenPiece[] {
  const { kernel } = solid;
  const pieceOf = (edge: Shape, of: (near: Vec3) => SeenPiece['of']): SeenPiece => {
    const near = middleOf(kernel, scope, edge);
    return {
      of: of(near),
      curve: seenCurve(kernel, scope, edge, frame),
      offMm: Math.abs(toLocal(frame, near)[2]),
    };
  };
  const edges = meetings(scope, solid).map(({ edge, origins, others }) =>
    pieceOf(edge, (near) => ({ edge: { tags: [origins[0]!, others[0]!], near: [...near] } })),
  );
  const origins = solid.originMap();
  const cuts = cutsOf(scope, solid, frame).flatMap(({ edge, face }) => {
    const [tag] = origins.get(face) ?? [];
    return tag ? [pieceOf(edge, (near) => ({ cut: { tag, near: [...near] } }))] : [];
  });
  return [...edges, ...cuts];
}
