import { hashKey, type QueryClient, type QueryKey, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';

import { laterLists, stateInPresentWords } from '@core/record/model';

import { browserStore, type DeviceStore } from './deviceStore';

/** Copies are written this long after the last change, ms, and at once when the page is left. */
const SETTLED_MS = 200;
const DAY_MS = 24 * 60 * 60 * 1000;
const KEPT_DAYS = 30;
/** Repairs whose copies are kept, the newest ones. */
const KEPT_COUNT = 40;

interface KeptCopy {
  data: unknown;
  updatedAt: number;
}

export const copies: DeviceStore = browserStore('copies');

const isKept = (key: QueryKey) => key[0] === 'repair' || key[0] === 'workshop';

/** Keeps a copy of each repair that was opened, and of the workshop, for when the server is away. */
export function keepCopies(client: QueryClient, store: DeviceStore): () => void {
  const waiting = new Map<string, ReturnType<typeof setTimeout>>();
  const write = (hash: string) => {
    clearTimeout(waiting.get(hash));
    waiting.delete(hash);
    const query = client.getQueryCache().get(hash);
    if (query?.state.status !== 'success') return;
    const copy: KeptCopy = { data: query.state.data, updatedAt: query.state.dataUpdatedAt };
    void store.put(hash, copy);
  };
  const stop = client.getQueryCache().subscribe(({ type, query }) => {
    if (type !== 'updated' || !isKept(query.queryKey as QueryKey)) return;
    clearTimeout(waiting.get(query.queryHash));
    waiting.set(
      query.queryHash,
      setTimeout(() => write(query.queryHash), SETTLED_MS),
    );
  });
  const writeAll = () => [...waiting.keys()].forEach(write);
  globalThis.addEventListener?.('pagehide', writeAll);
  return () => {
    stop();
    writeAll();
    globalThis.removeEventListener?.('pagehide', writeAll);
  };
}

/** Gives room: copies that nobody has opened for long, and all but the newest. */
export async function forgetOldCopies(store: DeviceStore, now: number): Promise<void> {
  const kept = (await store.entries()).map(([key, value]) => ({ key, at: (value as KeptCopy).updatedAt }));
  kept.sort((a, b) => b.at - a.at);
  const old = kept.filter(({ at }, index) => index >= KEPT_COUNT || now - at > KEPT_DAYS * DAY_MS);
  for (const { key } of old) await store.remove(key);
}

/** Puts the copy of this device in the query's place, unless there is something newer; the server is asked besides. */
export async function restoreCopy(client: QueryClient, key: QueryKey, store: DeviceStore): Promise<void> {
  if (client.getQueryData(key) !== undefined) return;
  const copy = (await store.get(hashKey(key))) as KeptCopy | undefined;
  if (!copy || client.getQueryData(key) !== undefined) return;
  client.setQueryData(key, inPresentForm(key, copy.data), { updatedAt: copy.updatedAt });
  // However new it is, the server may know more: the last change before the page was left is not in it yet.
  await client.invalidateQueries({ queryKey: key, exact: true, refetchType: 'none' });
}

/** A copy that an earlier version of this page kept lacks the lists that came later, and has steps in former words. */
function inPresentForm(key: QueryKey, data: unknown): unknown {
  return key[0] === 'repair' ? stateInPresentWords({ ...laterLists(), ...(data as object) }) : data;
}

/** Whether the copy of this device has been looked for; the server is asked then. */
export function useRestoredCopy(key: QueryKey): boolean {
  const client = useQueryClient();
  const hash = hashKey(key);
  const [restored, setRestored] = useState<string | null>(() =>
    client.getQueryData(key) === undefined ? null : hash,
  );
  useEffect(() => {
    let here = true;
    restoreCopy(client, key, copies)
      // Without copies the server is asked all the same.
      .catch(() => undefined)
      .finally(() => here && setRestored(hash));
    return () => {
      here = false;
    };
    // The key is told by its hash.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [client, hash]);
  return restored === hash;
}
