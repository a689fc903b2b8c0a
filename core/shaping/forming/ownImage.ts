import {
  type Kernel,
  type Shape,
  closestPoints,
  scoped,
  type TaggedSolid,
  partsOf,
} from '@core/shaping/kernel';
import type { SettledStepOf } from '@core/record/model';
import { coordinatesOf } from '@core/shaping/part';

/** Areas that differ by less than this share, and middles by less than so much, mm, are alike. */
const [SHARE, APART_MM] = [1e-6, 1e-5];

interface Patch {
  area: number;
  middle: readonly [number, number, number];
}

/**
 * Whether a solid is its own mirror image across a plane through the origin: every face has one of the same area whose middle is
 * its image, and the images of points on its edges lie on it. Cheap, where joining the two would cut every face with every other.
 */
export function isOwnImage(solid: TaggedSolid, across: SettledStepOf<'mirror'>['across']): boolean {
  const axis = { sides: 0, frontBack: 1, upDown: 2 }[across];
  const patches = scoped((scope) =>
    partsOf(solid.kernel, scope, solid.shape, 'TopAbs_FACE').map((face) => patchOf(solid.kernel, face)),
  );
  const left = [...patches];
  const isPaired = patches.every(({ area, middle }) => {
    const image = middle.map((mm, at) => (at === axis ? -mm : mm));
    const found = left.findIndex(
      (other) =>
        Math.abs(other.area - area) <= SHARE * area &&
        Math.hypot(...other.middle.map((mm, at) => mm - image[at]!)) < APART_MM,
    );
    if (found < 0) return false;
    left.splice(found, 1);
    return true;
  });
  return isPaired && imagesLieOnIt(solid, axis);
}

/** Where along each edge a point is taken: nowhere that an edge would be its own image by chance. */
const ALONG = [0.13, 0.41, 0.79];

/** Points that are looked at, at most: spread over all edges. */
const MOST_POINTS = 60;

/** Whether the images of points on the edges lie on the surface: faces alike may still be turned the other way. */
function imagesLieOnIt({ kernel, shape }: TaggedSolid, axis: number): boolean {
  return scoped((scope) => {
    const shells = partsOf(kernel, scope, shape, 'TopAbs_SHELL');
    const edges = partsOf(kernel, scope, shape, 'TopAbs_EDGE');
    const stride = Math.max(1, Math.ceil((edges.length * ALONG.length) / MOST_POINTS));
    const wanted = edges.flatMap((edge) => ALONG.map((share) => ({ edge, share })));
    return wanted
      .filter((_, index) => index % stride === 0)
      .every(({ edge, share }) =>
        scoped((inner) => {
          const curve = inner.keep(new kernel.BRepAdaptor_Curve(inner.keep(kernel.TopoDS.Edge(edge))));
          const [first, last] = [curve.FirstParameter(), curve.LastParameter()];
          const at = coordinatesOf(inner.keep(curve.Value(first + (last - first) * share)));
          const image = at.map((mm, place) => (place === axis ? -mm : mm)) as [number, number, number];
          const point = inner.keep(new kernel.gp_Pnt(...image));
          const vertex = inner.keep(inner.keep(new kernel.BRepBuilderAPI_MakeVertex(point)).Vertex());
          return shells.some(
            (shell) => (closestPoints(kernel, inner, vertex, shell)?.mm ?? Infinity) < APART_MM,
          );
        }),
      );
  });
}

function patchOf(kernel: Kernel, face: Shape): Patch {
  return scoped((scope) => {
    const properties = scope.keep(new kernel.GProp_GProps());
    kernel.BRepGProp.SurfaceProperties(face, properties, false, false);
    return { area: properties.Mass(), middle: coordinatesOf(scope.keep(properties.CentreOfMass())) };
  });
}
