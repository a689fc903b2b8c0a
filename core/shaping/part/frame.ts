import { along, cross, dot, minus, unit, type Vec3 } from '@core/foundations/vectors';
import type { Box } from './solidCheck';

/** A right-handed set of axes in space: where it is, mm, and its three ways, unit vectors. */
export interface Frame {
  origin: Vec3;
  x: Vec3;
  y: Vec3;
  z: Vec3;
}

/** The axes of the part itself: to the right, to the back, up. */
export const WORLD: Frame = { origin: [0, 0, 0], x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };

/** A point or a way of the kernel as its three coordinates. */
export const coordinatesOf = (of: { X(): number; Y(): number; Z(): number }): Vec3 => [
  of.X(),
  of.Y(),
  of.Z(),
];

/** A way given along a frame's axes, in space. */
export const wayToWorld = ({ x, y, z }: Frame, [a, b, c]: Vec3): Vec3 =>
  along(along(along([0, 0, 0], x, a), y, b), z, c);

/** A point given along a frame's axes, in space. */
export const toWorld = (frame: Frame, point: Vec3): Vec3 => along(wayToWorld(frame, point), frame.origin, 1);

/** A point in space, along a frame's axes. */
export function toLocal({ origin, x, y, z }: Frame, point: Vec3): Vec3 {
  const from = minus(point, origin);
  return [dot(from, x), dot(from, y), dot(from, z)];
}

/** The axes of a face that looks out along `normal`: x level and to the viewer's right, y up or to the back. */
export function frameFacing(origin: Vec3, normal: Vec3): Frame {
  const z = unit(normal);
  // Looked at from nearly above, what is level has no way of its own: right is taken as it is.
  const x = Math.abs(z[2]) > 0.9999 ? unit(along([1, 0, 0], z, -z[0])) : unit(cross([0, 0, 1], z));
  return { origin, x, y: cross(z, x), z };
}

/** Turned about its own x way, radians, and standing elsewhere. */
export function tilted({ x, y, z }: Frame, origin: Vec3, tilt: number): Frame {
  const [cos, sin] = [Math.cos(tilt), Math.sin(tilt)];
  return {
    origin,
    x,
    y: along(along([0, 0, 0], y, cos), z, sin),
    z: along(along([0, 0, 0], z, cos), y, -sin),
  };
}

export const isWorld = (frame: Frame): boolean => frame === WORLD;

/** A box along a frame's axes that holds a box along the part's; exact where the axes are the same ones. */
export function boxIn(frame: Frame, box: Box): Box {
  const corners = [box[0], box[3]].flatMap((x) =>
    [box[1], box[4]].flatMap((y) => [box[2], box[5]].map((z) => toLocal(frame, [x, y, z]))),
  );
  const of = (axis: 0 | 1 | 2) => corners.map((corner) => corner[axis]);
  return [
    Math.min(...of(0)),
    Math.min(...of(1)),
    Math.min(...of(2)),
    Math.max(...of(0)),
    Math.max(...of(1)),
    Math.max(...of(2)),
  ];
}
