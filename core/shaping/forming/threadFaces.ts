import { partsOf, planeOf, type Kernel, type Scope, type Shape } from '@core/shaping/kernel';
import { KernelRefusal } from '@core/shaping/part';

type Edge = InstanceType<Kernel['TopoDS_Edge']>;
type Surface = InstanceType<Kernel['Geom_Surface']>;

/** A place in the two parameters of a surface. */
type Place = readonly [u: number, v: number];

/** Ends of faces that lie within this of each other are sewn, mm. */
const SEWN_MM = 1e-5;
/** The surface of a strip is so much longer at both ends than the strip, radians. */
const STRIP_BEYOND = 0.3;
/** What helices may be off in space, mm. */
const HELIX_MM = 1e-6;
const CURVE_MM = 1e-8;

/**
 * How a thread ends, at a height over its foot, mm: level; at 45° inwards to the core, as a bolt does; or at 45° outwards to past the crest at the height of a hole's
 * mouth, and on from there.
 */
export type ThreadEnd = { up: number } & ({ is: 'level' | 'eased' } | { is: 'mouth'; mouth: number });

/** One of the four helices that a thread runs along, from below: at a radius, so far above the middle of the ridge, mm. */
export interface Helix {
  radius: number;
  up: number;
  /** At which angles it begins and ends, radians. */
  from: number;
  to: number;
  /** Where edges along it end in between, radians. */
  splits: readonly number[];
}

/** Angles nearer to each other than this are one. */
const APART = 1e-6;

/** Up or down. */
export type UpOrDown = 1 | -1;

/** What an end is made of: the edges of the strips there, flanks, crest and root in order, and the angles of the helices, radians. */
export interface EndOf {
  strips: readonly Edge[];
  angles: readonly number[];
  radii: { core: number; crest: number; wide: number };
}

/** Faces of a thread as they are made, each with edges of its own. */
export class ThreadFaces {
  readonly #kernel: Kernel;
  readonly #scope: Scope;
  readonly #at: readonly [number, number, number];
  readonly #pitch: number;
  readonly #faces: Shape[] = [];

  constructor(kernel: Kernel, scope: Scope, at: readonly [number, number, number], pitch: number) {
    this.#kernel = kernel;
    this.#scope = scope;
    this.#at = at;
    this.#pitch = pitch;
  }

  /**
   * What lies between a helix and the next one above it, as faces of some turns each; its edges at both ends. Edges along a helix end where those of the strip on its other
   * side do.
   *
   * @param breaks angles at which all strips are divided, rising, radians.
   */
  strip(lower: Helix, upper: Helix, breaks: readonly number[]): { begin: Edge; end: Edge } {
    const ends: Edge[] = [];
    for (let piece = 0; piece <= breaks.length; piece += 1) {
      const part = (helix: Helix) => ({
        ...helix,
        from: breaks[piece - 1] ?? helix.from,
        to: breaks[piece] ?? helix.to,
      });
      const [low, high] = [part(lower), part(upper)];
      const { surface, place } = this.#ruled(low, high);
      const along = (helix: Helix) => {
        const inner = helix.splits.filter((angle) => angle > helix.from + APART && angle < helix.to - APART);
        return [helix.from, ...inner, helix.to].map((angle) => place(helix, angle));
      };
      const [below, above] = [along(low), along(high).reverse()];
      const edges = this.#face(surface, [...below, ...above]);
      if (piece === 0) ends.push(edges.at(-1)!);
      if (piece === breaks.length) ends.push(edges[below.length - 1]!);
    }
    return { begin: ends[0]!, end: ends[1]! };
  }

  /** The skin at an end. */
  end(end: ThreadEnd, way: UpOrDown, of: EndOf): void {
    if (end.is === 'mouth') this.#disc(this.#mouth(end, way, of));
    else this.#disc(end.is === 'level' ? of.strips : [of.strips[3]!, this.#lead(end.up, way, of)]);
  }

  /** The cone that eases an end, narrower as it goes out; its edge round the core. */
  #lead(up: number, way: UpOrDown, { angles, radii }: EndOf): Edge {
    const { surface, slant } = this.#cone(up, -way as UpOrDown, radii.core);
    const [first, second, third, last] = angles as [number, number, number, number];
    const [, , , rim] = this.#face(surface, [
      [first, 0],
      [second, slant(radii.crest)],
      [third, slant(radii.crest)],
      [last, 0],
    ]);
    return rim!;
  }

  /** The cone of a mouth, wider as it goes out, beside the ridge and over its crest, and the wall beyond; its edges at the end. */
  #mouth({ up, mouth }: { up: number; mouth: number }, way: UpOrDown, { angles, radii }: EndOf): Edge[] {
    const { core, crest, wide } = radii;
    const { surface, slant } = this.#cone(mouth - way * (wide - core), way, core);
    const [first, second, third, last] = angles as [number, number, number, number];
    const before = second - 2 * Math.PI;
    this.#face(surface, [
      [first - 2 * Math.PI, 0],
      [last, 0],
      [third, slant(crest)],
      [third, slant(wide)],
      [before, slant(wide)],
      [before, slant(crest)],
    ]);
    this.#face(surface, [
      [third, slant(crest)],
      [second, slant(crest)],
      [second, slant(wide)],
      [third, slant(wide)],
    ]);
    const { surface: wall } = this.#round(wide);
    return [
      [before, third],
      [third, second],
    ].map(([from, to]) => {
      const [, , rim] = this.#face(wall, [
        [from!, mouth],
        [to!, mouth],
        [to!, up],
        [from!, up],
      ]);
      return rim!;
    });
  }

  /** A cone at 45° that is as wide as the core at a height and wider on the way up or down; its second parameter by the radius. */
  #cone(up: number, way: UpOrDown, core: number) {
    const surface = this.#scope.keep(
      new this.#kernel.Geom_ConicalSurface(this.#axes(up), (way * Math.PI) / 4, core),
    );
    return { surface, slant: (radius: number) => way * (radius - core) * Math.SQRT2 };
  }

  /** A level face within edges that close round it. */
  #disc(edges: readonly Edge[]): void {
    const face = this.#scope.keep(new this.#kernel.BRepBuilderAPI_MakeFace(this.#wire(edges), true));
    if (!face.IsDone()) throw new KernelRefusal('an end of the thread failed');
    this.#faces.push(this.#scope.keep(face.Face()));
  }

  /** All of them as one solid. @param middle a height between its ends, mm. */
  sewn(middle: number): Shape {
    const kernel = this.#kernel;
    const scope = this.#scope;
    const sewing = scope.keep(new kernel.BRepBuilderAPI_Sewing(SEWN_MM));
    for (const face of this.#faces) sewing.Add(face);
    sewing.Perform(scope.keep(new kernel.Message_ProgressRange()));
    const shell = scope.keep(sewing.SewedShape());
    if (sewing.NbFreeEdges() > 0 || shell.ShapeType() !== 'TopAbs_SHELL')
      throw new KernelRefusal('the skin of the thread is open');
    const maker = scope.keep(new kernel.BRepBuilderAPI_MakeSolid(scope.keep(kernel.TopoDS.Shell(shell))));
    const solid = maker.Solid();
    // Its upper end looks up.
    const planes = partsOf(kernel, scope, solid, 'TopAbs_FACE').flatMap(
      (face) => planeOf(kernel, face) ?? [],
    );
    const top = planes.find(({ normal, at }) => at[2] > middle && normal[2] !== 0);
    if (!top) throw new KernelRefusal('the thread has no upper end');
    if (top.normal[2] < 0) solid.Reverse();
    return solid;
  }

  #axes(up: number) {
    const kernel = this.#kernel;
    const scope = this.#scope;
    const [x, y, z] = this.#at;
    return scope.keep(
      new kernel.gp_Ax3(
        scope.keep(new kernel.gp_Pnt(x, y, z + up)),
        scope.keep(new kernel.gp_Dir(0, 0, 1)),
        scope.keep(new kernel.gp_Dir(1, 0, 0)),
      ),
    );
  }

  #height = (helix: Helix, angle: number) => helix.up + (this.#pitch * angle) / (2 * Math.PI);

  #round(radius: number) {
    const surface = this.#scope.keep(new this.#kernel.Geom_CylindricalSurface(this.#axes(0), radius));
    return { surface, place: (helix: Helix, angle: number): Place => [angle, this.#height(helix, angle)] };
  }

  /**
   * The surface of straight lines from a helix to the next one, at the same angle. Crest and root too: of a cylinder with more than one turn of a strip on it, the kernel
   * can't tell which turn a place belongs to.
   */
  #ruled(lower: Helix, upper: Helix) {
    const kernel = this.#kernel;
    const scope = this.#scope;
    const [from, to] = [
      Math.min(lower.from, upper.from) - STRIP_BEYOND,
      Math.max(lower.to, upper.to) + STRIP_BEYOND,
    ];
    const through = scope.keep(new kernel.BRepOffsetAPI_ThruSections(false, true, HELIX_MM));
    through.CheckCompatibility(false);
    for (const helix of [lower, upper]) {
      const { surface, place } = this.#round(helix.radius);
      const edge = this.#edge(surface, place(helix, from), place(helix, to));
      through.AddWire(scope.keep(scope.keep(new kernel.BRepBuilderAPI_MakeWire(edge)).Wire()));
    }
    through.Build(scope.keep(new kernel.Message_ProgressRange()));
    if (!through.IsDone()) throw new KernelRefusal('a strip of the thread failed');
    const [face] = partsOf(kernel, scope, scope.keep(through.Shape()), 'TopAbs_FACE');
    const flat = scope.keep(kernel.TopoDS.Face(face!));
    const adaptor = scope.keep(new kernel.BRepAdaptor_Surface(flat, true));
    const [u0, u1] = [adaptor.FirstUParameter(), adaptor.LastUParameter()];
    const [v0, v1] = [adaptor.FirstVParameter(), adaptor.LastVParameter()];
    return {
      surface: scope.keep(kernel.BRep_Tool.Surface(flat)),
      place: (helix: Helix, angle: number): Place => [
        u0 + ((u1 - u0) * (angle - from)) / (to - from),
        helix === lower ? v0 : v1,
      ],
    };
  }

  /** A face by its corners, with straight edges in the parameters of its surface; its edges in order. */
  #face(surface: Surface, corners: readonly Place[]): Edge[] {
    const kernel = this.#kernel;
    const scope = this.#scope;
    const edges = corners.map((corner, index) =>
      this.#edge(surface, corner, corners[(index + 1) % corners.length]!),
    );
    const face = scope.keep(new kernel.BRepBuilderAPI_MakeFace(surface, this.#wire(edges), true));
    if (!face.IsDone()) throw new KernelRefusal('a face of the thread failed');
    this.#faces.push(scope.keep(face.Face()));
    return edges;
  }

  #wire(edges: readonly Edge[]) {
    const maker = this.#scope.keep(new this.#kernel.BRepBuilderAPI_MakeWire());
    for (const edge of edges) maker.Add(edge);
    return this.#scope.keep(maker.Wire());
  }

  #edge(surface: Surface, [u, v]: Place, [u1, v1]: Place): Edge {
    const kernel = this.#kernel;
    const scope = this.#scope;
    const length = Math.hypot(u1 - u, v1 - v);
    const line = scope.keep(
      new kernel.Geom2d_Line(
        scope.keep(new kernel.gp_Pnt2d(u, v)),
        scope.keep(new kernel.gp_Dir2d((u1 - u) / length, (v1 - v) / length)),
      ),
    );
    const edge = scope.keep(scope.keep(new kernel.BRepBuilderAPI_MakeEdge(line, surface, 0, length)).Edge());
    kernel.BRepLib.BuildCurves3d(edge, CURVE_MM, 'GeomAbs_C1', 14, 1000);
    return edge;
  }
}
