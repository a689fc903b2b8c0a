import { SCREEN_QUALITY } from '@core/shaping/part';
import type { Kernel, Shape } from '@core/shaping/kernel';

/** Parts by name, as one would write them straight against the kernel, from their sizes. They give the volume, mm³. */
export type HandMade = Readonly<
  Record<string, (hand: ByHand, sizes: Readonly<Record<string, number>>) => number>
>;

type Point = readonly [x: number, y: number, z: number];

/**
 * The kernel as one would use it straight, with the same checks of every solid as the recipe makes, but without names
 * of faces, a cache, or sentences for what can go wrong.
 */
export class ByHand {
  #garbage: { delete(): void }[] = [];
  #cuts: { Clear(): void }[] = [];

  constructor(readonly kernel: Kernel) {}

  keep<T extends { delete(): void }>(object: T): T {
    this.#garbage.push(object);
    return object;
  }

  cylinder(x: number, y: number, z: number, radius: number, height: number): Shape {
    const { kernel } = this;
    const up = this.keep(new kernel.gp_Dir(0, 0, 1));
    const axes = this.keep(new kernel.gp_Ax2(this.keep(new kernel.gp_Pnt(x, y, z)), up));
    return this.keep(this.keep(new kernel.BRepPrimAPI_MakeCylinder(axes, radius, height)).Shape());
  }

  /** A plate about the origin, standing on z = 0, its corners rounded. */
  plate(length: number, breadth: number, height: number, corner: number): Shape {
    const { kernel } = this;
    const wire = this.keep(new kernel.BRepBuilderAPI_MakeWire());
    const point = (x: number, y: number) => this.keep(new kernel.gp_Pnt(x, y, 0));
    const [x, y] = [length / 2, breadth / 2];
    for (let side = 0; side < 4; side += 1) {
      const [cos, sin] = [
        Math.round(Math.cos((side * Math.PI) / 2)),
        Math.round(Math.sin((side * Math.PI) / 2)),
      ];
      const at = (out: number, along: number): [number, number] => [
        cos * out - sin * along,
        sin * out + cos * along,
      ];
      const [out, half] = side % 2 === 0 ? [x, y] : [y, x];
      const from = at(out, corner - half);
      const to = at(out, half - corner);
      const straight = this.keep(new kernel.BRepBuilderAPI_MakeEdge(point(...from), point(...to)));
      wire.Add(this.keep(straight.Edge()));
      const bulge = corner * (1 - Math.SQRT1_2);
      const arc = this.keep(
        new kernel.GC_MakeArcOfCircle(
          point(...to),
          point(...at(out - bulge, half - bulge)),
          point(...at(out - corner, half)),
        ),
      );
      const bent = this.keep(new kernel.BRepBuilderAPI_MakeEdge(this.keep(arc.Value())));
      wire.Add(this.keep(bent.Edge()));
    }
    const face = this.keep(new kernel.BRepBuilderAPI_MakeFace(this.keep(wire.Wire()), true));
    const up = this.keep(new kernel.gp_Vec(0, 0, height));
    const prism = this.keep(new kernel.BRepPrimAPI_MakePrism(this.keep(face.Face()), up, false, true));
    return this.keep(prism.Shape());
  }

  /** A loop from place to place, by an arc where there is one to go through, raised from z = 0. */
  raised(
    loop: readonly { from: readonly [number, number]; via?: readonly [number, number] }[],
    height: number,
  ): Shape {
    const { kernel } = this;
    const wire = this.keep(new kernel.BRepBuilderAPI_MakeWire());
    const point = ([x, y]: readonly [number, number]) => this.keep(new kernel.gp_Pnt(x, y, 0));
    for (const [index, { from, via }] of loop.entries()) {
      const to = loop[(index + 1) % loop.length]!.from;
      const edge = via
        ? new kernel.BRepBuilderAPI_MakeEdge(
            this.keep(this.keep(new kernel.GC_MakeArcOfCircle(point(from), point(via), point(to))).Value()),
          )
        : new kernel.BRepBuilderAPI_MakeEdge(point(from), point(to));
      wire.Add(this.keep(this.keep(edge).Edge()));
    }
    const face = this.keep(new kernel.BRepBuilderAPI_MakeFace(this.keep(wire.Wire()), true));
    const up = this.keep(new kernel.gp_Vec(0, 0, height));
    const prism = this.keep(new kernel.BRepPrimAPI_MakePrism(this.keep(face.Face()), up, false, true));
    return this.keep(prism.Shape());
  }

  /** A round bar from a point along a way, a unit vector. */
  bar(from: Point, way: Point, radius: number, length: number): Shape {
    const { kernel } = this;
    const axes = this.keep(
      new kernel.gp_Ax2(this.keep(new kernel.gp_Pnt(...from)), this.keep(new kernel.gp_Dir(...way))),
    );
    return this.keep(this.keep(new kernel.BRepPrimAPI_MakeCylinder(axes, radius, length)).Shape());
  }

  /** Somewhere else. */
  moved(shape: Shape, way: Point): Shape {
    const move = this.keep(new this.kernel.gp_Trsf());
    move.SetTranslation(this.keep(new this.kernel.gp_Vec(...way)));
    return this.#transformed(shape, move);
  }

  /** Turned half round about the x axis. */
  upsideDown(shape: Shape): Shape {
    const { kernel } = this;
    const turn = this.keep(new kernel.gp_Trsf());
    const origin = this.keep(new kernel.gp_Pnt(0, 0, 0));
    turn.SetRotation(this.keep(new kernel.gp_Ax1(origin, this.keep(new kernel.gp_Dir(1, 0, 0)))), Math.PI);
    return this.#transformed(shape, turn);
  }

  #transformed(shape: Shape, by: InstanceType<Kernel['gp_Trsf']>): Shape {
    return this.keep(this.keep(new this.kernel.BRepBuilderAPI_Transform(shape, by, true, false)).Shape());
  }

  /** Two that stand apart, as one. */
  together(...shapes: Shape[]): Shape {
    const { kernel } = this;
    const compound = this.keep(new kernel.TopoDS_Compound());
    const builder = this.keep(new kernel.TopoDS_Builder());
    builder.MakeCompound(compound);
    for (const shape of shapes) builder.Add(compound, shape);
    return compound;
  }

  cut(body: Shape, ...tools: Shape[]): Shape {
    const { kernel } = this;
    const operation = this.keep(new kernel.BRepAlgoAPI_Cut());
    operation.SetArguments(this.#list([body]));
    operation.SetTools(this.#list(tools));
    operation.Build(this.keep(new kernel.Message_ProgressRange()));
    this.#cuts.push(operation);
    return this.solidOf(this.keep(operation.Shape()));
  }

  #list(shapes: readonly Shape[]) {
    const made = this.keep(new this.kernel.NCollection_List_TopoDS_Shape());
    for (const shape of shapes) made.Append(shape);
    return made;
  }

  /** Joined, and faces that became one merged. */
  fuse(body: Shape, ...tools: Shape[]): Shape {
    const { kernel } = this;
    const operation = this.keep(new kernel.BRepAlgoAPI_Fuse());
    operation.SetArguments(this.#list([body]));
    operation.SetTools(this.#list(tools));
    operation.Build(this.keep(new kernel.Message_ProgressRange()));
    this.#cuts.push(operation);
    operation.SimplifyResult(true, true, 1e-4);
    return this.solidOf(this.keep(operation.Shape()));
  }

  /** Edges by what they are: the radius of a circle (null for others) and the height of both of their ends. */
  edges(shape: Shape, wanted: (radius: number | null, heights: [number, number]) => boolean): Shape[] {
    const { kernel } = this;
    const found: Shape[] = [];
    const explorer = this.keep(new kernel.TopExp_Explorer(shape, 'TopAbs_EDGE', 'TopAbs_SHAPE'));
    for (; explorer.More(); explorer.Next()) {
      const edge = this.keep(explorer.Current());
      const curve = this.keep(new kernel.BRepAdaptor_Curve(this.keep(kernel.TopoDS.Edge(edge))));
      const radius = curve.GetType() === 'GeomAbs_Circle' ? this.keep(curve.Circle()).Radius() : null;
      const heights = [curve.FirstParameter(), curve.LastParameter()].map((at) =>
        this.keep(curve.Value(at)).Z(),
      ) as [number, number];
      if (wanted(radius, heights) && !found.some((other) => other.IsSame(edge))) found.push(edge);
    }
    return found;
  }

  /** Edges by where they begin, where their middle is and where they end. */
  edgesAlong(shape: Shape, wanted: (points: readonly [Point, Point, Point]) => boolean): Shape[] {
    const { kernel } = this;
    const found: Shape[] = [];
    const explorer = this.keep(new kernel.TopExp_Explorer(shape, 'TopAbs_EDGE', 'TopAbs_SHAPE'));
    for (; explorer.More(); explorer.Next()) {
      const edge = this.keep(explorer.Current());
      const curve = this.keep(new kernel.BRepAdaptor_Curve(this.keep(kernel.TopoDS.Edge(edge))));
      const [from, to] = [curve.FirstParameter(), curve.LastParameter()];
      const points = [from, (from + to) / 2, to].map((at): Point => {
        const point = this.keep(curve.Value(at));
        return [point.X(), point.Y(), point.Z()];
      });
      const isNew = !found.some((other) => other.IsSame(edge));
      if (isNew && wanted(points as [Point, Point, Point])) found.push(edge);
    }
    return found;
  }

  circles(shape: Shape, radius: number, heights: number[]): Shape[] {
    return this.edges(
      shape,
      (found, [z]) =>
        found !== null &&
        Math.abs(found - radius) < 1e-6 &&
        heights.some((height) => Math.abs(height - z) < 1e-6),
    );
  }

  ease(shape: Shape, edges: Shape[], mm: number): Shape {
    return this.#dress(this.keep(new this.kernel.BRepFilletAPI_MakeChamfer(shape)), edges, mm);
  }

  round(shape: Shape, edges: Shape[], mm: number): Shape {
    return this.#dress(
      this.keep(new this.kernel.BRepFilletAPI_MakeFillet(shape, 'ChFi3d_Rational')),
      edges,
      mm,
    );
  }

  #dress(
    maker:
      InstanceType<Kernel['BRepFilletAPI_MakeChamfer']> | InstanceType<Kernel['BRepFilletAPI_MakeFillet']>,
    edges: Shape[],
    mm: number,
  ): Shape {
    for (const edge of edges) maker.Add(mm, this.keep(this.kernel.TopoDS.Edge(edge)));
    maker.Build(this.keep(new this.kernel.Message_ProgressRange()));
    return this.solidOf(this.keep(maker.Shape()));
  }

  /** The one solid of what an operation gave. */
  solidOf(shape: Shape): Shape {
    return this.keep(
      this.keep(new this.kernel.TopExp_Explorer(shape, 'TopAbs_SOLID', 'TopAbs_SHAPE')).Current(),
    );
  }

  /** A block about the axle line, its lower side at a height. */
  box(length: number, breadth: number, height: number, low = 0): Shape {
    const { kernel } = this;
    const corner = this.keep(new kernel.gp_Pnt(-length / 2, -breadth / 2, low));
    const maker = this.keep(new kernel.BRepPrimAPI_MakeBox(corner, length, breadth, height));
    return this.keep(maker.Shape());
  }

  /** Circles about an upright line, by their radius and heights. */
  circlesAt(shape: Shape, [x, y]: readonly [number, number], radius: number, heights: number[]): Shape[] {
    const { kernel } = this;
    return this.circles(shape, radius, heights).filter((edge) => {
      const curve = this.keep(new kernel.BRepAdaptor_Curve(this.keep(kernel.TopoDS.Edge(edge))));
      const centre = this.keep(this.keep(curve.Circle()).Location());
      return Math.hypot(centre.X() - x, centre.Y() - y) < 1e-6;
    });
  }

  /** A part that went through the same checks as after every step of a recipe. */
  checked(shape: Shape): Shape {
    this.check(shape);
    return shape;
  }

  check(shape: Shape): number {
    const { kernel } = this;
    const analyzer = this.keep(new kernel.BRepCheck_Analyzer(shape, true, false, false));
    if (!analyzer.IsValid()) throw new Error('not valid');
    const volume = this.keep(new kernel.GProp_GProps());
    kernel.BRepGProp.VolumeProperties(shape, volume, false, false, false);
    const shells = this.keep(new kernel.TopExp_Explorer(shape, 'TopAbs_SHELL', 'TopAbs_SHAPE'));
    if (!kernel.BRep_Tool.IsClosed(this.keep(shells.Current()))) throw new Error('not closed');
    const box = this.keep(new kernel.Bnd_Box());
    kernel.BRepBndLib.AddOptimal(shape, box, false, false);
    return volume.Mass();
  }

  /** The figures that are made of the finished part, and its triangles and edges for the screen. */
  finish(shape: Shape): number {
    const volume = this.check(shape);
    const { gapMm, angle: turn } = SCREEN_QUALITY;
    this.keep(this.kernel.ReplicadMeshExtractor.extract(shape, gapMm, turn, false));
    this.keep(this.kernel.ReplicadEdgeMeshExtractor.extract(shape, gapMm, turn));
    this.kernel.BRepTools.Clean(shape, true);
    this.kernel.BRepGProp.SurfaceProperties(shape, this.keep(new this.kernel.GProp_GProps()), false, false);
    this.#cuts.forEach((operation) => operation.Clear());
    this.#garbage.reverse().forEach((object) => object.delete());
    return volume;
  }
}
