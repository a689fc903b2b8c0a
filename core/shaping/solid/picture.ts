import { Clipper, FillRule } from 'clipper2-ts';

import { type Shape, meshOf, scoped, type Scope, type TaggedSolid, partsOf } from '@core/shaping/kernel';
import type { Picture } from '@core/record/model';
import { type SolidMesh, RIGHT, TOWARDS, flat, round } from '@core/shaping/part';

import { seenOnMesh } from './seenOnMesh';

/** Coarse: a picture is a few centimetres of screen. */
const PICTURE_QUALITY = { gapMm: 0.2, angle: 0.25 };

/** Points on a curved edge. */
const CURVE_POINTS = 24;

/** With more free-form faces than this, as a thread has, the kernel's hidden-line removal takes minutes (kernel-notes). */
const FREE_FORM_MOST = 16;

/** A line drawing of a solid seen from the corner: filled outline and visible edges, hidden ones left out. */
export function drawPicture(solid: TaggedSolid, key: string): Picture {
  const mesh = meshOf(solid, PICTURE_QUALITY);
  const isSlow = freeFormFaces(solid) > FREE_FORM_MOST;
  return { key, outline: outlineOf(mesh), edges: isSlow ? seenOnMesh(mesh) : visibleEdges(solid) };
}

const freeFormFaces = ({ kernel, shape }: TaggedSolid): number =>
  scoped(
    (scope) =>
      partsOf(kernel, scope, shape, 'TopAbs_FACE').filter(
        (face) =>
          scope
            .keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), false))
            .GetType() === 'GeomAbs_BSplineSurface',
      ).length,
  );

/** The union of all triangles that face the viewer, as seen: its loops. */
function outlineOf({ positions, indices }: SolidMesh): number[][] {
  const triangles = [];
  for (let at = 0; at < indices.length; at += 3) {
    const corners = [0, 1, 2].map((offset) => {
      const index = 3 * indices[at + offset]!;
      return flat(positions[index]!, positions[index + 1]!, positions[index + 2]!);
    }) as [[number, number], [number, number], [number, number]];
    const [[ax, ay], [bx, by], [cx, cy]] = corners;
    if ((bx - ax) * (cy - ay) - (by - ay) * (cx - ax) <= 0) continue;
    // Clipper counts in whole numbers: hundredths of a millimetre.
    triangles.push(corners.map(([x, y]) => ({ x: Math.round(x * 100), y: Math.round(y * 100) })));
  }
  const loops = Clipper.union(triangles, FillRule.NonZero);
  return loops
    .filter((loop) => Math.abs(Clipper.area(loop)) > 100)
    .map((loop) => loop.flatMap((point) => [point.x / 100, point.y / 100]));
}

/** Edges that are seen, by the kernel's hidden-line removal, as polylines. */
function visibleEdges(solid: TaggedSolid): number[][] {
  const { kernel, shape } = solid;
  return scoped((scope) => {
    const algorithm = scope.keep(new kernel.HLRBRep_Algo());
    algorithm.Add(shape, 0);
    const [origin, towards, right] = [
      scope.keep(new kernel.gp_Pnt(0, 0, 0)),
      scope.keep(new kernel.gp_Dir(...TOWARDS)),
      scope.keep(new kernel.gp_Dir(...RIGHT)),
    ];
    const axes = scope.keep(new kernel.gp_Ax2(origin, towards, right));
    algorithm.Projector(scope.keep(new kernel.HLRAlgo_Projector(axes)));
    algorithm.Update();
    algorithm.Hide();
    const toShape = scope.keep(new kernel.HLRBRep_HLRToShape(algorithm));
    // Sharp edges and silhouettes; a kind that the part does not have is null.
    const kinds = [toShape.VCompound(), toShape.OutLineVCompound()] as (Shape | null)[];
    const lines = kinds.flatMap((kind) =>
      kind && !kind.IsNull() ? polylines(scope, solid, scope.keep(kind)) : [],
    );
    // Lets go of the algorithm's copy of the shape (kernel-notes).
    algorithm.OutLinedShapeNullify();
    algorithm.Remove(1);
    return lines;
  });
}

function polylines(scope: Scope, { kernel }: TaggedSolid, edges: Shape): number[][] {
  return partsOf(kernel, scope, edges, 'TopAbs_EDGE').map((edge) => {
    const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
    const pieces = curve.GetType() === 'GeomAbs_Line' ? 1 : CURVE_POINTS;
    const [first, last] = [curve.FirstParameter(), curve.LastParameter()];
    return Array.from({ length: pieces + 1 }, (_, index) => {
      const point = scope.keep(curve.Value(first + ((last - first) * index) / pieces));
      return [round(point.X()), round(point.Y())];
    }).flat();
  });
}
