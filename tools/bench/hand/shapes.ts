import type { Kernel, Shape } from '@core/shaping/kernel';

import type { ByHand } from './byHand';

export type Point = readonly [x: number, y: number, z: number];
type Flat = readonly [number, number];

/** Where an outline goes to next: straight, or by an arc. */
export type Piece = Flat | { via: Flat; to: Flat };

/** Where an outline lies. */
export type Place = (at: Flat) => Point;

export const level =
  (z: number): Place =>
  ([x, y]) => [x, y, z];

/** Seen from the front; x and z. */
export const upright =
  (y: number): Place =>
  ([x, z]) => [x, y, z];

/** Seen from the side; y and z. */
export const sideways =
  (x: number): Place =>
  ([y, z]) => [x, y, z];

type Wire = InstanceType<Kernel['TopoDS_Wire']>;

/** A closed line, which begins where it ends, or an open one from its first point on. */
export function wireOf(hand: ByHand, pieces: readonly Piece[], place: Place, isClosed = true): Wire {
  const { kernel } = hand;
  const wire = hand.keep(new kernel.BRepBuilderAPI_MakeWire());
  const point = (at: Flat) => hand.keep(new kernel.gp_Pnt(...place(at)));
  const ends = pieces.map((piece) => ('to' in piece ? piece.to : piece));
  for (const [index, piece] of pieces.entries()) {
    if (index === 0 && !isClosed) continue;
    const from = ends.at(index - 1)!;
    if ('to' in piece) {
      const arc = hand.keep(new kernel.GC_MakeArcOfCircle(point(from), point(piece.via), point(piece.to)));
      const edge = hand.keep(new kernel.BRepBuilderAPI_MakeEdge(hand.keep(arc.Value())));
      wire.Add(hand.keep(edge.Edge()));
    } else {
      const edge = hand.keep(new kernel.BRepBuilderAPI_MakeEdge(point(from), point(piece)));
      wire.Add(hand.keep(edge.Edge()));
    }
  }
  return hand.keep(wire.Wire());
}

function faceWithin(hand: ByHand, wire: Wire) {
  return hand.keep(hand.keep(new hand.kernel.BRepBuilderAPI_MakeFace(wire, true)).Face());
}

/** An outline drawn out along a way. */
export function prism(hand: ByHand, pieces: readonly Piece[], place: Place, way: Point): Shape {
  const face = faceWithin(hand, wireOf(hand, pieces, place));
  const along = hand.keep(new hand.kernel.gp_Vec(...way));
  return hand.keep(hand.keep(new hand.kernel.BRepPrimAPI_MakePrism(face, along, false, true)).Shape());
}

function axes(hand: ByHand, at: Point, way: Point) {
  const { kernel } = hand;
  return hand.keep(
    new kernel.gp_Ax2(hand.keep(new kernel.gp_Pnt(...at)), hand.keep(new kernel.gp_Dir(...way))),
  );
}

/** An outline, its x the distance from an upright axis, turned all the way round it. */
export function spun(hand: ByHand, pieces: readonly Piece[], [x, y]: Flat = [0, 0]): Shape {
  const { kernel } = hand;
  const face = faceWithin(
    hand,
    wireOf(hand, pieces, ([out, z]) => [x + out, y, z]),
  );
  const origin = hand.keep(new kernel.gp_Pnt(x, y, 0));
  const axis = hand.keep(new kernel.gp_Ax1(origin, hand.keep(new kernel.gp_Dir(0, 0, 1))));
  const maker = new kernel.BRepPrimAPI_MakeRevol(face, axis, 2 * Math.PI, true);
  return hand.keep(hand.keep(maker).Shape());
}

/** A block from one corner to the opposite one. */
export function block(hand: ByHand, low: Point, high: Point): Shape {
  const { kernel } = hand;
  const [a, b] = [low, high].map((at) => hand.keep(new kernel.gp_Pnt(...at)));
  return hand.keep(hand.keep(new kernel.BRepPrimAPI_MakeBox(a!, b!)).Shape());
}

export const ball = (hand: ByHand, at: Point, radius: number): Shape =>
  hand.keep(hand.keep(new hand.kernel.BRepPrimAPI_MakeSphere(axes(hand, at, [0, 0, 1]), radius)).Shape());

/** A ring that lies flat, by the radius of its middle line and that of its section. */
export const ring = (hand: ByHand, at: Point, radius: number, section: number): Shape =>
  hand.keep(
    hand.keep(new hand.kernel.BRepPrimAPI_MakeTorus(axes(hand, at, [0, 0, 1]), radius, section)).Shape(),
  );

/** A round rod along a line that begins upwards. */
export function rod(hand: ByHand, pieces: readonly Piece[], place: Place, radius: number): Shape {
  const { kernel } = hand;
  const begins = place(pieces[0] as Flat);
  const circle = hand.keep(new kernel.gp_Circ(axes(hand, begins, [0, 0, 1]), radius));
  const edge = hand.keep(hand.keep(new kernel.BRepBuilderAPI_MakeEdge(circle)).Edge());
  const wire = hand.keep(hand.keep(new kernel.BRepBuilderAPI_MakeWire(edge)).Wire());
  const spine = wireOf(hand, pieces, place, false);
  const maker = new kernel.BRepOffsetAPI_MakePipe(spine, faceWithin(hand, wire));
  return hand.keep(hand.keep(maker).Shape());
}

/** An oval about the upright axis. */
export function oval(hand: ByHand, z: number, long: number, broad: number): Wire {
  const { kernel } = hand;
  const along = hand.keep(
    new kernel.gp_Ax2(
      hand.keep(new kernel.gp_Pnt(0, 0, z)),
      hand.keep(new kernel.gp_Dir(0, 0, 1)),
      hand.keep(new kernel.gp_Dir(1, 0, 0)),
    ),
  );
  const ellipse = hand.keep(new kernel.gp_Elips(along, long / 2, broad / 2));
  const edge = hand.keep(hand.keep(new kernel.BRepBuilderAPI_MakeEdge(ellipse)).Edge());
  return hand.keep(hand.keep(new kernel.BRepBuilderAPI_MakeWire(edge)).Wire());
}

/** A solid straight from outline to outline. */
export function ruled(hand: ByHand, wires: readonly Wire[]): Shape {
  const maker = hand.keep(new hand.kernel.BRepOffsetAPI_ThruSections(true, true, 1e-6));
  for (const wire of wires) maker.AddWire(wire);
  maker.Build(hand.keep(new hand.kernel.Message_ProgressRange()));
  return hand.keep(maker.Shape());
}

/** What lies within a line, drawn out upwards. */
export function raised(hand: ByHand, wire: Wire, height: number): Shape {
  const way = hand.keep(new hand.kernel.gp_Vec(0, 0, height));
  const maker = new hand.kernel.BRepPrimAPI_MakePrism(faceWithin(hand, wire), way, false, true);
  return hand.keep(hand.keep(maker).Shape());
}

/** Emptied to a wall, open where it is flat at a height. */
export function emptied(hand: ByHand, shape: Shape, wall: number, openAt: number): Shape {
  const { kernel } = hand;
  const open = hand.keep(new kernel.NCollection_List_TopoDS_Shape());
  const faces = hand.keep(new kernel.TopExp_Explorer(shape, 'TopAbs_FACE', 'TopAbs_SHAPE'));
  for (; faces.More(); faces.Next()) {
    const face = hand.keep(faces.Current());
    const surface = hand.keep(new kernel.BRepAdaptor_Surface(hand.keep(kernel.TopoDS.Face(face)), true));
    if (surface.GetType() !== 'GeomAbs_Plane') continue;
    const plane = hand.keep(surface.Plane());
    const isLevel = Math.abs(hand.keep(hand.keep(plane.Axis()).Direction()).Z()) > 0.999;
    if (isLevel && Math.abs(hand.keep(plane.Location()).Z() - openAt) < 1e-6) open.Append(face);
  }
  const maker = hand.keep(new kernel.BRepOffsetAPI_MakeThickSolid());
  const range = () => hand.keep(new kernel.Message_ProgressRange());
  maker.MakeThickSolidByJoin(
    shape,
    open,
    -wall,
    1e-3,
    'BRepOffset_Skin',
    false,
    false,
    'GeomAbs_Intersection',
    false,
    range(),
  );
  maker.Build(range());
  return hand.solidOf(hand.keep(maker.Shape()));
}

/** A hole down from a height with a wider mouth: straight as deep as told, or a countersink of 90°. */
export function headedHole(
  hand: ByHand,
  [x, y]: Flat,
  top: number,
  low: number,
  hole: number,
  head: { across: number; deep: number | 'sunk' },
): Shape {
  const [narrow, wide] = [hole / 2, head.across / 2];
  const shoulder: Flat[] =
    head.deep === 'sunk'
      ? [[narrow, top - (wide - narrow)]]
      : [
          [wide, top - head.deep],
          [narrow, top - head.deep],
        ];
  return spun(
    hand,
    [[0, low], [narrow, low], ...shoulder.reverse(), [wide, top], [wide, top + 1], [0, top + 1]],
    [x, y],
  );
}

export const rectangle = (long: number, broad: number, x = 0, y = 0): Flat[] => [
  [x + long / 2, y - broad / 2],
  [x + long / 2, y + broad / 2],
  [x - long / 2, y + broad / 2],
  [x - long / 2, y - broad / 2],
];

/** A rectangle with round ends, along x. */
export function slot(long: number, broad: number, x = 0, y = 0): Piece[] {
  const [half, r] = [(long - broad) / 2, broad / 2];
  return [
    [x + half, y - r],
    { via: [x + half + r, y], to: [x + half, y + r] },
    [x - half, y + r],
    { via: [x - half - r, y], to: [x - half, y - r] },
  ];
}

/** Six sides, over its flats. */
export const hexagon = (flats: number): Flat[] =>
  Array.from({ length: 6 }, (_, corner): Flat => {
    const turn = (corner * Math.PI) / 3;
    return [(flats / Math.sqrt(3)) * Math.cos(turn), (flats / Math.sqrt(3)) * Math.sin(turn)];
  });

/** So many points evenly round the axis, the first to the right. */
export const round = (count: number, radius: number): Flat[] =>
  Array.from({ length: count }, (_, index): Flat => {
    const turn = (2 * Math.PI * index) / count;
    return [radius * Math.cos(turn), radius * Math.sin(turn)];
  });

export const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;
