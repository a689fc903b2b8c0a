import {
  boundingBox,
  type Kernel,
  type Shape,
  closestPoints,
  scoped,
  type Scope,
  type TaggedSolid,
} from '@core/shaping/kernel';
import { type Vec3, along, dot, minus } from '@core/foundations/vectors';
import type { Motion, Slid } from '@core/shaping/part';

/** Nearer than this it touches, mm. */
const TOUCH_MM = 1e-3;

/** Looks along the whole way, at most: what is thinner than the way divided by it can be stepped over. */
const MOST_LOOKS = 160;

/**
 * Moves a solid until it first touches one of others. It goes on by the room there is, which it can't pass through in
 * one go (conservative advancement: Mirtich, 1996), but at least by a share of the whole way; where that took it into
 * another, the place is halved in on.
 *
 * @param limit how far it goes at most, mm or radians.
 */
export function slideUntil(
  moving: TaggedSolid,
  others: readonly TaggedSolid[],
  motion: Motion,
  limit: number,
): Slid {
  const { kernel } = moving;
  const perStep = fastest(kernel, moving.shape, motion);
  const least = limit / MOST_LOOKS;
  const look = (far: number) => roomAt(kernel, moving.shape, others, motion, far);
  let before = look(0);
  if (before.mm < TOUCH_MM) return { ends: 'touchesNow', other: before.other, at: before.at };
  let far = 0;
  while (far < limit) {
    const next = Math.min(limit, far + Math.max(before.mm / perStep, least));
    const room = look(next);
    if (room.mm >= TOUCH_MM) {
      far = next;
      before = room;
      continue;
    }
    // Somewhere since the last look: halved until it is known to a thousandth.
    let [free, touching, nearest] = [far, next, before];
    while ((touching - free) * perStep > TOUCH_MM) {
      const middle = (free + touching) / 2;
      const there = look(middle);
      if (there.mm < TOUCH_MM) touching = middle;
      else [free, nearest] = [middle, there];
    }
    return { ends: 'touches', far: free, other: nearest.other, at: nearest.at };
  }
  return { ends: 'free', far: limit };
}

/** How far any point of a shape goes for each mm or radian of a motion, at most. */
function fastest(kernel: Kernel, shape: Shape, motion: Motion): number {
  if (motion.by === 'move') return 1;
  const box = boundingBox(kernel, shape);
  const corners = [box[0], box[3]].flatMap((x) =>
    [box[1], box[4]].flatMap((y) => [box[2], box[5]].map((z): Vec3 => [x, y, z])),
  );
  const { at, direction } = motion;
  return Math.max(
    ...corners.map((corner) => {
      const from = minus(corner, at);
      return Math.hypot(...minus(from, along([0, 0, 0], direction, dot(from, direction))));
    }),
  );
}

function roomAt(
  kernel: Kernel,
  shape: Shape,
  others: readonly TaggedSolid[],
  motion: Motion,
  far: number,
): { mm: number; other: number; at: Vec3 } {
  return scoped((scope) => {
    const moved = scope.keep(
      shape.Moved(
        scope.keep(new kernel.TopLoc_Location(transformationOfMotion(kernel, scope, motion, far))),
        false,
      ),
    );
    return others.reduce(
      (best, other, index) => {
        const found = closestPoints(kernel, scope, moved, other.shape);
        return found && found.mm < best.mm ? { mm: found.mm, other: index, at: found.to } : best;
      },
      { mm: Infinity, other: -1, at: [0, 0, 0] as Vec3 },
    );
  });
}

function transformationOfMotion(kernel: Kernel, scope: Scope, motion: Motion, far: number) {
  const transformation = scope.keep(new kernel.gp_Trsf());
  if (motion.by === 'move') {
    transformation.SetTranslation(scope.keep(new kernel.gp_Vec(...along([0, 0, 0], motion.direction, far))));
  } else {
    const axis = scope.keep(
      new kernel.gp_Ax1(
        scope.keep(new kernel.gp_Pnt(...motion.at)),
        scope.keep(new kernel.gp_Dir(...motion.direction)),
      ),
    );
    transformation.SetRotation(axis, far);
  }
  return transformation;
}
