import { keepPreviousData, useInfiniteQuery, useMutation, useQueryClient } from '@tanstack/react-query';

import type { z } from 'zod';

import {
  ChangeReply,
  CreatedReply,
  Repair,
  RepairList,
  type Change,
  type NewRepair,
} from '@core/record/model';

import { ask, Unreachable } from './client';
import { noteReach } from './connection';
import { newId } from './newId';
import { useNotices } from './notices';
import { listKey, repairKey } from './queryClient';

/** Pages of the list of repairs that match what was typed; of those that were deleted, if they are asked for. */
export function useRepairs(search: string, { removed = false } = {}) {
  return useInfiniteQuery({
    queryKey: [...listKey, search, removed],
    initialPageParam: null as string | null,
    queryFn: ({ pageParam, signal }) => {
      const query = new URLSearchParams({
        search,
        removed: String(removed),
        ...(pageParam ? { after: pageParam } : {}),
      });
      return ask(`/repairs?${query.toString()}`, { reply: RepairList, signal });
    },
    getNextPageParam: (page) => page.next,
    placeholderData: keepPreviousData,
    refetchOnMount: 'always',
  });
}

/** Makes a new repair; the reply is its id. */
export function useNewRepair() {
  const client = useQueryClient();
  return useMutation<z.infer<typeof CreatedReply>, Error, NewRepair>({
    // Tells of an absent server at once: the form keeps what was typed, so nothing has to wait.
    networkMode: 'always',
    retry: false,
    mutationFn: (given) => ask('/repairs', { method: 'POST', body: given, reply: CreatedReply }),
    onError: noteReach,
    onSuccess: () => client.invalidateQueries({ queryKey: listKey }),
  });
}

/** Brings back a repair that was deleted, by its id. */
export function useBringBack() {
  const client = useQueryClient();
  const { say } = useNotices();
  return useMutation<unknown, Error, string>({
    networkMode: 'always',
    retry: false,
    mutationFn: async (id) => {
      const { head } = await ask(`/repairs/${id}`, { reply: Repair });
      const change: Change = {
        changeId: newId(),
        row: 'head',
        baseVersion: head.version,
        value: { ...head, removed: false },
      };
      return ask(`/repairs/${id}/changes`, { method: 'POST', body: change, reply: ChangeReply });
    },
    onSuccess: () => say({ tone: 'plain', text: 'It is back in the list.' }),
    onError: (error) => {
      noteReach(error);
      say({
        tone: 'wrong',
        text:
          error instanceof Unreachable
            ? 'The server can’t be reached. Try again when it is back.'
            : error.message,
      });
    },
    // The copy of it on this device is of when it was deleted.
    onSettled: (_reply, _error, id) => {
      void client.invalidateQueries({ queryKey: repairKey(id) });
      void client.invalidateQueries({ queryKey: listKey });
    },
  });
}

/** Opens a repair file, given as data, as a new repair. */
export function useOpenRepairFile() {
  const client = useQueryClient();
  return useMutation<z.infer<typeof CreatedReply>, Error, unknown>({
    networkMode: 'always',
    retry: false,
    mutationFn: (file) => ask('/repair-files', { method: 'POST', body: file, reply: CreatedReply }),
    onError: noteReach,
    onSuccess: () => client.invalidateQueries({ queryKey: listKey }),
  });
}
