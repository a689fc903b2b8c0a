/**
 * When two numbers of geometry are one. Work is up to a metre: there, double precision leaves 1e-13 m, a chain of frames and intersections
 * some 1e-9 mm, and the kernel joins what is nearer than 1e-7 mm. Nothing is measured or made finer than 1e-4 mm. Tolerances
 * that stand for something else (how fine a mesh is, what is worth telling) stand named where they are used.
 */

/** The kernel's own precision, mm: what is nearer is one point to it. */
export const KERNEL_MM = 1e-7;

/** Lengths that differ by less are one, mm: well above what calculating leaves, well below what is measured or made. */
export const SAME_MM = 1e-6;

/** A length that is nothing. */
export const isNothing = (mm: number): boolean => Math.abs(mm) < SAME_MM;

/** The same length, or the same level. */
export const isSameLength = (one: number, other: number): boolean => isNothing(one - other);

/** The same point, in the plane or in space. */
export const isSamePoint = (one: readonly number[], other: readonly number[]): boolean =>
  isNothing(Math.hypot(...one.map((value, axis) => value - other[axis]!)));

/** Ways that are nearer than this are one, as their cosine's distance from 1: 4.5e-5 radians, a micrometre on 22 mm. */
const SAME_WAY = 1e-9;

/** Whether two ways are one or opposite, by the cosine of their angle. */
export const isParallel = (cosine: number): boolean => 1 - Math.abs(cosine) < SAME_WAY;

/** Whether two ways are one, by the cosine of their angle. */
export const isSameWay = (cosine: number): boolean => 1 - cosine < SAME_WAY;

/** Whether two ways are square to each other, by the cosine of their angle. */
export const isSquare = (cosine: number): boolean => Math.abs(cosine) < SAME_WAY;

/** Angles that differ by less are one, radians: a micrometre on a metre. */
export const SAME_ANGLE = 1e-6;

/** Whether an angle goes all the way round. */
export const isFullTurn = (angle: number): boolean => angle > 2 * Math.PI - SAME_ANGLE;
