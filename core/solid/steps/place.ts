import type { EvaluatedRepair } from '@core/fit';
import type { Effect, Value } from '@core/model';

import type { Box } from '../check';
import { resolvePosition } from '../resolve';

/** How far a cut reaches past a face it comes out of, mm: faces that coincide would leave a skin. */
export const OVERRUN_MM = 1;

export interface Place {
  on: 'top' | 'bottom';
  x: Value;
  y: Value;
}

/** The place's numbers, to be resolved with the step's own. */
export const placeNumbers = ({ x, y }: Place, numbers: EvaluatedRepair) => ({
  x: resolvePosition(x, 'place to the right', numbers),
  y: resolvePosition(y, 'place to the back', numbers),
});

/** Height that a place is at: the top of what is there, or zero. */
export const levelOf = ({ on }: Pick<Place, 'on'>, box: Box | null): number =>
  on === 'top' ? (box?.[5] ?? 0) : 0;

/**
 * From where to where an upright solid of a height reaches. Added ones stand up from their place; cuts and what is
 * kept in common go into what is there, down from the top or up from the bottom, and come out a little past the face
 * that they begin at.
 *
 * @param height mm, or null for right through.
 */
export function reach(
  { on }: Pick<Place, 'on'>,
  effect: Effect,
  height: number | null,
  box: Box | null,
): { from: number; to: number } {
  const [low, high] = [box?.[2] ?? 0, box?.[5] ?? 0];
  if (height === null) return { from: low - OVERRUN_MM, to: high + OVERRUN_MM };
  const level = levelOf({ on }, box);
  if (effect === 'add') return { from: level, to: level + height };
  return on === 'top'
    ? { from: level - height, to: level + OVERRUN_MM }
    : { from: level - OVERRUN_MM, to: level + height };
}
