import { pointLoop, type Point } from '@core/outline';

import type { Vec3 } from './annotation';
import { cross, type Frame } from './frame';
import { KernelRefusal, type Kernel, type Shape } from './kernel';
import { broughtTo } from './moved';
import { turnedLoop } from './outlineFace';
import { planeOf } from './picks';
import { scoped, type Scope } from './scope';
import { plainStand } from './stand';
import { tagFresh, type FaceTag, type TaggedSolid } from './tagged';

/**
 * The space between a face and itself moved out by a length (in, if negative), mm: of a flat one a prism, of a cylinder
 * a ring or a part of one. All of its faces carry `tag`.
 */
export function facePlate(kernel: Kernel, face: Shape, tag: FaceTag, mm: number): TaggedSolid {
  return scoped((scope) => {
    const plane = planeOf(kernel, face);
    if (!plane) return cylinderPlate(kernel, face, tag, mm);
    return tagFresh(kernel, flatPlate(kernel, scope, face, plane.normal, mm), () => tag);
  });
}

function flatPlate(kernel: Kernel, scope: Scope, face: Shape, normal: Vec3, mm: number): Shape {
  const way = scope.keep(new kernel.gp_Vec(normal[0] * mm, normal[1] * mm, normal[2] * mm));
  return scope.keep(new kernel.BRepPrimAPI_MakePrism(face, way, true, true)).Shape();
}

/**
 * Between a cylinder and one of another radius, as long and as far round as the face reaches. Made afresh: the kernel's
 * own thickened faces do not join without leaving open edges.
 */
function cylinderPlate(kernel: Kernel, face: Shape, tag: FaceTag, mm: number): TaggedSolid {
  return scoped((scope) => {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
    if (surface.GetType() !== 'GeomAbs_Cylinder') {
      throw new KernelRefusal('only flat faces and cylinders can be moved by themselves');
    }
    const cylinder = scope.keep(surface.Cylinder());
    const axes = scope.keep(cylinder.Position());
    const vector = (of: { X(): number; Y(): number; Z(): number }): Vec3 => [of.X(), of.Y(), of.Z()];
    const x = vector(scope.keep(axes.XDirection()));
    const z = vector(scope.keep(axes.Direction()));
    const frame: Frame = { origin: vector(scope.keep(axes.Location())), x, y: cross(z, x), z };
    // A left-handed cylinder counts its turns the other way.
    const handed = axes.Direct() ? 1 : -1;
    const turns = [surface.FirstUParameter() * handed, surface.LastUParameter() * handed];
    const [low, high] = [surface.FirstVParameter(), surface.LastVParameter()];
    // The material lies within the cylinder, or around it as of a hole.
    const isHole = (face.Orientation() === 'TopAbs_REVERSED') === (handed === 1);
    const radius = cylinder.Radius();
    const other = radius + (isHole ? -mm : mm);
    if (other <= 0) throw new KernelRefusal('a round face can’t be moved past its middle');
    const [inner, outer] = [Math.min(radius, other), Math.max(radius, other)];
    const corners: Point[] = [
      [inner, low],
      [outer, low],
      [outer, high],
      [inner, high],
    ];
    const loop = pointLoop(corners, 'plate');
    const by = Math.abs(turns[1]! - turns[0]!);
    const part = by > 2 * Math.PI - 1e-6 ? undefined : { from: Math.min(...turns), by };
    return broughtTo(
      { ...plainStand(null), frame },
      turnedLoop(kernel, loop, [0, 0], () => tag, part),
    );
  });
}
