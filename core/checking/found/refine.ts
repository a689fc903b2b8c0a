import { Matrix4, Vector3 } from 'three';

import { nearestTo, type Nearest } from '@core/shaping/boxTree';
import type { WeldedMesh } from '@core/shaping/part';

import type { Explained } from './explained';
import { leastSquares } from './leastSquares';
import { crossOf, type Samples } from './samples';

/** A way of laying a found piece over the spare. */
export interface Aligned {
  place: Matrix4;
  /** How far what was kept of it is off, mm (root mean square), for the share that was kept; less is better. */
  worth: number;
  /** What it explains of the piece and of the spare; absent before the end. */
  explains?: Explained;
}

/** Rounds by which each is brought nearer at most, and how small a step ends them, mm. */
const ROUNDS = { coarse: 12, close: 30, fine: 30 };
const STEP_MM = { coarse: 1e-2, close: 1e-3, fine: 1e-5 };
/** Least share of a found piece that has to lie on the spare: the rest may be what broke off, wore or was filled. */
const LEAST_SHARE = 0.4;
/** How much laying more of it is worth a worse fit of that (the power of the fraction in FRMSD). */
const WORTH = 1.3;
/** What a scan is off by itself, mm: below this a better fit of less of it is worth nothing. */
export const SCANNED_MM = 0.1;

/** How far each point is from the spare, mm. */
export function distances({ points }: Samples, place: Matrix4, spare: WeldedMesh): number[] {
  const point = new Vector3();
  return Array.from({ length: points.length / 3 }, (_, sample) => {
    point.fromArray(points, 3 * sample).applyMatrix4(place);
    return nearestTo(spare, point.toArray())!.mm;
  });
}

/** The share of distances that fits best for its size, as the greatest that still counts (FRMSD). @param all how many there are at most. */
export function ratedBy(mms: readonly number[], all = mms.length): { worth: number; withinMm: number } {
  const sorted = Float64Array.from(mms).sort();
  let best = { worth: Infinity, withinMm: Infinity };
  let squares = 0;
  for (let count = 1; count <= sorted.length; count += 1) {
    squares += sorted[count - 1]! ** 2;
    const kept = count / all;
    if (kept < LEAST_SHARE) continue;
    const worth = Math.sqrt(SCANNED_MM ** 2 + squares / count) / kept ** WORTH;
    if (worth < best.worth) best = { worth, withinMm: sorted[count - 1]! };
  }
  return best;
}

/** A face that looks away more than this, by the cosine, is another one. */
const AWAY = -0.5;
/** Share of faces that must agree on which side is out before it is gone by. */
const AGREED = 0.8;

/** Whether the found piece's faces look out as the spare's do (1), all in (-1), or say nothing (null), by the way that agrees most. */
export function facingOf(found: Samples, spare: WeldedMesh, ways: readonly Aligned[]): 1 | -1 | null {
  const shares = ways.map(({ place }) => shareFacing(found, spare, place));
  if (Math.max(...shares) >= AGREED) return 1;
  return Math.min(...shares) <= 1 - AGREED ? -1 : null;
}

function shareFacing(found: Samples, spare: WeldedMesh, place: Matrix4): number {
  const [point, normal] = [new Vector3(), new Vector3()];
  let out = 0;
  const count = found.points.length / 3;
  for (let at = 0; at < found.points.length; at += 3) {
    point.fromArray(found.points, at).applyMatrix4(place);
    normal.fromArray(found.normals, at).transformDirection(place);
    const near = nearestTo(spare, point.toArray())!;
    if (normal.dot(outOf(spare, near.at)) > 0) out += 1;
  }
  return out / count;
}

const outOf = ({ positions, indices }: WeldedMesh, at: number) =>
  new Vector3(...crossOf(positions, indices, at)).normalize();

/** Rounds that may bring nothing, and the share of its worth that is nothing: what is trimmed by turns goes to and fro, and what is elsewhere wanders. */
const IDLE_ROUNDS = 5;
const NOTHING = 1e-4;

/** Brings a piece nearer round by round, until it stays, comes no nearer, or the rounds are over. @returns the nearest of them. */
export function refined(
  found: Samples,
  spare: WeldedMesh,
  start: Matrix4,
  how: keyof typeof ROUNDS,
  facing: 1 | -1 | null,
  byAll = false,
): Aligned {
  const place = start.clone();
  const [point, normal] = [new Vector3(), new Vector3()];
  let best: Aligned = { place: start, worth: Infinity };
  let improved = 0;
  const before = new NearBefore(found);
  for (let round = 0; round < ROUNDS[how]; round += 1) {
    const pairs: { at: Vector3; out: Vector3; off: number; mm: number }[] = [];
    for (let at = 0; at < found.points.length; at += 3) {
      point.fromArray(found.points, at).applyMatrix4(place);
      const near = before.nearestTo(spare, point, at);
      const out = outOf(spare, near.at);
      if (facing !== null) {
        normal.fromArray(found.normals, at).transformDirection(place).multiplyScalar(facing);
        // The far side of a wall is not what lies here.
        if (normal.dot(out) < AWAY) continue;
      }
      const off = point
        .clone()
        .sub(new Vector3(...near.place))
        .dot(out);
      pairs.push({ at: point.clone(), out, off, mm: near.mm });
    }
    const { withinMm, worth } = ratedBy(
      pairs.map(({ mm }) => mm),
      found.points.length / 3,
    );
    if (byAll || worth < best.worth * (1 - NOTHING)) improved = round;
    if (byAll || worth < best.worth) best = { place: place.clone(), worth };
    if (round - improved >= IDLE_ROUNDS) break;
    const step = stepTo(byAll ? pairs : pairs.filter(({ mm }) => mm <= withinMm));
    if (!step) break;
    place.premultiply(step.move);
    if (step.mm < STEP_MM[how]) break;
  }
  return best;
}

/** Where points were in the round before, and how far from the spare: they are at most as much further from it as they were moved. */
class NearBefore {
  readonly #at: Float64Array;
  readonly #mm: Float64Array;

  constructor({ points }: Samples) {
    this.#at = new Float64Array(points.length);
    this.#mm = new Float64Array(points.length / 3).fill(Infinity);
  }

  nearestTo(spare: WeldedMesh, { x, y, z }: Vector3, at: number): Nearest {
    const own = this.#at;
    const moved = Math.hypot(x - own[at]!, y - own[at + 1]!, z - own[at + 2]!);
    const within = (this.#mm[at / 3]! + moved) * (1 + BEYOND) + BEYOND;
    const near = nearestTo(spare, [x, y, z], within) ?? nearestTo(spare, [x, y, z])!;
    own[at] = x;
    own[at + 1] = y;
    own[at + 2] = z;
    this.#mm[at / 3] = near.mm;
    return near;
  }
}

/** So that rounding cuts nothing off. */
const BEYOND = 1e-6;

/** Numbers of a turn and a move; as many points are wanted. */
const TURN_AND_MOVE = 6;

/** The small turn and move that bring points onto the planes beside them, by least squares; null where nothing holds them. */
function stepTo(
  pairs: readonly { at: Vector3; out: Vector3; off: number }[],
): { move: Matrix4; mm: number } | null {
  if (pairs.length < TURN_AND_MOVE) return null;
  const middle = new Vector3();
  for (const { at } of pairs) middle.addScaledVector(at, 1 / pairs.length);
  const by = leastSquares(
    pairs.map(({ at, out, off }) => {
      const about = at.clone().sub(middle).cross(out);
      return { slopes: [about.x, about.y, about.z, out.x, out.y, out.z], off: -off };
    }),
    TURN_AND_MOVE,
  );
  if (!by) return null;
  const turn = new Vector3(by[0], by[1], by[2]);
  const angle = turn.length();
  const rotation =
    angle > 0 ? new Matrix4().makeRotationAxis(turn.clone().normalize(), angle) : new Matrix4();
  const move = new Matrix4()
    .makeTranslation(middle.x + by[3]!, middle.y + by[4]!, middle.z + by[5]!)
    .multiply(rotation)
    .multiply(new Matrix4().makeTranslation(-middle.x, -middle.y, -middle.z));
  const reach = Math.max(...pairs.map(({ at }) => at.distanceTo(middle)));
  return { move, mm: angle * reach + Math.hypot(by[3]!, by[4]!, by[5]!) };
}
