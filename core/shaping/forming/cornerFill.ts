import {
  type Kernel,
  type Shape,
  broughtTo,
  framePlane,
  prismOf,
  turnedLoop,
  scoped,
  type Scope,
  type TaggedSolid,
  facesByEdge,
  partsOf,
  ShapeMap,
} from '@core/shaping/kernel';
import { pointLoop, type Point } from '@core/shaping/outline';
import { type Vec3, along, cross, dot, minus, unit } from '@core/foundations/vectors';
import { coordinatesOf, type Frame, plainPlacement, type FaceTag } from '@core/shaping/part';
import { isFullTurn } from '@core/foundations/tolerance';

import { edgeTurn, FLAT_SINE, type EdgeTurn } from './edgeTurn';

/**
 * What is missing between the plates of faces that are moved together: at edges that stand out when they move out, at
 * hollow ones when they move in, each plate ends beside the edge and the corner between them stays behind. Straight edges
 * get a bar with a kite for its section, round ones a ring; the corner is sharp as before. Edges of other forms get none.
 *
 * @param faces those that are moved, with their tags. @param mm out, or in if negative.
 */
export function cornerFills(
  kernel: Kernel,
  shape: Shape,
  faces: readonly (readonly [Shape, FaceTag])[],
  mm: number,
): TaggedSolid[] {
  return scoped((scope) => {
    const tags = new ShapeMap<FaceTag>(kernel);
    for (const [face, tag] of faces) tags.set(face, tag);
    const edges = facesByEdge(kernel, scope, shape);
    const isWhole = wholeCorners(kernel, scope, edges, tags);
    return [...edges.entries()].flatMap(([edge, [first, second]]) => {
      if (!first || !second || first.IsSame(second)) return [];
      const tag = tags.get(first);
      if (tag === undefined || tags.get(second) === undefined) return [];
      const turn = edgeTurn(kernel, edge, first, second);
      if (!turn || (mm > 0 ? turn.sine > -FLAT_SINE : turn.sine < FLAT_SINE)) return [];
      return fillAt(kernel, scope, edge, turn, { mm, tag, isWhole }) ?? [];
    });
  });
}

/** Whether all faces round a corner are moved: fills then reach round it. */
function wholeCorners(kernel: Kernel, scope: Scope, edges: ShapeMap<Shape[]>, tags: ShapeMap<FaceTag>) {
  const whole = new ShapeMap<boolean>(kernel);
  for (const [edge, faces] of edges.entries()) {
    const areMoved = faces.every((face) => tags.get(face) !== undefined);
    for (const corner of partsOf(kernel, scope, edge, 'TopAbs_VERTEX')) {
      whole.set(corner, areMoved && (whole.get(corner) ?? true));
    }
  }
  return (corner: Shape) => whole.get(corner) ?? false;
}

interface Filling {
  mm: number;
  tag: FaceTag;
  isWhole(corner: Shape): boolean;
}

function fillAt(
  kernel: Kernel,
  scope: Scope,
  edge: Shape,
  turn: EdgeTurn,
  filling: Filling,
): TaggedSolid | null {
  const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
  switch (curve.GetType()) {
    case 'GeomAbs_Line':
      return barAt(kernel, scope, edge, turn, filling);
    case 'GeomAbs_Circle':
      return ringAt(kernel, scope, curve, turn, filling);
    default:
      return null;
  }
}

/** Where two faces that both move by a length meet then, seen from where they meet now. */
const miter = ([a, b]: EdgeTurn['normals'], mm: number): Vec3 =>
  along([0, 0, 0], along(a, b, 1), mm / (1 + dot(a, b)));

function barAt(
  kernel: Kernel,
  scope: Scope,
  edge: Shape,
  { normals }: EdgeTurn,
  { mm, tag, isWhole }: Filling,
): TaggedSolid {
  const ends = partsOf(kernel, scope, edge, 'TopAbs_VERTEX').map((corner) => {
    const point = scope.keep(kernel.BRep_Tool.Pnt(scope.keep(kernel.TopoDS.Vertex(corner))));
    return { at: coordinatesOf(point), more: isWhole(corner) ? Math.abs(mm) : 0 };
  });
  const [start, end] = ends as [(typeof ends)[0], (typeof ends)[0]];
  const z = unit(minus(end.at, start.at));
  const x = unit(normals[0]);
  const frame: Frame = { origin: along(start.at, z, -start.more), x, y: cross(z, x), z };
  const flat = (direction: Vec3): Point => [dot(direction, frame.x), dot(direction, frame.y)];
  const corners = [
    [0, 0] as Point,
    flat(along([0, 0, 0], normals[0], mm)),
    flat(miter(normals, mm)),
    flat(along([0, 0, 0], normals[1], mm)),
  ];
  const length = Math.hypot(...minus(end.at, start.at)) + start.more + end.more;
  return prismOf(
    kernel,
    pointLoop(corners, 'fill'),
    framePlane(frame),
    along([0, 0, 0], z, length),
    () => tag,
  );
}

function ringAt(
  kernel: Kernel,
  scope: Scope,
  curve: InstanceType<Kernel['BRepAdaptor_Curve']>,
  { normals, at }: EdgeTurn,
  { mm, tag }: Filling,
): TaggedSolid | null {
  const circle = scope.keep(curve.Circle());
  const axes = scope.keep(circle.Position());
  const [x, z] = [coordinatesOf(scope.keep(axes.XDirection())), coordinatesOf(scope.keep(axes.Direction()))];
  const frame: Frame = { origin: coordinatesOf(scope.keep(axes.Location())), x, y: cross(z, x), z };
  const out = unit(minus(at, frame.origin));
  const inSection = (direction: Vec3): Point => [dot(direction, out), dot(direction, z)];
  const radius = circle.Radius();
  const beside = (normal: Vec3): Point => {
    const [far, up] = inSection(normal);
    // The plate of a cone ends level, beside the edge; that of a flat face above it.
    return Math.abs(far) < FLAT_SINE ? [0, mm * Math.sign(up)] : [mm / far, 0];
  };
  const corners = [
    [0, 0] as Point,
    beside(normals[0]),
    inSection(miter(normals, mm)),
    beside(normals[1]),
  ].map(([far, up]): Point => [radius + far, up]);
  if (corners.some(([far]) => far < 0)) return null;
  const [from, to] = [curve.FirstParameter(), curve.LastParameter()];
  const part = isFullTurn(to - from) ? undefined : { from, by: to - from };
  const stand = { ...plainPlacement(null), frame };
  return broughtTo(
    stand,
    turnedLoop(kernel, pointLoop(corners, 'fill'), [0, 0], () => tag, part),
  );
}
