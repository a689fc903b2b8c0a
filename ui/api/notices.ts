import { create } from 'zustand';

/** Something to say in passing: a refusal, or a change that can be undone. */
export interface Notice {
  text: string;
  tone: 'plain' | 'wrong';
  undo?: () => void;
}

interface Notices {
  notice: Notice | null;
  say(notice: Notice): void;
  dismiss(): void;
}

export const useNotices = create<Notices>((set) => ({
  notice: null,
  say: (notice) => set({ notice }),
  dismiss: () => set({ notice: null }),
}));
