import { keepPreviousData, useInfiniteQuery, useMutation, useQueryClient } from '@tanstack/react-query';

import type { z } from 'zod';

import { CreatedReply, RepairList, type NewRepair } from '@core/model';

import { ask } from './client';
import { noteReach } from './connection';
import { listKey } from './queryClient';

/** Pages of the list of repairs that match what was typed. */
export function useRepairs(search: string) {
  return useInfiniteQuery({
    queryKey: [...listKey, search],
    initialPageParam: null as string | null,
    queryFn: ({ pageParam, signal }) => {
      const query = new URLSearchParams({ search, ...(pageParam ? { after: pageParam } : {}) });
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
