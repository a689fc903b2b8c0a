import { createStore, del, entries, set, get } from 'idb-keyval';
import { create } from 'zustand';

/** A place on this device that outlives the page: values under keys. */
export interface DeviceStore {
  get(key: string): Promise<unknown>;
  put(key: string, value: unknown): Promise<void>;
  remove(key: string): Promise<void>;
  entries(): Promise<[string, unknown][]>;
}

/** Whether this device keeps what it is given; if not, the person must know before the page is left. */
interface Keeping {
  failed: boolean;
  report(failed: boolean): void;
}

export const useKeeping = create<Keeping>((set) => ({
  failed: false,
  report: (failed) => set({ failed }),
}));

/** A store of the browser's own database, with as much room as the disk has. What fails is told by `useKeeping`. */
export function browserStore(name: string): DeviceStore {
  // Opened when it is first needed, and again if that failed.
  let opened: ReturnType<typeof createStore> | null = null;
  const store = () => (opened ??= createStore(`even-spare-${name}`, 'kept'));
  return {
    get: (key) => inTime(get(key, store())),
    put: (key, value) => told(() => set(key, value, store())),
    remove: (key) => told(() => del(key, store())),
    entries: () => inTime(entries<string, unknown>(store())),
  };
}

/** Longest wait for the browser's database, ms; another tab can keep it from opening, and the screen must not wait for that. */
const PATIENCE_MS = 4000;

function inTime<T>(work: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Error('the store of this device does not answer')), PATIENCE_MS);
  });
  return Promise.race([work, late]).finally(() => clearTimeout(timer));
}

async function told(work: () => Promise<void>): Promise<void> {
  try {
    await work();
    useKeeping.getState().report(false);
  } catch {
    // The sign says so for as long as it lasts; what could not be kept is still in the page.
    useKeeping.getState().report(true);
  }
}
