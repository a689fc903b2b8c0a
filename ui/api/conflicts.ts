import { create } from 'zustand';

import type { QueuedChange } from './queryClient';

/** Two versions of one row: what somebody else made of it, and what was wanted here. */
export interface Conflict {
  /** What was wanted here. */
  queued: QueuedChange;
  theirs: QueuedChange['change']['value'] | null;
}

interface Conflicts {
  waiting: Conflict[];
  add(conflict: Conflict): void;
  settle(conflict: Conflict): void;
}

/** Stale changes that wait for the person to choose. */
export const useConflicts = create<Conflicts>((set) => ({
  waiting: [],
  add: (conflict) => set(({ waiting }) => ({ waiting: [...waiting, conflict] })),
  settle: (conflict) => set(({ waiting }) => ({ waiting: waiting.filter((other) => other !== conflict) })),
}));
