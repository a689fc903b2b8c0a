import { nearestTo } from '@core/shaping/boxTree';

import type { SolidMesh, WeldedMesh } from '@core/shaping/part';

/** Where the vertices and the ends of the edges' segments of one mesh are in another build of the same part, in its order; mm. */
export interface MorphTarget {
  positions: Float32Array;
  edges: Float32Array;
}

/** Points closer than this are one, mm; meshes hold single floats. */
const SAME_MM = 1e-3;
/** Points of a face's edges by which a point within it moves, at most. */
const MOST_ANCHORS = 48;

/**
 * Finds each vertex of a mesh in another build of the same recipe: along an edge by its share of the edge's length, within a face by how the
 * face's edges moved, weighted by the inverse of the square of their distance (Shepard, "A two-dimensional interpolation function for
 * irregularly-spaced data", ACM 1968), and then at the nearest place of that face.
 *
 * @returns null where faces or edges of the one have no counterpart in the other, by their names and order.
 */
export function morphTarget(from: SolidMesh, to: SolidMesh): MorphTarget | null {
  const runs = paired(from.edgeRuns, to.edgeRuns, ({ tags }) => [...tags].sort().join(' '));
  const faces = paired(from.faces, to.faces, ({ tag }) => tag);
  if (!runs || !faces) return null;
  const edges = new Float32Array(from.edges.length);
  const movedTo = new Map<string, number>();
  for (const [own, other] of runs) {
    const line = lineOf(to, other);
    const shares = lineOf(from, own).shares;
    for (let point = 0; point < shares.length; point += 1) {
      const at = 6 * own.start + 3 * point;
      edges.set(pointAlong(line, shares, point), at);
      movedTo.set(keyAt(from.edges, at), at);
    }
  }
  const positions = new Float32Array(from.positions.length);
  for (const [own, other] of faces) {
    const vertices = [...new Set(from.indices.subarray(own.start, own.start + own.count))];
    const anchors: { at: number; edge: number }[] = [];
    const within: number[] = [];
    for (const vertex of vertices) {
      const edge =
        movedTo.get(keyAt(from.positions, 3 * vertex)) ?? beside(movedTo, from.positions, 3 * vertex);
      if (edge === undefined) within.push(vertex);
      else {
        anchors.push({ at: 3 * vertex, edge });
        positions.set(edges.subarray(edge, edge + 3), 3 * vertex);
      }
    }
    if (within.length === 0) continue;
    const face: WeldedMesh = {
      positions: to.positions,
      indices: to.indices.slice(other.start, other.start + other.count),
    };
    const few = everyNth(anchors, MOST_ANCHORS);
    for (const vertex of within) {
      const guess = movedWith(from, edges, few, 3 * vertex);
      positions.set(nearestTo(face, guess)?.place ?? guess, 3 * vertex);
    }
  }
  return { positions, edges };
}

/** Those of one list beside those of another, by a name and their order under it; null where the names are not the same. */
function paired<T>(own: readonly T[], other: readonly T[], nameOf: (one: T) => string): [T, T][] | null {
  if (own.length !== other.length) return null;
  const byName = grouped(other, nameOf);
  const pairs: [T, T][] = [];
  for (const [name, ones] of grouped(own, nameOf)) {
    const others = byName.get(name);
    if (others?.length !== ones.length) return null;
    pairs.push(...ones.map((one, index): [T, T] => [one, others[index]!]));
  }
  return pairs;
}

function grouped<T>(all: readonly T[], nameOf: (one: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of all) {
    const name = nameOf(one);
    const group = groups.get(name);
    if (group) group.push(one);
    else groups.set(name, [one]);
  }
  return groups;
}

/** An edge as points, two a segment, with each one's share of its length. */
interface Line {
  points: Float32Array;
  shares: Float64Array;
}

function lineOf({ edges }: SolidMesh, { start, count }: { start: number; count: number }): Line {
  const points = edges.subarray(6 * start, 6 * (start + count));
  const shares = new Float64Array(2 * count);
  let length = 0;
  for (let segment = 0; segment < count; segment += 1) {
    const at = 6 * segment;
    shares[2 * segment] = length;
    length += Math.hypot(
      points[at + 3]! - points[at]!,
      points[at + 4]! - points[at + 1]!,
      points[at + 5]! - points[at + 2]!,
    );
    shares[2 * segment + 1] = length;
  }
  if (length > 0) for (let point = 0; point < shares.length; point += 1) shares[point]! /= length;
  return { points, shares };
}

/** The place on a line that point `index` of another goes to: the same point of as many, or the same share of its length. */
function pointAlong({ points, shares }: Line, own: Float64Array, index: number): Float32Array {
  if (shares.length === own.length) return points.subarray(3 * index, 3 * index + 3);
  const share = own[index]!;
  let segment = 0;
  while (2 * segment + 3 < shares.length && shares[2 * segment + 1]! < share) segment += 1;
  const [low, high] = [shares[2 * segment]!, shares[2 * segment + 1]!];
  const along = high > low ? (share - low) / (high - low) : 0;
  const at = 6 * segment;
  return Float32Array.from(
    [0, 1, 2],
    (axis) => points[at + axis]! + along * (points[at + 3 + axis]! - points[at + axis]!),
  );
}

const keyOf = (x: number, y: number, z: number) =>
  `${Math.round(x / SAME_MM)} ${Math.round(y / SAME_MM)} ${Math.round(z / SAME_MM)}`;
const keyAt = (points: Float32Array, at: number) => keyOf(points[at]!, points[at + 1]!, points[at + 2]!);

/** As a look-up by its key, of a point that rounding may have put into a cell beside its own. */
function beside(known: ReadonlyMap<string, number>, points: Float32Array, at: number): number | undefined {
  const [x, y, z] = [points[at]!, points[at + 1]!, points[at + 2]!];
  for (const dx of ASIDE)
    for (const dy of ASIDE)
      for (const dz of ASIDE) {
        const found = known.get(keyOf(x + dx * SAME_MM, y + dy * SAME_MM, z + dz * SAME_MM));
        if (found !== undefined) return found;
      }
  return undefined;
}

const ASIDE = [0, -1, 1];

function everyNth<T>(all: readonly T[], most: number): T[] {
  const step = Math.max(1, Math.ceil(all.length / most));
  return all.filter((_, index) => index % step === 0);
}

/** Where a point goes that moves as the points about it do. */
function movedWith(
  { positions, edges: before }: SolidMesh,
  after: Float32Array,
  anchors: readonly { at: number; edge: number }[],
  at: number,
): [number, number, number] {
  const moved: [number, number, number] = [0, 0, 0];
  let sum = 0;
  for (const { at: anchor, edge } of anchors) {
    const away =
      (positions[anchor]! - positions[at]!) ** 2 +
      (positions[anchor + 1]! - positions[at + 1]!) ** 2 +
      (positions[anchor + 2]! - positions[at + 2]!) ** 2;
    const weight = 1 / Math.max(away, SAME_MM ** 2);
    sum += weight;
    for (let axis = 0; axis < 3; axis += 1)
      moved[axis]! += weight * (after[edge + axis]! - before[edge + axis]!);
  }
  return [0, 1, 2].map((axis) => positions[at + axis]! + (sum > 0 ? moved[axis]! / sum : 0)) as typeof moved;
}
