import type { Affine } from './affine';
import type { Vec3 } from '@core/foundations/vectors';
import type { Annotation, CentreLine } from './annotation';
import { along, cross, dot, unit } from '@core/foundations/vectors';
import { isWorld, toLocal, toWorld, wayToWorld, WORLD, type Frame } from './frame';
import type { Box } from './solidCheck';

/** How far a cut reaches past a face it comes out of, mm: faces that coincide would leave a skin. */
export const OVERRUN_MM = 1;

/** Where a step's solid stands, all in one frame: it is made there along the axes and then brought to its place. */
export interface Placement {
  frame: Frame;
  /** The middle of the solid. */
  at: readonly [number, number];
  /** Height of what it stands on. */
  level: number;
  /** Cuts go up from it: it stands on the ground, under the part. */
  up: boolean;
  /** How far past its level a cut reaches: nowhere within the part, out of it at its outermost faces. */
  past: number;
  /** The solid's own low (-1) or high (1) edge is held at `at`, not its middle. */
  flush: readonly [number, number];
  /** Box of what is there, along the frame. */
  box: Box | null;
}

/** Where a step without a place stands. */
export const plainPlacement = (box: Box | null): Placement => ({
  frame: WORLD,
  at: [0, 0],
  level: box?.[5] ?? 0,
  up: false,
  past: OVERRUN_MM,
  flush: [0, 0],
  box,
});

/**
 * Where a step stands once a later one has taken everything elsewhere. Its ways stay square to each other and of length
 * one: of a map that stretches or mirrors only where the step's middle goes is kept.
 */
export function carriedPlacement(stand: Placement, map: Affine): Placement {
  const { frame, at, level } = stand;
  const x = unit(wayToWorld(map, frame.x));
  const up = wayToWorld(map, frame.z);
  const z = unit(along(up, x, -dot(up, x)));
  const moved: Frame = { origin: toWorld(map, frame.origin), x, y: cross(z, x), z };
  const [a, b, c] = toLocal(moved, toWorld(map, toWorld(frame, [...at, level])));
  return { ...stand, frame: moved, at: [a, b], level: c };
}

/** What is drawn of a step, brought from its frame to its place. */
export function drawnInWorld<T extends { annotations: Annotation[]; centreLines: CentreLine[] }>(
  drawn: T,
  { frame }: Pick<Placement, 'frame'>,
): Pick<T, 'annotations' | 'centreLines'> {
  if (isWorld(frame)) return drawn;
  const point = (at: Vec3) => toWorld(frame, at);
  const way = (out: Vec3) => wayToWorld(frame, out);
  return {
    annotations: drawn.annotations.map((one) => ({
      ...one,
      spans: one.spans.map(({ from, to, out }) => ({ from: point(from), to: point(to), out: way(out) })),
      points: one.points.map(({ at, out }) => ({ at: point(at), out: way(out) })),
    })),
    centreLines: drawn.centreLines.map(({ from, to, radius }) => ({
      from: point(from),
      to: point(to),
      radius,
    })),
  };
}
