import type { DeviceStore } from './deviceStore';

const PREFIX = 'even-spare-change-';

/**
 * A store that notes each value in the browser's small store first, which is written before the call returns, until the
 * large one has it. A page that is left in the very moment of a tap loses nothing. When the small store is full, the large one alone
 * has to do.
 */
export function withJournal(store: DeviceStore, journal: Storage): DeviceStore {
  const noted = () =>
    Object.keys(journal)
      .filter((slot) => slot.startsWith(PREFIX))
      .flatMap((slot): [string, unknown][] => {
        const text = journal.getItem(slot);
        return text === null ? [] : [[slot.slice(PREFIX.length), JSON.parse(text) as unknown]];
      });
  return {
    get: store.get,
    async put(key, value) {
      note(journal, PREFIX + key, JSON.stringify(value));
      await store.put(key, value);
      // What could not be kept there stays noted here.
      if ((await store.get(key).catch(() => undefined)) !== undefined) journal.removeItem(PREFIX + key);
    },
    async remove(key) {
      journal.removeItem(PREFIX + key);
      await store.remove(key);
    },
    async entries() {
      const kept = new Map(await store.entries().catch(() => []));
      for (const [key, value] of noted()) kept.set(key, value);
      return [...kept];
    },
  };
}

function note(journal: Storage, slot: string, text: string): void {
  try {
    journal.setItem(slot, text);
  } catch {
    // It is full: what follows keeps the value all the same.
  }
}
