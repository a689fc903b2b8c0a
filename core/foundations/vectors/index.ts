export { circleThrough } from './circleThrough';

/** A point, mm, or a direction in space: to the right, to the back, up. */
export type Vec3 = readonly [number, number, number];

export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

export const minus = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];

/** a + s · b */
export const along = (a: Vec3, b: Vec3, s: number): Vec3 => [
  a[0] + s * b[0],
  a[1] + s * b[1],
  a[2] + s * b[2],
];

/** A vector by its three numbers, each from its axis. */
export const eachAxis = (of: (axis: 0 | 1 | 2) => number): Vec3 => [of(0), of(1), of(2)];

/** The direction of a vector, of length 1; a vector of no length stays as it is. */
export const unit = (a: Vec3): Vec3 => {
  const length = Math.hypot(...a) || 1;
  return [a[0] / length, a[1] / length, a[2] / length];
};

/** A direction rotated about an axis, a unit vector, by the angle of a cosine and a sine (Rodrigues' formula). */
export const rotated = (v: Vec3, axis: Vec3, cos: number, sin: number): Vec3 =>
  along(along(along([0, 0, 0], v, cos), cross(axis, v), sin), axis, dot(axis, v) * (1 - cos));
