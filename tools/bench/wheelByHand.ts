import type { Kernel, Shape } from '@core/solid';

/**
 * The demo wheel as one would write it straight against the kernel, with the same checks of every solid, but
 * without names of faces, a cache, or sentences for what can go wrong. The recipe is measured against this.
 */
export function wheelByHand(kernel: Kernel): number {
  const origin = new kernel.gp_Pnt(0, 0, 0);
  const up = new kernel.gp_Dir(0, 0, 1);
  const garbage: { delete(): void }[] = [origin, up];
  const keep = <T extends { delete(): void }>(object: T): T => {
    garbage.push(object);
    return object;
  };
  const cylinder = (z: number, radius: number, height: number): Shape => {
    const axes = keep(new kernel.gp_Ax2(keep(new kernel.gp_Pnt(0, 0, z)), up));
    return keep(keep(new kernel.BRepPrimAPI_MakeCylinder(axes, radius, height)).Shape());
  };
  const solidOf = (shape: Shape): Shape => {
    const explorer = keep(new kernel.TopExp_Explorer(shape, 'TopAbs_SOLID', 'TopAbs_SHAPE'));
    return keep(explorer.Current());
  };
  const cuts: { Clear(): void }[] = [];
  const cut = (body: Shape, tool: Shape): Shape => {
    const operation = keep(new kernel.BRepAlgoAPI_Cut(body, tool));
    cuts.push(operation);
    return solidOf(keep(operation.Shape()));
  };
  const circlesAt = (shape: Shape, radius: number, heights: number[]): Shape[] => {
    const found: Shape[] = [];
    const explorer = keep(new kernel.TopExp_Explorer(shape, 'TopAbs_EDGE', 'TopAbs_SHAPE'));
    for (; explorer.More(); explorer.Next()) {
      const edge = keep(explorer.Current());
      const curve = keep(new kernel.BRepAdaptor_Curve(keep(kernel.TopoDS.Edge(edge))));
      if (curve.GetType() !== 'GeomAbs_Circle') continue;
      const circle = keep(curve.Circle());
      const height = keep(circle.Location()).Z();
      const fits =
        Math.abs(circle.Radius() - radius) < 1e-6 && heights.some((h) => Math.abs(h - height) < 1e-6);
      if (fits && !found.some((other) => other.IsSame(edge))) found.push(edge);
    }
    return found;
  };
  const ease = (shape: Shape, edges: Shape[], mm: number): Shape => {
    const maker = keep(new kernel.BRepFilletAPI_MakeChamfer(shape));
    for (const edge of edges) maker.Add(mm, keep(kernel.TopoDS.Edge(edge)));
    maker.Build(keep(new kernel.Message_ProgressRange()));
    return solidOf(keep(maker.Shape()));
  };
  const check = (shape: Shape): number => {
    const analyzer = keep(new kernel.BRepCheck_Analyzer(shape, true, false, false));
    if (!analyzer.IsValid()) throw new Error('not valid');
    const volume = keep(new kernel.GProp_GProps());
    kernel.BRepGProp.VolumeProperties(shape, volume, false, false, false);
    const shells = keep(new kernel.TopExp_Explorer(shape, 'TopAbs_SHELL', 'TopAbs_SHAPE'));
    if (!kernel.BRep_Tool.IsClosed(keep(shells.Current()))) throw new Error('not closed');
    const box = keep(new kernel.Bnd_Box());
    kernel.BRepBndLib.AddOptimal(shape, box, false, false);
    return volume.Mass();
  };

  const disc = cylinder(0, 19.1, 8);
  check(disc);
  const ring = cut(cylinder(2, 19.1 * 1.25, 4), cylinder(2, 15.6, 4));
  const grooved = cut(disc, ring);
  check(grooved);
  const bored = cut(grooved, cylinder(-1, 3.125, 10));
  check(bored);
  const mouths = ease(bored, circlesAt(bored, 3.125, [0, 8]), 0.4);
  check(mouths);
  const wheel = ease(mouths, circlesAt(mouths, 19.1, [0, 8]), 0.6);
  const volume = check(wheel);
  kernel.BRepGProp.SurfaceProperties(wheel, keep(new kernel.GProp_GProps()), false, false);
  cuts.forEach((operation) => operation.Clear());
  garbage.reverse().forEach((object) => object.delete());
  return volume;
}
