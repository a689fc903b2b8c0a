import { lengthPerChord } from './arcs';

/** Moves one after another, straight ones and arcs, from rest to rest. Lengths in mm, speeds in mm/s. */
export interface Moves {
  /** Where each ends; the first number is where the first begins. */
  x: ArrayLike<number>;
  y: ArrayLike<number>;
  /** By what angle each goes round, radians, anticlockwise above zero; all straight where nothing is said. */
  sweep?: ArrayLike<number>;
  /** The speed that each is to have; the first number is not used. */
  speed: ArrayLike<number>;
}

/**
 * How long each move takes, s. Speed rises and falls evenly along each move (a trapezoid); at a corner from direction u to direction w it may go on with v
 * where |v w - v u| is at most `junctionSpeed`. A backward pass keeps every corner reachable by braking, a forward pass by speeding
 * up: the optimum for this model. Along an arc
 * of radius r it goes with √(acceleration · r) at most (Bobrow, Dubowsky & Gibson, "Time-optimal control of robotic manipulators along specified paths", 1985).
 *
 * @param acceleration mm/s².
 * @returns as many numbers as there are ends; the first is 0.
 */
export function secondsOfMoves(
  { x, y, sweep, speed: asked }: Moves,
  acceleration: number,
  junctionSpeed: number,
): Float64Array {
  const count = x.length;
  const seconds = new Float64Array(count);
  if (count < 2) return seconds;
  const length = new Float64Array(count);
  // Speed at the beginning of each move; the last is at rest.
  const entry = new Float64Array(count + 1);
  const speed = new Float64Array(count);
  const ways = new Float64Array(4 * count);
  for (let move = 1; move < count; move += 1) {
    const [dx, dy, by] = [x[move]! - x[move - 1]!, y[move]! - y[move - 1]!, sweep?.[move] ?? 0];
    length[move] = Math.hypot(dx, dy) * lengthPerChord(by);
    speed[move] =
      by === 0
        ? asked[move]!
        : Math.min(asked[move]!, Math.sqrt((acceleration * length[move]!) / Math.abs(by)));
    waysOf(dx, dy, by, ways, 4 * move);
  }
  let before = 0;
  for (let move = 1; move < count; move += 1) {
    if (length[move] === 0) continue;
    if (before > 0) {
      const turn = Math.hypot(
        ways[4 * move]! - ways[4 * before + 2]!,
        ways[4 * move + 1]! - ways[4 * before + 3]!,
      );
      entry[move] = Math.min(speed[move]!, speed[before]!, turn > 0 ? junctionSpeed / turn : Infinity);
    }
    before = move;
  }
  let next = 0;
  for (let move = count - 1; move > 0; move -= 1) {
    if (length[move] === 0) continue;
    entry[move] = Math.min(entry[move]!, Math.sqrt(next * next + 2 * acceleration * length[move]!));
    next = entry[move]!;
  }
  let now = 0;
  for (let move = 1; move < count; move += 1) {
    const way = length[move]!;
    if (way === 0) continue;
    let following = move + 1;
    while (following < count && length[following] === 0) following += 1;
    const reachable = Math.sqrt(now * now + 2 * acceleration * way);
    const then = following < count ? Math.min(entry[following]!, reachable) : 0;
    seconds[move] = trapezoid(way, now, then, speed[move]!, acceleration);
    now = then;
  }
  return seconds;
}

/** The directions of a move at its beginning and at its end: those of its chord, turned by half its angle. */
function waysOf(dx: number, dy: number, sweep: number, ways: Float64Array, at: number): void {
  const chord = Math.hypot(dx, dy);
  if (chord === 0) return;
  const [ux, uy, cos, sin] = [dx / chord, dy / chord, Math.cos(sweep / 2), Math.sin(sweep / 2)];
  ways[at] = cos * ux + sin * uy;
  ways[at + 1] = cos * uy - sin * ux;
  ways[at + 2] = cos * ux - sin * uy;
  ways[at + 3] = cos * uy + sin * ux;
}

/** Seconds for a way with a speed at its beginning, one at its end, and one that it does not exceed. */
export function trapezoid(mm: number, from: number, to: number, most: number, acceleration: number): number {
  const peak = Math.min(most, Math.sqrt((2 * acceleration * mm + from * from + to * to) / 2));
  const ramps = (2 * peak * peak - from * from - to * to) / (2 * acceleration);
  return (2 * peak - from - to) / acceleration + Math.max(0, mm - ramps) / peak;
}
