import {
  type Kernel,
  type Shape,
  booleanWithAll,
  scoped,
  type Scope,
  tagFresh,
  type TaggedSolid,
  facesByEdge,
  listed,
  ShapeMap,
} from '@core/shaping/kernel';
import { type Vec3, dot } from '@core/foundations/vectors';
import { type FaceTag, KernelRefusal } from '@core/shaping/part';
import { SAME_ANGLE } from '@core/foundations/tolerance';

/** Samples along each way of a round face, to see which way it looks. */
const SAMPLES = 9;

/**
 * A solid with the room above it along a way: what it passes through as it is put in from there. Null where a round
 * face looks both towards the way and away from it: it would have to be cut at its outline first.
 */
export function withWayOut(solid: TaggedSolid, direction: Vec3, lengthMm: number): TaggedSolid | null {
  const { kernel } = solid;
  const prisms: TaggedSolid[] = [];
  try {
    const tags = solid.tagMap();
    for (const [face, tag] of tags.entries()) {
      const looks = looksTowards(kernel, face, direction);
      if (looks === 'both') return null;
      if (looks !== 'towards') continue;
      prisms.push(
        scoped((scope) => {
          const by = scope.keep(
            new kernel.gp_Vec(direction[0] * lengthMm, direction[1] * lengthMm, direction[2] * lengthMm),
          );
          const prism = scope.keep(new kernel.BRepPrimAPI_MakePrism(face, by, true, true));
          // Each wall of the way in is the wall of the body that it goes on from.
          const walls = new ShapeMap<FaceTag>(kernel);
          for (const [edge, faces] of facesByEdge(kernel, scope, solid.shape).entries()) {
            if (!faces.some((one) => one.IsSame(face))) continue;
            const beside = faces.find((one) => !one.IsSame(face));
            for (const wall of listed(scope, prism.Generated(edge))) {
              walls.set(wall, (beside && tags.get(beside)) ?? tag);
            }
          }
          return tagFresh(kernel, prism.Shape(), (one) => walls.get(one) ?? tag);
        }),
      );
    }
    if (prisms.length === 0) throw new KernelRefusal('nothing of the body looks that way');
    return booleanWithAll('fuse', solid, prisms, true);
  } finally {
    for (const prism of prisms) prism.dispose();
  }
}

type Looks = 'towards' | 'away' | 'along' | 'both';

/** Which way a face looks, by its normals at a grid of points of its surface. */
function looksTowards(kernel: Kernel, face: Shape, direction: Vec3): Looks {
  return scoped((scope) => {
    const sines = normalsOf(kernel, scope, face).map((normal) => dot(normal, direction));
    const towards = sines.some((sine) => sine > SAME_ANGLE);
    const away = sines.some((sine) => sine < -SAME_ANGLE);
    return towards && away ? 'both' : towards ? 'towards' : away ? 'away' : 'along';
  });
}

function normalsOf(kernel: Kernel, scope: Scope, face: Shape): Vec3[] {
  const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
  const out = face.Orientation() === 'TopAbs_REVERSED' ? -1 : 1;
  const isFlat = surface.GetType() === 'GeomAbs_Plane';
  const steps = isFlat ? 1 : SAMPLES;
  const [u0, u1, v0, v1] = [
    surface.FirstUParameter(),
    surface.LastUParameter(),
    surface.FirstVParameter(),
    surface.LastVParameter(),
  ];
  const normals: Vec3[] = [];
  for (let i = 0; i < steps; i += 1) {
    for (let j = 0; j < steps; j += 1) {
      const at = (first: number, last: number, index: number) =>
        steps === 1 ? (first + last) / 2 : first + ((last - first) * (index + 0.02)) / (steps - 0.96);
      const [u, v] = [at(u0, u1, i), at(v0, v1, j)];
      const du = scope.keep(surface.EvalDN(u, v, 1, 0));
      const dv = scope.keep(surface.EvalDN(u, v, 0, 1));
      const normal = scope.keep(du.Crossed(dv));
      const length = normal.Magnitude();
      if (length < 1e-12) continue;
      normals.push([(out * normal.X()) / length, (out * normal.Y()) / length, (out * normal.Z()) / length]);
    }
  }
  return normals;
}
