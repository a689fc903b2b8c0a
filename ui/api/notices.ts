import { create } from 'zustand';

/** Something to say in passing: a refusal, or a change that can be undone. */
export interface Notice {
  text: string;
  tone: 'plain' | 'wrong';
  undo?: () => void;
  /** The row that was changed: once it is changed again, this can't be undone by itself any more. */
  row?: string;
}

interface Notices {
  notice: Notice | null;
  /** The last change that can be undone: still to be had when its notice has gone by itself. */
  last: Notice | null;
  say(notice: Notice): void;
  /** The notice has been read, or has stood long enough. */
  dismiss(): void;
  /** Takes back the last change. */
  undo(): void;
  /** A row was changed without an offer to undo it. */
  changed(row: string): void;
  /** The repair is left: what was changed in it is undone there. What is being said goes along. */
  leave(): void;
}

export const useNotices = create<Notices>((set, get) => ({
  notice: null,
  last: null,
  // A refusal changes nothing: what was changed before it can still be undone.
  say: (notice) => set(notice.undo ? { notice, last: notice } : { notice }),
  dismiss: () => set({ notice: null }),
  undo: () => {
    get().last?.undo?.();
    set({ notice: null, last: null });
  },
  changed: (row) =>
    set(({ notice, last }) => ({
      notice: notice?.row === row ? null : notice,
      last: last?.row === row ? null : last,
    })),
  leave: () => set(({ notice }) => ({ last: notice?.undo ? notice : null })),
}));
