import type { Repair, Revision, Trial } from '@core/record/model';

/** How the trials of a revision went: as wished everywhere, not everywhere, or nobody tried. */
export type Outcome = 'fitted' | 'didNotFit' | 'untried';

/** A revision in the tree of all. */
export interface Branch {
  revision: Revision;
  /** The letter that it came from; null for the first. */
  from: string | null;
  /** It came from another than the one before it. */
  branched: boolean;
  outcome: Outcome;
}

/** The letter that a revision came from: the one that its state went back to, else the one before it. */
export function parentOf(revision: Revision, revisions: readonly Revision[]): string | null {
  const before = revisions[revisions.findIndex(({ id }) => id === revision.id) - 1];
  return revision.state.head.standsOn ?? before?.letter ?? null;
}

/** All revisions in the order in which they were frozen, each with the revision before it and the result of its trial. */
export function branchesOf({ revisions, trials }: Pick<Repair, 'revisions' | 'trials'>): Branch[] {
  return revisions.map((revision, index) => {
    const from = parentOf(revision, revisions);
    return {
      revision,
      from,
      branched: index > 0 && from !== revisions[index - 1]!.letter,
      outcome: outcomeOf(revision.letter, trials),
    };
  });
}

/** The newest revision that went as wished everywhere, or null. */
export const lastThatFitted = (repair: Pick<Repair, 'revisions' | 'trials'>): Revision | null =>
  branchesOf(repair).findLast(({ outcome }) => outcome === 'fitted')?.revision ?? null;

/** By the last trial of it: what was tried earlier may have been mended since. */
function outcomeOf(letter: string, trials: readonly Trial[]): Outcome {
  const last = trials.findLast(
    (trial) => trial.letter === letter && !trial.removed && trial.of === 'part' && hasVerdict(trial),
  );
  if (!last) return 'untried';
  return last.results.every(({ verdict }) => verdict === null || verdict === 'right')
    ? 'fitted'
    : 'didNotFit';
}

const hasVerdict = ({ results }: Trial) => results.some(({ verdict }) => verdict !== null);
