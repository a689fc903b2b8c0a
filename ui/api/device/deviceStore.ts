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
    get: (key) => get(key, store()),
    put: (key, value) => told(() => set(key, value, store())),
    remove: (key) => told(() => del(key, store())),
    entries: () => entries<string, unknown>(store()),
  };
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
