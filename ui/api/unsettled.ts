import { create } from 'zustand';

import { browserStore, type DeviceStore } from './device/deviceStore';
import type { QueuedChange } from './queuedChange';

/** A change that the server did not take, kept until the person has chosen what becomes of it. */
export interface Unsettled {
  /** What was wanted here. */
  queued: QueuedChange;
  /** What somebody else made of the row meanwhile; null where that is not the reason. */
  theirs: QueuedChange['change']['value'] | null;
  /** Why it was not taken, for people. */
  sentence: string;
  /** Whether it was changed somewhere else, so that there are two to choose from. */
  stale: boolean;
}

interface UnsettledChanges {
  waiting: Unsettled[];
  /** Whether the sheet about them is open; they wait all the same when it is not. */
  open: boolean;
  setOpen(open: boolean): void;
  add(unsettled: Unsettled): Promise<void>;
  settle(unsettled: Unsettled): void;
  /** What was kept when the page was left. */
  restore(): Promise<void>;
}

const idOf = ({ queued }: Unsettled) => queued.change.changeId;

/** Made with the store that they are kept in, so that tests can do without a browser's. */
export const unsettledIn = (store: DeviceStore) =>
  create<UnsettledChanges>((set) => ({
    waiting: [],
    open: false,
    setOpen: (open) => set({ open }),
    add: async (unsettled) => {
      set(({ waiting }) => ({
        open: true,
        waiting: [...waiting.filter((other) => idOf(other) !== idOf(unsettled)), unsettled],
      }));
      await store.put(idOf(unsettled), unsettled);
    },
    settle: (unsettled) => {
      set(({ waiting }) => ({ waiting: waiting.filter((other) => idOf(other) !== idOf(unsettled)) }));
      void store.remove(idOf(unsettled));
    },
    restore: async () => {
      const kept = (await store.entries()).map(([, value]) => value as Unsettled);
      set({ waiting: kept });
    },
  }));

export const useUnsettled = unsettledIn(browserStore('unsettled'));
