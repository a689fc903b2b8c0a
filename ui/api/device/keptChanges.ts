import type { Mutation, QueryClient } from '@tanstack/react-query';

import { changeInPresentWords } from '@core/record/model';

import { CHANGE_KEY, CHANGE_SCOPE, isQueued } from '../queryClient';
import type { QueuedChange } from '../queuedChange';
import type { DeviceStore } from './deviceStore';

/** A change as it is kept: one entry each, so that what is kept of one never depends on the others, or on other tabs. */
interface KeptChange {
  /** Changes go out in the order of these. */
  order: number;
  queued: QueuedChange;
}

let lastOrder = 0;
const nextOrder = () => (lastOrder = Math.max(lastOrder + 1, Date.now() * 1000));

const changeOf = (mutation: Mutation<unknown, Error, unknown>) => mutation.state.variables as QueuedChange;

/** Keeps every change on the device from when it is made until the server has answered it. Gives the way to stop. */
export function keepChanges(client: QueryClient, store: DeviceStore): () => void {
  return client.getMutationCache().subscribe((event) => {
    const mutation = event.mutation as Mutation<unknown, Error, unknown> | undefined;
    if (!mutation || mutation.options.mutationKey?.[0] !== CHANGE_KEY[0]) return;
    if (event.type === 'updated' && event.action.type === 'pending') {
      const queued = changeOf(mutation);
      void store.put(queued.change.changeId, { order: nextOrder(), queued } satisfies KeptChange);
    } else if (event.type === 'updated' && ['success', 'error'].includes(event.action.type)) {
      void store.remove(changeOf(mutation).change.changeId);
    } else if (event.type === 'removed' && isQueued(mutation)) {
      void store.remove(changeOf(mutation).change.changeId);
    }
  });
}

/** Puts what was kept when the page was left back into the queue, in order. It goes out by `resumePausedMutations`. */
export async function restoreChanges(client: QueryClient, store: DeviceStore): Promise<void> {
  const kept = (await store.entries()).map(([, value]) => value as KeptChange);
  kept.sort((a, b) => a.order - b.order);
  for (const { queued: then } of kept) {
    // An earlier version of this page may have kept it.
    const queued = { ...then, change: changeInPresentWords(then.change) } as QueuedChange;
    client.getMutationCache().build(
      client,
      { mutationKey: CHANGE_KEY, scope: CHANGE_SCOPE },
      {
        context: undefined,
        data: undefined,
        error: null,
        failureCount: 0,
        failureReason: null,
        isPaused: true,
        status: 'pending',
        variables: queued,
        submittedAt: Date.now(),
      },
    );
  }
}

/** Where changes were kept once: one text with everything, which was full after a few large repairs. */
const OLD_KEY = 'even-spare-queue';

/** Takes over what an earlier version of this page kept, once. */
export async function takeOverOldQueue(old: Storage, store: DeviceStore): Promise<void> {
  const text = old.getItem(OLD_KEY);
  if (text === null) return;
  for (const queued of queuedIn(text)) {
    await store.put(queued.change.changeId, { order: nextOrder(), queued } satisfies KeptChange);
  }
  old.removeItem(OLD_KEY);
}

function queuedIn(text: string): QueuedChange[] {
  try {
    const { clientState } = JSON.parse(text) as {
      clientState: { mutations: { state: { variables: QueuedChange } }[] };
    };
    return clientState.mutations.map(({ state }) => state.variables);
  } catch {
    // It was cut off while it was written: nothing in it can be told from anything else.
    return [];
  }
}
