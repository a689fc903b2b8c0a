import { useMemo } from 'react';

import type { SolvedCurve } from '@core/shaping/drawn';
import { circleThrough } from '@core/foundations/vectors';
import { shiftBehind, type BehindOutline, type SeenCurve, type SeenPiece } from '@core/shaping/part';

import { pointsAlong } from './boardView';

/** What is behind an outline as segments, four numbers each, mm along the outline's own ways: moved as one that is held at its own edge grows. */
export function useShiftedBehind(
  behind: BehindOutline | null,
  curves: readonly SolvedCurve[],
): Float32Array | null {
  const isHeld = behind !== null && isPlacedByEdge(behind);
  const places = isHeld ? curves.filter(({ helper }) => !helper).flatMap(pointsAlong) : [];
  const [dx, dy] = behind && isHeld ? shiftBehind(behind, places) : [0, 0];
  return useMemo(
    () => behind && behind.segments.map((value, index) => value + (index % 2 === 0 ? dx : dy)),
    [behind, dx, dy],
  );
}

/** The outline is placed by an edge of its own. */
export const isPlacedByEdge = ({ flush }: BehindOutline): boolean => flush[0] !== 0 || flush[1] !== 0;

/** Where the outline's plane cuts the part, as curves that the board can draw. */
export const cutsIn = (seen: readonly SeenPiece[] | null): readonly SolvedCurve[] =>
  (seen ?? []).flatMap(({ of, curve }) => ('cut' in of ? (drawable(curve) ?? []) : []));

/** What is seen, as a curve of the board; null for what is seen as a point. */
export function drawable(curve: SeenCurve): SolvedCurve | null {
  const named = { id: '', helper: true };
  switch (curve.kind) {
    case 'point':
      return null;
    case 'line':
    case 'circle':
    case 'spline':
      return { ...named, ...curve };
    case 'arc': {
      const { middle, radius } = circleThrough(curve.from, curve.via, curve.to);
      return { ...named, ...curve, middle, radius };
    }
  }
}
