import type { Vec3 } from '@core/foundations/vectors';
import { along, minus, rotated } from '@core/foundations/vectors';

/** A way that a body goes: straight along a unit vector, or turning about an axis, by the right-hand rule. */
export type Motion = { by: 'move'; direction: Vec3 } | { by: 'turn'; at: Vec3; direction: Vec3 };

/** What came of a slide. `far` in mm, or radians of a turn. */
export type Slid =
  /** It comes against another, by its place in the list, at a point. */
  | { ends: 'touches'; far: number; other: number; at: Vec3 }
  /** Nothing is in its way as far as was looked. */
  | { ends: 'free'; far: number }
  /** It touches another before it has moved at all. */
  | { ends: 'touchesNow'; other: number; at: Vec3 };

/** Where a point goes by a motion. */
export function movedPoint(point: Vec3, motion: Motion, far: number): Vec3 {
  if (motion.by === 'move') return along(point, motion.direction, far);
  const { at, direction } = motion;
  return along(at, rotated(minus(point, at), direction, Math.cos(far), Math.sin(far)), 1);
}
