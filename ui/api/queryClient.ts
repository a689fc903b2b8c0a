import { createSyncStoragePersister } from '@tanstack/query-sync-storage-persister';
import { MutationCache, QueryCache, QueryClient, type Mutation } from '@tanstack/react-query';
import type { PersistQueryClientOptions, PersistedClient } from '@tanstack/react-query-persist-client';

import {
  ChangeReply,
  withRow,
  withWorkshopRow,
  WorkshopChange,
  type Change,
  type Repair,
  type Workshop,
} from '@core/model';

import { ask, Refused, Unreachable } from './client';
import { useConflicts } from './conflicts';
import { noteReach } from './connection';
import { useNotices } from './notices';

/** What is queued: a change and the repair it belongs to, or null for a change to the workshop. */
export type QueuedChange = { repairId: string; change: Change } | { repairId: null; change: WorkshopChange };

export const repairKey = (id: string) => ['repair', id] as const;
export const listKey = ['repairs'] as const;
export const workshopKey = ['workshop'] as const;
export const CHANGE_KEY = ['change'] as const;

/** One queue for all changes, so that they reach the server in the order they were made. */
export const CHANGE_SCOPE = { id: 'changes' };

const tryAgain = (_count: number, error: Error) => error instanceof Unreachable;
const DAY_MS = 24 * 60 * 60 * 1000;

/** The query client of the app, with how changes are sent, settled and refused. */
export function createQueryClient(): QueryClient {
  const client: QueryClient = new QueryClient({
    queryCache: new QueryCache({ onError: noteReach }),
    mutationCache: new MutationCache(),
    defaultOptions: {
      queries: { retry: tryAgain, retryDelay: 800, staleTime: 2000, gcTime: 7 * DAY_MS },
      mutations: { retry: tryAgain, retryDelay: 500, gcTime: 7 * DAY_MS },
    },
  });
  client.setMutationDefaults(CHANGE_KEY, {
    mutationFn: async ({ repairId, change }: QueuedChange) => {
      try {
        return repairId === null
          ? await ask('/workshop/changes', { method: 'POST', body: change, reply: WorkshopChange })
          : await ask(`/repairs/${repairId}/changes`, { method: 'POST', body: change, reply: ChangeReply });
      } catch (error) {
        noteReach(error);
        throw error;
      }
    },
    onSuccess: (reply: ChangeReply | WorkshopChange, { repairId }: QueuedChange) => {
      if (repairId === null) {
        const change = reply as WorkshopChange;
        client.setQueryData<Workshop>(
          workshopKey,
          (workshop) => workshop && withWorkshopRow(workshop, change),
        );
        return;
      }
      const { change } = reply as ChangeReply;
      client.setQueryData<Repair>(repairKey(repairId), (repair) => repair && withRow(repair, change));
      void client.invalidateQueries({ queryKey: listKey });
    },
    onError: (error: Error, queued: QueuedChange) => settleRefusal(client, error, queued),
  });
  return client;
}

/** The screen has rolled back by itself, since it only ever added what was pending; what is left is to say so. */
function settleRefusal(client: QueryClient, error: Error, queued: QueuedChange): void {
  const { repairId } = queued;
  void client.invalidateQueries({ queryKey: repairId === null ? workshopKey : repairKey(repairId) });
  const fault = error instanceof Refused ? error.fault : null;
  if (fault?.code === 'row.stale') {
    useConflicts.getState().add({ queued, theirs: fault.theirs as QueuedChange['change']['value'] | null });
  } else {
    useNotices.getState().say({ text: error.message, tone: 'wrong' });
  }
}

/** Keeps queued changes, and the repairs they belong to, in the browser's storage across reloads. */
export function persistOptions(storage: Storage): Omit<PersistQueryClientOptions, 'queryClient'> {
  return {
    persister: createSyncStoragePersister({
      storage,
      key: 'even-spare-queue',
      // At most this much of what was typed can be lost when the tab is closed at once, ms.
      throttleTime: 50,
      serialize: (client) => JSON.stringify(allPaused(client)),
    }),
    maxAge: 30 * DAY_MS,
    buster: '2',
    dehydrateOptions: {
      shouldDehydrateQuery: (query) =>
        ['repair', 'workshop'].includes(query.queryKey[0] as string) && query.state.status === 'success',
      shouldDehydrateMutation: (mutation) => isQueued(mutation),
    },
  };
}

export function isQueued(mutation: Mutation<unknown, Error, unknown>): boolean {
  return mutation.options.mutationKey?.[0] === CHANGE_KEY[0] && mutation.state.status === 'pending';
}

/** A change that was under way when the page went is to be sent again, which only paused ones are. */
function allPaused(client: PersistedClient): PersistedClient {
  const mutations = client.clientState.mutations.map((mutation) => ({
    ...mutation,
    state: { ...mutation.state, isPaused: true },
  }));
  return { ...client, clientState: { ...client.clientState, mutations } };
}
