import type { RepairState } from '@core/model';

import { usesOf } from './usedBy';

/** The fits whose working sizes a body is made with, by their ids: a lid is not asked how the knob under it goes on its shaft. */
export function fitsOfBody(bodyId: string, state: RepairState): Set<string> {
  return new Set(
    state.fits
      .filter(
        ({ id, removed }) =>
          !removed &&
          usesOf(state, { from: 'fit', id }).some((use) => use.kind === 'step' && use.id === bodyId),
      )
      .map(({ id }) => id),
  );
}
