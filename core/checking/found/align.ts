import { Matrix4, Quaternion, Vector3 } from 'three';

import type { WeldedMesh } from '@core/shaping/part';

import { firstGuesses, spun } from './axisGuesses';
import { explained } from './explained';
import { diagonalOf } from './foundMesh';
import { pairGuesses } from './pairGuesses';
import { distances, facingOf, ratedBy, refined, SCANNED_MM, type Aligned } from './refine';
import { crossOf, samplesOf, type Samples } from './samples';

/** Points that a way is tried with at first, once it looks well, and in the end. */
const POINTS = { rated: 100, coarse: 160, close: 500, fine: 2000 };
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
export function alignedTo(
  found: WeldedMesh,
  spare: WeldedMesh,
  onShare: (share: number) => void = () => {},
): Aligned[] {
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
): Aligned[] {
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
  const round = spunNear(best!.place, samples.close, spare).map((place) =>
    refined(samples.close, spare, place, 'close', null),
  );
  const good = asGood(distinct([...close, ...aside, ...round].sort(byWorth), MOST_WAYS), LIKELY);
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

/** Brings a piece near from a place that is about right, and says what it explains there. */
export function refinedFrom(
  start: Matrix4,
  found: WeldedMesh,
  spare: WeldedMesh,
  onShare: (share: number) => void,
): Aligned {
  const [close, fine] = [samplesOf(found, POINTS.close), samplesOf(found, POINTS.fine)];
  const near = refined(close, spare, start, 'close', null);
  onShare(0.4);
  const facing = facingOf(close, spare, [near]);
  const laid = refined(fine, spare, near.place, 'fine', facing);
  onShare(0.9);
  return explainedBest([laid], found, spare, facing, AS_MUCH)[0]!;
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
  ways: readonly Aligned[],
  found: WeldedMesh,
  spare: WeldedMesh,
  facing: 1 | -1 | null,
  asMuch: number,
): Aligned[] {
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
export function alignedByAll(found: WeldedMesh, spare: WeldedMesh, { place }: Aligned): Aligned {
  return refined(samplesOf(found, POINTS.fine), spare, place, 'fine', null, true);
}

const byWorth = (a: { worth: number }, b: { worth: number }) => a.worth - b.worth;
const asGood = (ranked: readonly Aligned[], factor: number) =>
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

/** Of what is round: the turns about its axis in which all of it, and not just most, comes nearest. */
function spunNear(place: Matrix4, found: Samples, spare: WeldedMesh): Matrix4[] {
  const turns = spun(place, samplesOf(spare, POINTS.fine)).map((turned) => {
    const mms = distances(found, turned, spare);
    return { place: turned, worth: mms.reduce((sum, mm) => sum + Math.min(mm, FAR_MM), 0) / mms.length };
  });
  return distinct(turns.sort(byWorth), SPUN_TRIED).map((one) => one.place);
}

/** Further off than this is off, and no more; and as many turns are brought nearer. */
const FAR_MM = 3;
const SPUN_TRIED = 8;

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
