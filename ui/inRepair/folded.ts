import { create } from 'zustand';

import { toggled } from '../preferences/toggled';

/** How a person reads recipes now: which sections are folded away, by the step that they begin with, and whether steps are short. */
interface Folded {
  sections: readonly string[];
  isShort: boolean;
  toggleSection(stepId: string): void;
  toggleShort(): void;
}

export const useFolded = create<Folded>((set) => ({
  sections: [],
  isShort: false,
  toggleSection: (stepId) => set(({ sections }) => ({ sections: toggled(sections, stepId) })),
  toggleShort: () => set(({ isShort }) => ({ isShort: !isShort })),
}));
