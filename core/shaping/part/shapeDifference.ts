import type { Picture } from '@core/record/model';

import type { Vec3 } from '@core/foundations/vectors';

/** What differs between two shapes of a body. */
export interface ShapeDifference {
  /** What only the later one has, and what only the earlier one had, mm³. */
  addedMm3: number;
  removedMm3: number;
  /** The place of either that is furthest from the other, within what a screen's mesh is off; null if they are the same. */
  furthest: { mm: number; at: Vec3; was: 'added' | 'removed' } | null;
  /** All four drawn from the same corner in the same frame. */
  before: Picture;
  after: Picture;
  added: Picture | null;
  removed: Picture | null;
}
