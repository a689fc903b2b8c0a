import {
  nextLetter,
  type FrozenFigures,
  type Repair,
  type Revision,
  type Workshop,
} from '@core/record/model';

/**
 * The revision that freezes a repair as it stands, under the next free letter.
 * @param frozenAt ISO 8601 instant.
 */
export function freeze(
  repair: Repair,
  given: { id: string; note: string; frozenAt: string; figures: FrozenFigures[]; workshop: Workshop },
): Revision {
  const { revisions, trials: _trials, scans: _scans, ...state } = repair;
  return {
    ...given,
    version: 0,
    letter: nextLetter(revisions.map((revision) => revision.letter)),
    state,
    removed: false,
  };
}

/** The newest revision, or null. */
export function newestRevision(repair: Repair): Revision | null {
  return repair.revisions.at(-1) ?? null;
}
