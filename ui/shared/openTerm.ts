import { create } from 'zustand';

import type { TermId } from '@core/reporting/glossary';

interface OpenTerm {
  /** The word that is explained now; null for none. */
  term: TermId | null;
  open(term: TermId): void;
  close(): void;
}

/** Which word of the glossary is open, over whatever asked for it. */
export const useOpenTerm = create<OpenTerm>((set) => ({
  term: null,
  open: (term) => set({ term }),
  close: () => set({ term: null }),
}));
