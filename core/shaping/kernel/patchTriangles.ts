import { along, dot, minus, type Vec3 } from '@core/foundations/vectors';
import { toWorld, wayToWorld, type MeshQuality } from '@core/shaping/part';

import { pieceOfArc, pointsAlong } from './dividedEdge';
import type { FacePiece } from './facePiece';
import type { Shape } from './kernel';
import { positive } from './spunLine';
import { outUp, type SpunPatch } from './spunPatch';
import { stitched } from './stitched';

/** A point on a side, and its share of the side's way. */
interface OnSide {
  point: Vec3;
  share: number;
}

/**
 * Triangles of a patch between the points of its edges, which its neighbours have too.
 * @param linesOf the segments of an edge, six numbers each.
 */
export function patchTriangles(
  patch: SpunPatch,
  linesOf: (edge: Shape) => Float32Array,
  quality: MeshQuality,
): FacePiece {
  const { edges, from, to, line } = patch;
  const turnShare = (point: Vec3) => positive(turnOf(patch, point) - from) / (to - from);
  const lineShare = (point: Vec3) => line.shareOf(outUp(patch.frame, point));
  const bottom = onSide(linesOf(edges.bottom), turnShare);
  const top = onSide(linesOf(edges.top), turnShare);
  const left = onSide(linesOf(edges.left), lineShare);
  const right = onSide(linesOf(edges.right), lineShare);
  const shares = (side: readonly OnSide[]) => side.map(({ share }) => share);
  const { inner, triangles } = stitched(
    { bottom: shares(bottom), right: shares(right), top: shares(top), left: shares(left) },
    piecesIn(to - from, line.reach, quality),
    line.bend ? piecesIn(line.bend.angle, line.bend.radius, quality) : 1,
  );
  const border = [
    ...bottom.slice(0, -1).map(({ point, share }) => ({ point, s: share, t: 0 })),
    ...right.slice(0, -1).map(({ point, share }) => ({ point, s: 1, t: share })),
    ...top
      .slice(1)
      .reverse()
      .map(({ point, share }) => ({ point, s: share, t: 1 })),
    ...left
      .slice(1)
      .reverse()
      .map(({ point, share }) => ({ point, s: 0, t: share })),
  ];
  const within = inner.map(([s, t]) => ({ point: pointAt(patch, s, t), s, t }));
  const points = [...border, ...within];
  return {
    positions: Float32Array.from(points.flatMap(({ point }) => point)),
    normals: Float32Array.from(points.flatMap(({ s, t }) => normalAt(patch, s, t))),
    indices: Uint32Array.from(patch.isReversed ? triangles.reverse() : triangles),
  };
}

const piecesIn = (angle: number, radius: number, quality: MeshQuality): number =>
  Math.ceil(angle / pieceOfArc(radius, quality));

/** The points of a side from its lower or left end on. */
function onSide(lines: Float32Array, shareOf: (point: Vec3) => number): OnSide[] {
  const points = pointsAlong(lines);
  // Both ends of a side that closes are one point: the next one tells which way it goes.
  const [first, last] = points.length > 2 ? [points[1]!, points.at(-2)!] : [points[0]!, points.at(-1)!];
  const onward = shareOf(first) < shareOf(last) ? points : points.reverse();
  return onward.map((point, index) => ({
    point,
    share: index === 0 ? 0 : index === onward.length - 1 ? 1 : shareOf(point),
  }));
}

function turnOf({ frame: { origin, x, y } }: SpunPatch, point: Vec3): number {
  const from = minus(point, origin);
  return Math.atan2(dot(from, y), dot(from, x));
}

function pointAt(patch: SpunPatch, s: number, t: number): Vec3 {
  const [out, up] = patch.line.at(t);
  const turn = patch.from + s * (patch.to - patch.from);
  return toWorld(patch.frame, [out * Math.cos(turn), out * Math.sin(turn), up]);
}

function normalAt(patch: SpunPatch, s: number, t: number): Vec3 {
  const [out, up] = patch.line.normalAt(t);
  const turn = patch.from + s * (patch.to - patch.from);
  const direction = wayToWorld(patch.frame, [out * Math.cos(turn), out * Math.sin(turn), up]);
  return patch.isReversed ? along([0, 0, 0], direction, -1) : direction;
}
