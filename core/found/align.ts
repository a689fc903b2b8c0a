import { CholeskyDecomposition, EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { Matrix4, Quaternion, Vector3 } from 'three';

import { nearestTo, type Nearest } from '@core/boxTree';
import type { WeldedMesh } from '@core/part';

import { explained, type Explained } from './explained';
import { diagonalOf } from './foundMesh';
import { pairGuesses } from './pairGuesses';
import { crossOf, samplesOf, type Samples } from './samples';

/** A way of laying a found piece over the spare. */
export interface Laid {
  place: Matrix4;
  /** How far what was kept of it is off, mm (root mean square), for the share that was kept; less is better. */
  worth: number;
  /** What it explains of the piece and of the spare; absent before the end. */
  explains?: Explained;
}

/** Points that a way is tried with at first, once it looks well, and in the end. */
const POINTS = { rated: 100, coarse: 160, close: 500, fine: 2000 };
/** Rounds by which each is brought nearer at most, and how small a step ends them, mm. */
const ROUNDS = { coarse: 12, close: 30, fine: 30 };
const STEP_MM = { coarse: 1e-2, close: 1e-3, fine: 1e-5 };
/** Least share of a found piece that has to lie on the spare: the rest may be what broke off, wore or was filled. */
const LEAST_SHARE = 0.4;
/** How much laying more of it is worth a worse fit of that (the power of the fraction in FRMSD). */
const WORTH = 1.3;
/** What a scan is off by itself, mm: below this a better fit of less of it is worth nothing. */
const SCANNED_MM = 0.1;
/** Ways that differ by less than this are one, radians and mm. */
const SAME_TURN = 0.17;
const SAME_PLACE_MM = 1;
/** The share that “most of it” is. */
const MOSTLY = 0.8;
/** Other ways that may turn out to be as good, within this factor. */
const LIKELY = 2.2;
/** Most of them that are told: a wheel lies as well however it is turned. */
const MOST_WAYS = 8;

/**
 * Lays a found piece over a spare: from many first guesses by their principal axes and boxes, each brought nearer by the iterated closest point
 * method, point to plane (Besl & McKay, IEEE PAMI 14, 1992; Chen & Medioni, Image and Vision Computing 10, 1992), keeping at each round the
 * share that fits best for its size (Phillips, Liu & Tomasi, "Outlier robust ICP for minimizing fractional RMSD", 3DIM 2007).
 *
 * @param found in mm.
 * @param onShare told how far it is, 0 to 1.
 * @returns the best way first, then others that are as good: of a piece that looks the same from several sides.
 */
export function laidOver(
  found: WeldedMesh,
  spare: WeldedMesh,
  onShare: (share: number) => void = () => {},
): Laid[] {
  const samples = {
    rated: samplesOf(found, POINTS.rated),
    coarse: samplesOf(found, POINTS.coarse),
    close: samplesOf(found, POINTS.close),
    fine: samplesOf(found, POINTS.fine),
  };
  const axes = firstGuesses(samples.fine, samplesOf(spare, POINTS.fine));
  const whole = waysFrom(axes, found, spare, samples, WHOLE, (share) => onShare(0.4 * share));
  if ((whole[0]?.explains?.both ?? 0) >= PLAINLY) return whole;
  // Whatever is missing of it: axes and boxes of a fragment say nothing of the whole.
  const pairs = pairGuesses(found, spare, outwards(found));
  return waysFrom([...axes, ...pairs], found, spare, samples, ANY, (share) => onShare(0.4 + 0.6 * share));
}

interface Sampled {
  rated: Samples;
  coarse: Samples;
  close: Samples;
  fine: Samples;
}

/** Ways that are looked at with few points and with more: of a piece that its axes already lay well, and of any. */
const WHOLE = { coarse: 24, close: 8, closeWithin: LIKELY };
const ANY = { coarse: 36, close: 12, closeWithin: Infinity };
/** What explains less is another piece, however near it is brought. */
const HARDLY = 0.25;
/** What explains so much of both is not looked for elsewhere. */
const PLAINLY = 0.95;

function waysFrom(
  guesses: readonly Matrix4[],
  found: WeldedMesh,
  spare: WeldedMesh,
  samples: Sampled,
  most: typeof WHOLE,
  onShare: (share: number) => void,
): Laid[] {
  const rated = guesses.map((place, index) => {
    if (index % 50 === 0) onShare((0.4 * index) / guesses.length);
    return { place, worth: ratedBy(distances(samples.rated, place, spare)).worth };
  });
  const coarse = distinct(rated.sort(byWorth), most.coarse).map(({ place }, index) => {
    onShare(0.4 + (0.2 * index) / most.coarse);
    return refined(samples.coarse, spare, place, 'coarse', null);
  });
  const begun = asGood(distinct(coarse.sort(byWorth), most.close), most.closeWithin);
  const close = begun.map(({ place }, index) => {
    onShare(0.6 + (0.2 * index) / begun.length);
    return refined(samples.close, spare, place, 'close', null);
  });
  // What swelled lies as well in its middle as on either side, from where no small step leads to the other.
  const [best] = close.sort(byWorth);
  const aside = shiftsOf(samples.close, spare, best!.place).map((place) =>
    refined(samples.close, spare, place, 'close', null),
  );
  const good = asGood(distinct([...close, ...aside].sort(byWorth), MOST_WAYS), LIKELY);
  const facing = facingOf(samples.close, spare, good);
  // What hardly explains either is not brought nearer with thousands of points.
  const hopeful = explainedBest(good, found, spare, facing, HOPEFUL);
  if ((hopeful[0]?.explains?.both ?? 0) < HARDLY) return hopeful;
  const fine = hopeful.map(({ place }, index) => {
    onShare(0.85 + (0.15 * index) / hopeful.length);
    return refined(samples.fine, spare, place, 'fine', facing);
  });
  return explainedBest(distinct(fine.sort(byWorth), MOST_WAYS), found, spare, facing, AS_MUCH);
}

/** What the mirror image of a piece explains, by few points: enough to say that it is one. */
export function explainedMirrored(found: WeldedMesh, spare: WeldedMesh): number {
  const mirrored = mirrorOf(found);
  const [coarse, close] = [samplesOf(mirrored, POINTS.coarse), samplesOf(mirrored, POINTS.close)];
  const begun = pairGuesses(mirrored, spare, outwards(mirrored))
    .map((place) => ({ place, worth: ratedBy(distances(coarse, place, spare)).worth }))
    .sort(byWorth)
    .slice(0, MIRRORED_WAYS)
    .map(({ place }) => refined(coarse, spare, place, 'coarse', null))
    .sort(byWorth);
  const ways = distinct(begun, 3).map(({ place }) => refined(close, spare, place, 'close', null));
  const facing = facingOf(close, spare, ways);
  return explainedBest(ways, mirrored, spare, facing, AS_MUCH)[0]?.explains?.both ?? 0;
}

const MIRRORED_WAYS = 12;

const mirrorOf = ({ positions, indices }: WeldedMesh): WeldedMesh => ({
  positions: positions.map((mm, at) => (at % 3 === 0 ? -mm : mm)),
  indices: indices.map((_, at) => indices[3 * Math.floor(at / 3) + (2 - (at % 3))]!),
});

/** Whether its faces look out (1) or in (-1), by the volume that they hold about its middle; a break leaves that its sign. */
function outwards({ positions, indices }: WeldedMesh): 1 | -1 {
  const middle = [0, 0, 0];
  for (let at = 0; at < positions.length; at += 1) middle[at % 3]! += positions[at]! / (positions.length / 3);
  let volume = 0;
  for (let at = 0; at < indices.length; at += 3) {
    const cross = crossOf(positions, indices, at);
    const corner = 3 * indices[at]!;
    for (let axis = 0; axis < 3; axis += 1)
      volume += cross[axis]! * (positions[corner + axis]! - middle[axis]!);
  }
  return volume < 0 ? -1 : 1;
}

/** Near is on the spare: what a scan is off, or this share of the spare. */
const ON_SHARE = 0.006;
/** Ways whose shares differ by less explain as much. */
const AS_MUCH = 0.04;
/** Before they are brought nearest, those that explain less by this may still win. */
const HOPEFUL = 0.12;

/** Those that explain most of the piece and of the spare, the best first. */
function explainedBest(
  ways: readonly Laid[],
  found: WeldedMesh,
  spare: WeldedMesh,
  facing: 1 | -1 | null,
  asMuch: number,
): Laid[] {
  const withinMm = Math.max(2 * SCANNED_MM, ON_SHARE * diagonalOf(spare));
  const told = ways
    .map((way) => ({ ...way, explains: explained(found, spare, way.place, facing, withinMm) }))
    .sort((a, b) => b.explains.both - a.explains.both);
  const [best] = told;
  if (!best) return [];
  return told
    .filter(({ explains }) => explains.both > best.explains.both - asMuch)
    .sort((a, b) => (Math.abs(a.explains.both - b.explains.both) < AS_MUCH / 2 ? byWorth(a, b) : 0));
}

/** The same way, but brought as near as all of the piece comes, whatever of it wore, broke or swelled. */
export function laidByAll(found: WeldedMesh, spare: WeldedMesh, { place }: Laid): Laid {
  return refined(samplesOf(found, POINTS.fine), spare, place, 'fine', null, true);
}

const byWorth = (a: { worth: number }, b: { worth: number }) => a.worth - b.worth;
const asGood = (ranked: readonly Laid[], factor: number) =>
  ranked.filter(({ worth }) => worth <= ranked[0]!.worth * factor);

/** A place moved along each axis, both ways, by as much as most of the piece is off. */
function shiftsOf(found: Samples, spare: WeldedMesh, place: Matrix4): Matrix4[] {
  const mms = Float64Array.from(distances(found, place, spare)).sort();
  const by = mms[Math.floor(MOSTLY * mms.length)]!;
  return [0, 1, 2].flatMap((axis) =>
    [by, -by].map((mm) => {
      const [x, y, z] = [0, 1, 2].map((own) => (own === axis ? mm : 0)) as [number, number, number];
      return new Matrix4().makeTranslation(x, y, z).multiply(place);
    }),
  );
}

/** Those that differ, the first of each kind. */
function distinct<T extends { place: Matrix4 }>(ranked: readonly T[], most: number): T[] {
  const kept: { one: T; turn: Quaternion; at: Vector3 }[] = [];
  for (const one of ranked) {
    const [at, turn, scale] = [new Vector3(), new Quaternion(), new Vector3()];
    one.place.decompose(at, turn, scale);
    const isKnown = kept.some(
      (other) => other.turn.angleTo(turn) < SAME_TURN && other.at.distanceTo(at) < SAME_PLACE_MM,
    );
    if (!isKnown) kept.push({ one, turn, at });
    if (kept.length === most) break;
  }
  return kept.map(({ one }) => one);
}

/** Principal axes brought onto each other in every way that keeps left and right, with the boxes' middles or ends together. */
function firstGuesses(found: Samples, spare: Samples): Matrix4[] {
  const [own, other] = [axesOf(found), axesOf(spare)];
  const turns = SQUARE_TURNS.flatMap((square) =>
    // About an axis that looks the same all round, its own principal axes say nothing: several turns of it.
    between(other).map((within) =>
      other.axes.clone().multiply(within).multiply(square).multiply(own.axes.clone().transpose()),
    ),
  );
  return turns.flatMap((turn) => {
    const [low, high] = boxAlong(found, turn, other.axes);
    const [wantedLow, wantedHigh] = boxAlong(spare, new Matrix4(), other.axes);
    return SIDES.map((sides) => {
      const by = new Vector3();
      for (let axis = 0; axis < 3; axis += 1) {
        const ends = [
          (wantedLow[axis]! + wantedHigh[axis]! - low[axis]! - high[axis]!) / 2,
          wantedLow[axis]! - low[axis]!,
          wantedHigh[axis]! - high[axis]!,
        ];
        by.addScaledVector(new Vector3().setFromMatrixColumn(other.axes, axis), ends[sides[axis]!]!);
      }
      return turn.clone().setPosition(by);
    });
  });
}

/** The middles of the boxes together, or one end of the longest axis, or one end of each of the two longer ones. */
const SIDES = [0, 1, 2].flatMap((x) => [0, 1, 2].map((y) => [x, y, 0] as const));

/** The 24 turns that bring three square axes onto each other. */
const SQUARE_TURNS = squareTurns();

function squareTurns(): Matrix4[] {
  const turns: Matrix4[] = [];
  const ways = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ].flatMap(([x, y, z]) => [new Vector3(x, y, z), new Vector3(-x!, -y!, -z!)]);
  for (const x of ways) {
    for (const y of ways) {
      if (x.dot(y) === 0) turns.push(new Matrix4().makeBasis(x, y, x.clone().cross(y)));
    }
  }
  return turns;
}

interface Axes {
  /** Columns, the longest first; a turn. */
  axes: Matrix4;
  /** Spread along each, mm². */
  spread: number[];
}

/** The principal axes of the surface. */
function axesOf({ points }: Samples): Axes {
  const count = points.length / 3;
  const middle = [0, 0, 0];
  for (let at = 0; at < points.length; at += 1) middle[at % 3]! += points[at]! / count;
  const spread = Matrix.zeros(3, 3);
  for (let at = 0; at < points.length; at += 3) {
    const off = [0, 1, 2].map((axis) => points[at + axis]! - middle[axis]!);
    for (let row = 0; row < 3; row += 1) {
      for (let column = 0; column < 3; column += 1) {
        spread.set(row, column, spread.get(row, column) + (off[row]! * off[column]!) / count);
      }
    }
  }
  const { eigenvectorMatrix, realEigenvalues } = new EigenvalueDecomposition(spread, {
    assumeSymmetric: true,
  });
  // Ascending: the last is the longest.
  const [x, y] = [2, 1].map((column) => new Vector3(...eigenvectorMatrix.getColumn(column))) as [
    Vector3,
    Vector3,
  ];
  return {
    axes: new Matrix4().makeBasis(x, y, x.clone().cross(y)),
    spread: [...realEigenvalues].reverse(),
  };
}

/** Two spreads are as good as equal within this factor. */
const EQUAL = 1.25;
/** Sixths of a right angle. */
const SIXTHS = [0, 1, 2, 3, 4, 5].map((step) => (step * Math.PI) / 12);

/** Turns within the axes that look the same: none, about one axis, or about all. */
function between({ spread: [long, middle, short] }: Axes): Matrix4[] {
  const [first, second] = [long! < EQUAL * middle!, middle! < EQUAL * short!];
  if (first && second) {
    return SIXTHS.filter((_, step) => step % 2 === 0).flatMap((a) =>
      SIXTHS.filter((_, step) => step % 2 === 0).map((b) =>
        new Matrix4().makeRotationZ(a).multiply(new Matrix4().makeRotationX(b)),
      ),
    );
  }
  if (first) return SIXTHS.map((angle) => new Matrix4().makeRotationZ(angle));
  if (second) return SIXTHS.map((angle) => new Matrix4().makeRotationX(angle));
  return [new Matrix4()];
}

/** How far points reach along axes once they are turned. */
function boxAlong({ points }: Samples, turn: Matrix4, axes: Matrix4): [number[], number[]] {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  const seen = axes.clone().transpose().multiply(turn);
  const point = new Vector3();
  for (let at = 0; at < points.length; at += 3) {
    point.fromArray(points, at).applyMatrix4(seen);
    point.toArray().forEach((mm, axis) => {
      low[axis] = Math.min(low[axis]!, mm);
      high[axis] = Math.max(high[axis]!, mm);
    });
  }
  return [low, high];
}

function distances({ points }: Samples, place: Matrix4, spare: WeldedMesh): number[] {
  const point = new Vector3();
  return Array.from({ length: points.length / 3 }, (_, sample) => {
    point.fromArray(points, 3 * sample).applyMatrix4(place);
    return nearestTo(spare, point.toArray())!.mm;
  });
}

/** The share of distances that fits best for its size, as the greatest that still counts (FRMSD). @param all how many there are at most. */
function ratedBy(mms: readonly number[], all = mms.length): { worth: number; withinMm: number } {
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
function facingOf(found: Samples, spare: WeldedMesh, ways: readonly Laid[]): 1 | -1 | null {
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

/** Brings a piece nearer round by round, until it stays or the rounds are over. */
function refined(
  found: Samples,
  spare: WeldedMesh,
  start: Matrix4,
  how: keyof typeof ROUNDS,
  facing: 1 | -1 | null,
  byAll = false,
): Laid {
  const place = start.clone();
  const [point, normal] = [new Vector3(), new Vector3()];
  let laid: Laid = { place, worth: Infinity };
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
    laid = { place: place.clone(), worth };
    const step = stepTo(byAll ? pairs : pairs.filter(({ mm }) => mm <= withinMm));
    if (!step) break;
    place.premultiply(step.move);
    if (step.mm < STEP_MM[how]) break;
  }
  return laid;
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

/** How little everything is held where it is, beside what a point holds. */
const HOLD = 1e-6;
/** Six numbers want as many points. */
const LEAST_PAIRS = 6;

/** The small turn and move that bring points onto the planes beside them, by least squares; null where nothing holds them. */
function stepTo(
  pairs: readonly { at: Vector3; out: Vector3; off: number }[],
): { move: Matrix4; mm: number } | null {
  if (pairs.length < LEAST_PAIRS) return null;
  const middle = new Vector3();
  for (const { at } of pairs) middle.addScaledVector(at, 1 / pairs.length);
  const [normal, right] = [Matrix.zeros(6, 6), Matrix.zeros(6, 1)];
  for (const { at, out, off } of pairs) {
    const about = at.clone().sub(middle).cross(out);
    const row = [about.x, about.y, about.z, out.x, out.y, out.z];
    for (let i = 0; i < 6; i += 1) {
      right.set(i, 0, right.get(i, 0) - row[i]! * off);
      for (let j = 0; j < 6; j += 1) normal.set(i, j, normal.get(i, j) + row[i]! * row[j]!);
    }
  }
  // What nothing holds, such as a wheel about its axle, stays where it is.
  for (let i = 0; i < 6; i += 1) normal.set(i, i, normal.get(i, i) + HOLD * pairs.length);
  const solver = new CholeskyDecomposition(normal);
  if (!solver.isPositiveDefinite()) return null;
  const by = solver.solve(right).getColumn(0);
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
