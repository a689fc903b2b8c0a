import { MutationCache, QueryCache, QueryClient, type Mutation } from '@tanstack/react-query';

import {
  ChangeReply,
  withRow,
  withWorkshopRow,
  WorkshopChange,
  type Repair,
  type Workshop,
} from '@core/record/model';

import { ask, mayComeBack, Refused, Unreachable } from './client';
import { noteReach, noteWell } from './connection';
import type { QueuedChange } from './queuedChange';
import { useUnsettled } from './unsettled';

export const repairKey = (id: string) => ['repair', id] as const;
export const listKey = ['repairs'] as const;
export const workshopKey = ['workshop'] as const;
export const CHANGE_KEY = ['change'] as const;

/** One queue for all changes, so that they reach the server in the order they were made. */
export const CHANGE_SCOPE = { id: 'changes' };

const askAgain = (_count: number, error: Error) => error instanceof Unreachable;
const sendAgain = (_count: number, error: Error) => mayComeBack(error);
const DAY_MS = 24 * 60 * 60 * 1000;

/** The query client of the app, with how changes are sent, settled and refused. */
export function createQueryClient(): QueryClient {
  const client: QueryClient = new QueryClient({
    // A screen that can't be filled says so itself; only a server that is away concerns all of them.
    queryCache: new QueryCache({ onError: (error) => error instanceof Unreachable && noteReach(error) }),
    mutationCache: new MutationCache(),
    defaultOptions: {
      queries: { retry: askAgain, retryDelay: 800, staleTime: 2000, gcTime: 7 * DAY_MS },
      mutations: { retry: sendAgain, retryDelay: 500, gcTime: 7 * DAY_MS },
    },
  });
  client.setMutationDefaults(CHANGE_KEY, {
    mutationFn: async ({ repairId, change }: QueuedChange) => {
      try {
        const reply =
          repairId === null
            ? await ask('/workshop/changes', { method: 'POST', body: change, reply: WorkshopChange })
            : await ask(`/repairs/${repairId}/changes`, { method: 'POST', body: change, reply: ChangeReply });
        noteWell();
        return reply;
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
          (workshop) => workshop && withWorkshopRow(workshop, change.row, change.value),
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

/**
 * The screen has rolled back by itself, since it only ever added what was pending. What was wanted is kept until the
 * person has chosen what becomes of it.
 */
async function settleRefusal(client: QueryClient, error: Error, queued: QueuedChange): Promise<void> {
  const { repairId } = queued;
  void client.invalidateQueries({ queryKey: repairId === null ? workshopKey : repairKey(repairId) });
  const fault = error instanceof Refused ? error.fault : null;
  const stale = fault?.code === 'row.stale';
  await useUnsettled.getState().add({
    queued,
    theirs: stale ? (fault.theirs as QueuedChange['change']['value'] | null) : null,
    sentence: error.message,
    stale,
  });
}

export function isQueued(mutation: Mutation<unknown, Error, unknown>): boolean {
  return mutation.options.mutationKey?.[0] === CHANGE_KEY[0] && mutation.state.status === 'pending';
}
