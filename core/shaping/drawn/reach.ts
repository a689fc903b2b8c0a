import { Drag } from './drag';
import type { Place } from './input';
import { settle } from './settle';
import type { System } from './system';

/** How far a point can be moved one way until what holds it stops it, mm along its path. */
export type Reach =
  /** Until it is stopped. */
  | { kind: 'stops'; mm: number }
  /** Farther than the drawing is large. */
  | { kind: 'far' }
  /** All the way round, back to where it is. */
  | { kind: 'round' };

/** A point is followed in steps of this share of the drawing, to this many times its size. */
const [STEP_SHARE, FAR_TIMES] = [1 / 8, 10];
/** Steps are halved at most so often where it is stopped. */
const MOST_HALVINGS = 10;
/** What moves on by less than this share of a step is stopped. */
const MOVES_ON = 0.5;

/**
 * How far a point with one way left can go along it, and the other way, by pulling it until relations and dimensions let it go no farther.
 *
 * @param way the direction that it has, of length 1.
 */
export function reachOf(system: System, point: string, way: Place): readonly [Reach, Reach] {
  const from = settle(system).values;
  const [x, y] = system.unknowns.pointAt(point);
  const at: Place = [from[x]!, from[y]!];
  const along = reachAlong(system, from, { point, at, way });
  // What goes all the way round does so either way.
  const back =
    along.kind === 'round' ? along : reachAlong(system, from, { point, at, way: [-way[0], -way[1]] });
  return [along, back];
}

function reachAlong(
  system: System,
  from: Float64Array,
  { point, at: start, way }: { point: string; at: Place; way: Place },
): Reach {
  const drag = new Drag(system, from, point);
  const spanMm = 4 * system.scaleMm;
  let stepMm = STEP_SHARE * spanMm;
  const leastMm = stepMm / 2 ** MOST_HALVINGS;
  let [at, heading, gone] = [start, way, 0];
  while (gone < FAR_TIMES * spanMm) {
    const next = drag.to([at[0] + stepMm * heading[0], at[1] + stepMm * heading[1]]).points.get(point)!;
    const [dx, dy] = [next[0] - at[0], next[1] - at[1]];
    const moved = Math.hypot(dx, dy);
    const isOnward = dx * heading[0] + dy * heading[1] > MOVES_ON * stepMm;
    if (!isOnward) {
      if (stepMm <= leastMm)
        return { kind: 'stops', mm: gone + Math.max(0, dx * heading[0] + dy * heading[1]) };
      stepMm /= 2;
      // Where it was pulled to in vain it does not stay.
      drag.to(at);
      continue;
    }
    gone += moved;
    heading = [dx / moved, dy / moved];
    at = next;
    const home: Place = [start[0] - at[0], start[1] - at[1]];
    const isHome = Math.hypot(...home) < 1.01 * moved && home[0] * heading[0] + home[1] * heading[1] > 0;
    if (gone > 3 * moved && isHome) return { kind: 'round' };
  }
  return { kind: 'far' };
}
