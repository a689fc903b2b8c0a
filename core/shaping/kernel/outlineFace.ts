import type { Curve, Loop, Point, Region } from '@core/shaping/outline';
import type { Vec3 } from '@core/foundations/vectors';
import { toWorld, type Frame, type FaceTag, KernelRefusal } from '@core/shaping/part';

import { type Kernel, type Shape } from './kernel';
import { scoped, type Scope } from './scope';
import { smoothCurve } from './smoothCurve';
import { tagFresh, type TaggedSolid } from './tagged';
import { listed, ShapeMap } from './topology';

/** Where the two directions of an outline's plane lie in space. */
export interface Plane {
  /** A point of the plane in space, mm. */
  at([x, y]: Point): readonly [number, number, number];
}

/** The level plane at a height. */
export const levelPlane = (z: number): Plane => ({ at: ([x, y]) => [x, y, z] });

/** The plane of a frame's x and y. */
export const framePlane = (frame: Frame): Plane => ({ at: ([x, y]) => toWorld(frame, [x, y, 0]) });

/** The upright plane through an upright axis: x of the outline is the distance from it, y the height. */
export const axisPlane = (ax: number, ay: number): Plane => ({ at: ([r, z]) => [ax + r, ay, z] });

interface Outlined {
  face: Shape;
  wire: InstanceType<Kernel['TopoDS_Wire']>;
  /** The edges as the face holds them, with their roles. */
  roles: ShapeMap<string>;
}

/**
 * A flat face within a loop, or within a region with holes. The wire copies edges unless their ends are shared, so each
 * is named as it holds it.
 */
export function outlineFace(kernel: Kernel, scope: Scope, outline: Loop | Region, plane: Plane): Outlined {
  const roles = new ShapeMap<string>(kernel);
  const wireOf = (loop: Loop) => {
    const wire = scope.keep(new kernel.BRepBuilderAPI_MakeWire());
    for (const curve of loop) {
      wire.Add(edgeOf(kernel, scope, curve, plane));
      roles.set(scope.keep(wire.Edge()), curve.role);
    }
    return scope.keep(wire.Wire());
  };
  const { outer, holes } = 'outer' in outline ? outline : { outer: outline, holes: [] };
  const closed = wireOf(outer);
  const face = scope.keep(new kernel.BRepBuilderAPI_MakeFace(closed, true));
  // A hole goes the other way round than the outline.
  for (const hole of holes) face.Add(scope.keep(kernel.TopoDS.Wire(scope.keep(wireOf(hole).Reversed()))));
  return { face: scope.keep(face.Face()), wire: closed, roles };
}

export function edgeOf(kernel: Kernel, scope: Scope, curve: Curve, plane: Plane) {
  const point = (at: Point) => scope.keep(new kernel.gp_Pnt(...plane.at(at)));
  const maker = () => {
    switch (curve.kind) {
      case 'line':
        return new kernel.BRepBuilderAPI_MakeEdge(point(curve.from), point(curve.to));
      case 'arc': {
        const arc = scope.keep(
          new kernel.GC_MakeArcOfCircle(point(curve.from), point(curve.via), point(curve.to)),
        );
        return new kernel.BRepBuilderAPI_MakeEdge(scope.keep(arc.Value()));
      }
      case 'spline': {
        const points = curve.points.map((at): Vec3 => [...plane.at(at)]);
        const { closed = false, even = false } = curve;
        return new kernel.BRepBuilderAPI_MakeEdge(smoothCurve(kernel, scope, points, { closed, even }));
      }
      case 'circle':
      case 'ellipse': {
        const [x, y] = curve.middle;
        const [rx, ry] =
          curve.kind === 'circle' ? [curve.radius, curve.radius] : [curve.alongX, curve.alongY];
        // The main axis of an ellipse is its longer one.
        const turn = (curve.kind === 'ellipse' ? (curve.turn ?? 0) : 0) + (rx >= ry ? 0 : Math.PI / 2);
        const main: Point = [Math.cos(turn), Math.sin(turn)];
        const axes = scope.keep(
          new kernel.gp_Ax2(
            point([x, y]),
            direction(kernel, scope, plane, 'normal'),
            direction(kernel, scope, plane, main),
          ),
        );
        return curve.kind === 'circle'
          ? new kernel.BRepBuilderAPI_MakeEdge(scope.keep(new kernel.gp_Circ(axes, rx)))
          : new kernel.BRepBuilderAPI_MakeEdge(
              scope.keep(new kernel.gp_Elips(axes, Math.max(rx, ry), Math.min(rx, ry))),
            );
      }
    }
  };
  return scope.keep(scope.keep(maker()).Edge());
}

function direction(kernel: Kernel, scope: Scope, plane: Plane, way: Point | 'normal') {
  const origin = plane.at([0, 0]);
  const along = (point: Point) => plane.at(point).map((value, index) => value - origin[index]!);
  const [a, b] = [along([1, 0]), along([0, 1])] as [number[], number[]];
  const [x, y, z] =
    way === 'normal'
      ? [a[1]! * b[2]! - a[2]! * b[1]!, a[2]! * b[0]! - a[0]! * b[2]!, a[0]! * b[1]! - a[1]! * b[0]!]
      : along(way);
  return scope.keep(new kernel.gp_Dir(x!, y!, z!));
}

/** A loop raised straight up from height `z`. `nameFace` gets 'bottom', 'top' and the roles of the curves. */
export const raisedLoop = (
  kernel: Kernel,
  loop: Loop | Region,
  { z, height }: { z: number; height: number },
  nameFace: (role: string) => FaceTag,
): TaggedSolid => prismOf(kernel, loop, levelPlane(z), [0, 0, height], nameFace);

/** A loop of any plane drawn out along a way. Names as raisedLoop: 'bottom' is where it begins. */
export function prismOf(
  kernel: Kernel,
  loop: Loop | Region,
  plane: Plane,
  direction: Vec3,
  nameFace: (role: string) => FaceTag,
): TaggedSolid {
  return scoped((scope) => {
    const { face, roles } = outlineFace(kernel, scope, loop, plane);
    const prism = scope.keep(
      new kernel.BRepPrimAPI_MakePrism(face, scope.keep(new kernel.gp_Vec(...direction)), false, true),
    );
    const names = new ShapeMap<FaceTag>(kernel);
    names.set(scope.keep(prism.FirstShape()), nameFace('bottom'));
    names.set(scope.keep(prism.LastShape()), nameFace('top'));
    for (const [edge, role] of roles.entries()) {
      for (const wall of listed(scope, prism.Generated(edge))) names.set(wall, nameFace(role));
    }
    return named(kernel, prism.Shape(), names);
  });
}

/**
 * A loop turned all the way round the upright axis through (ax, ay); x of the loop is the distance from the axis and
 * is nowhere below zero. Curves that lie on the axis make no face.
 *
 * @param part of the way round: from where and by how much, radians. Its ends are named 'start' and 'end'.
 */
export function turnedLoop(
  kernel: Kernel,
  loop: Loop | Region,
  [ax, ay]: Point,
  nameFace: (role: string) => FaceTag,
  part?: { from: number; by: number },
): TaggedSolid {
  return scoped((scope) => {
    const plane: Plane = part
      ? { at: ([r, z]) => [ax + r * Math.cos(part.from), ay + r * Math.sin(part.from), z] }
      : axisPlane(ax, ay);
    const { face, roles } = outlineFace(kernel, scope, loop, plane);
    const origin = scope.keep(new kernel.gp_Pnt(ax, ay, 0));
    const axis = scope.keep(new kernel.gp_Ax1(origin, scope.keep(new kernel.gp_Dir(0, 0, 1))));
    // A copy, or faces square to the axis lose their history (kernel-notes).
    const revolved = scope.keep(new kernel.BRepPrimAPI_MakeRevol(face, axis, part?.by ?? 2 * Math.PI, true));
    const names = new ShapeMap<FaceTag>(kernel);
    for (const [edge, role] of roles.entries()) {
      for (const made of listed(scope, revolved.Generated(edge))) names.set(made, nameFace(role));
    }
    if (part) {
      names.set(scope.keep(revolved.FirstShape()), nameFace('start'));
      names.set(scope.keep(revolved.LastShape()), nameFace('end'));
    }
    return named(kernel, revolved.Shape(), names);
  });
}

export function named(kernel: Kernel, shape: Shape, names: ShapeMap<FaceTag>): TaggedSolid {
  return tagFresh(kernel, shape, (face) => {
    const tag = names.get(face);
    if (tag === undefined) throw new KernelRefusal('a face of the outline has no origin');
    return tag;
  });
}
