import type { Plane } from '@core/shaping/kernel';
import type { Vec3 } from '@core/foundations/vectors';
import type { Placement } from '@core/shaping/part';

/** A point given along a turned step, across it and up from its place, in the axes of its stand. @param turn radians. */
export const pointIn =
  (turn: number, { at: [ax, ay], level }: Placement) =>
  ([x, y, z]: Vec3): Vec3 => [
    ax + x * Math.cos(turn) - y * Math.sin(turn),
    ay + x * Math.sin(turn) + y * Math.cos(turn),
    level + z,
  ];

/** The upright plane at the front of a turned step of a width, mm, and the way through the step to its back. */
export function uprightSection(
  turn: number,
  stand: Placement,
  breadth: number,
): { plane: Plane; direction: Vec3 } {
  const at = pointIn(turn, stand);
  return {
    plane: { at: ([x, z]) => at([x, -breadth / 2, z]) },
    direction: [-breadth * Math.sin(turn), breadth * Math.cos(turn), 0],
  };
}
