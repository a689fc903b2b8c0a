import { Matrix4, Quaternion, Vector3 } from 'three';

import type { WeldedMesh } from '@core/shaping/part';

import { samplesOf, type Samples } from './samples';

/** Points of the spare, and of the found piece, whose pairs are looked at; of the latter so many begin pairs. */
const POINTS = { spare: 420, found: 320, begin: 40 };
/** Pairs are alike whose distances differ by less than this share of the spare's reach, and whose angles by less than this, radians. */
const STEP = { far: 0.045, angle: (12 * Math.PI) / 180 };
/** Turns about a normal that are told apart. */
const TURNS = 30;
/** Guesses that are handed on, the most voted for first. */
const MOST = 60;
/** Two votes are for the same place within this turn, radians, and this share of the reach. */
const SAME = { turn: (20 * Math.PI) / 180, far: 0.06 };

/**
 * Guesses of how a piece lies in a spare, whatever is missing of it: pairs of points with their normals (how far apart they are, and how the normals stand to the line
 * between them and to each other) are looked up among those of the spare, and each pair found votes for the one place in which both lie on each other (Drost, Ulrich, Navab & Ilic, "Model globally,
 * match locally: efficient and robust 3D object recognition", CVPR 2010).
 *
 * @param facing 1 if the found piece's normals look out as the spare's do, −1 if they look in.
 */
export function pairGuesses(found: WeldedMesh, spare: WeldedMesh, facing: 1 | -1): Matrix4[] {
  const [own, other] = [samplesOf(found, POINTS.found), samplesOf(spare, POINTS.spare)];
  const reach = reachOf(other);
  const table = tableOf(other, STEP.far * reach);
  const guesses: { place: Matrix4; votes: number }[] = [];
  const every = Math.floor(POINTS.found / POINTS.begin);
  for (let begin = 0; begin < POINTS.found; begin += every) {
    const best = votedFor(own, begin, other, table, STEP.far * reach, facing);
    for (const { model, turn, votes } of best) {
      const place = toAxis(pointOf(other, model), normalOf(other, model, 1)).invert();
      place.multiply(new Matrix4().makeRotationX(turn));
      place.multiply(toAxis(pointOf(own, begin), normalOf(own, begin, facing)));
      guesses.push({ place, votes });
    }
  }
  return clustered(guesses, SAME.far * reach);
}

/** Pairs of the spare by what they are like: the point that begins each, and the turn of the other about its normal. */
type Table = Map<number, { model: number; turn: number }[]>;

function tableOf(spare: Samples, stepMm: number): Table {
  const table: Table = new Map();
  const count = spare.points.length / 3;
  for (let first = 0; first < count; first += 1) {
    const axis = toAxis(pointOf(spare, first), normalOf(spare, first, 1));
    for (let second = 0; second < count; second += 1) {
      if (first === second) continue;
      const key = keysOf(spare, first, second, 1, stepMm);
      const turn = turnOf(axis, pointOf(spare, second));
      const list = table.get(key);
      if (list) list.push({ model: first, turn });
      else table.set(key, [{ model: first, turn }]);
    }
  }
  return table;
}

function votedFor(
  found: Samples,
  begin: number,
  spare: Samples,
  table: Table,
  stepMm: number,
  facing: 1 | -1,
): { model: number; turn: number; votes: number }[] {
  const models = spare.points.length / 3;
  const votes = new Float32Array(models * TURNS);
  const axis = toAxis(pointOf(found, begin), normalOf(found, begin, facing));
  for (let second = 0; second < found.points.length / 3; second += 1) {
    if (second === begin) continue;
    const like = table.get(keysOf(found, begin, second, facing, stepMm));
    if (!like) continue;
    const own = turnOf(axis, pointOf(found, second));
    // What is like much else says less.
    const weight = 1 / Math.sqrt(like.length);
    for (const { model, turn } of like) {
      const bin = Math.floor(((((turn - own) / (2 * Math.PI)) % 1) + 1) * TURNS) % TURNS;
      votes[model * TURNS + bin]! += weight;
    }
  }
  const best: { model: number; turn: number; votes: number }[] = [];
  for (let rank = 0; rank < BEST_EACH; rank += 1) {
    let at = 0;
    for (let one = 1; one < votes.length; one += 1) if (votes[one]! > votes[at]!) at = one;
    if (!(votes[at]! > 0)) break;
    best.push({
      model: Math.floor(at / TURNS),
      turn: (((at % TURNS) + 0.5) * 2 * Math.PI) / TURNS,
      votes: votes[at]!,
    });
    votes[at] = 0;
  }
  return best;
}

/** Places that each begin of pairs hands on. */
const BEST_EACH = 8;

function clustered(guesses: { place: Matrix4; votes: number }[], sameMm: number): Matrix4[] {
  const clusters: { at: Vector3; turn: Quaternion; votes: number; place: Matrix4 }[] = [];
  for (const { place, votes } of guesses.sort((a, b) => b.votes - a.votes)) {
    const [at, turn, scale] = [new Vector3(), new Quaternion(), new Vector3()];
    place.decompose(at, turn, scale);
    const same = clusters.find((one) => one.turn.angleTo(turn) < SAME.turn && one.at.distanceTo(at) < sameMm);
    if (same) same.votes += votes;
    else clusters.push({ at, turn, votes, place });
  }
  return clusters
    .sort((a, b) => b.votes - a.votes)
    .slice(0, MOST)
    .map(({ place }) => place);
}

const pointOf = ({ points }: Samples, at: number) => new Vector3().fromArray(points, 3 * at);
const normalOf = ({ normals }: Samples, at: number, facing: 1 | -1) =>
  new Vector3().fromArray(normals, 3 * at).multiplyScalar(facing);

/** Brings a point to the origin and its normal onto x. */
function toAxis(point: Vector3, normal: Vector3): Matrix4 {
  const turn = new Quaternion().setFromUnitVectors(normal, new Vector3(1, 0, 0));
  return new Matrix4()
    .makeRotationFromQuaternion(turn)
    .multiply(new Matrix4().makeTranslation(-point.x, -point.y, -point.z));
}

/** The turn about x of a point. */
function turnOf(axis: Matrix4, point: Vector3): number {
  const { y, z } = point.applyMatrix4(axis);
  return Math.atan2(z, y);
}

/** What a pair is like, as one number: how far apart, and the three angles. Plain numbers, since there are hundreds of thousands. */
function keysOf(
  { points, normals }: Samples,
  first: number,
  second: number,
  facing: 1 | -1,
  stepMm: number,
): number {
  const [a, b] = [3 * first, 3 * second];
  const x = points[b]! - points[a]!;
  const y = points[b + 1]! - points[a + 1]!;
  const z = points[b + 2]! - points[a + 2]!;
  const far = Math.sqrt(x * x + y * y + z * z);
  const [mx, my, mz] = [normals[a]!, normals[a + 1]!, normals[a + 2]!];
  const [nx, ny, nz] = [normals[b]!, normals[b + 1]!, normals[b + 2]!];
  const one = angleOf((facing * (mx * x + my * y + mz * z)) / far);
  const other = angleOf((facing * (nx * x + ny * y + nz * z)) / far);
  const both = angleOf(mx * nx + my * ny + mz * nz);
  return ((Math.floor(far / stepMm) * 32 + one) * 32 + other) * 32 + both;
}

const angleOf = (cosine: number) => Math.floor(Math.acos(Math.min(1, Math.max(-1, cosine))) / STEP.angle);

function reachOf({ points }: Samples): number {
  const low = new Vector3(Infinity, Infinity, Infinity);
  const high = new Vector3(-Infinity, -Infinity, -Infinity);
  const point = new Vector3();
  for (let at = 0; at < points.length; at += 3) {
    point.fromArray(points, at);
    low.min(point);
    high.max(point);
  }
  return high.distanceTo(low);
}
