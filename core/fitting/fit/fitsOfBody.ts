import type { RepairState } from '@core/record/model';

import { testPieceOf } from './testPieceOf';
import { usesOf } from './usedBy';

/**
 * The fits whose working sizes a body is made with, by their ids: a lid is not asked how the knob under it goes on its shaft. A test piece
 * has those of what it is cut from that lie in it.
 */
export function fitsOfBody(bodyId: string, state: RepairState): Set<string> {
  const body = state.bodies.find(({ id }) => id === bodyId);
  const piece = body && testPieceOf(body, state.fits);
  if (piece) {
    const all = ownFits(piece.bodyId, state);
    return piece.fitId === null ? all : new Set([...all].filter((id) => id === piece.fitId));
  }
  return ownFits(bodyId, state);
}

const ownFits = (bodyId: string, state: RepairState): Set<string> =>
  new Set(
    state.fits
      .filter(
        ({ id, removed }) =>
          !removed &&
          usesOf(state, { from: 'fit', id }).some((use) => use.kind === 'step' && use.id === bodyId),
      )
      .map(({ id }) => id),
  );
