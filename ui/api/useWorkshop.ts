import { useMutation, useMutationState, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';

import {
  applyWorkshopChange,
  Workshop,
  workshopRowBefore,
  type WorkshopChange,
  type WorkshopRowKind,
  type WorkshopRowOf,
} from '@core/record/model';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import { ask } from './client';
import { useRestoredCopy } from './device/keptCopies';
import { newId } from './newId';
import { useNotices } from './notices';
import { CHANGE_KEY, CHANGE_SCOPE, workshopKey } from './queryClient';
import type { QueuedChange } from './queuedChange';

/**
 * The workshop as the person sees it: the server's, with every change that is still on its way. Until it has been
 * fetched for the first time, what every workshop starts with stands in.
 */
export function useWorkshop(): { workshop: Workshop; fetched: boolean } {
  const restored = useRestoredCopy(workshopKey);
  const query = useQuery({
    queryKey: workshopKey,
    enabled: restored,
    queryFn: ({ signal }) => ask('/workshop', { reply: Workshop, signal }),
  });
  const pending = useMutationState({
    filters: { mutationKey: CHANGE_KEY, status: 'pending' },
    select: (mutation) => mutation.state.variables as QueuedChange,
  });
  const workshop = useMemo(
    () =>
      pending.reduce(
        (so, queued) => (queued.repairId === null ? withPending(so, queued.change) : so),
        query.data ?? DEFAULT_WORKSHOP,
      ),
    [query.data, pending],
  );
  return { workshop, fetched: query.data !== undefined };
}

function withPending(workshop: Workshop, change: WorkshopChange): Workshop {
  const result = applyWorkshopChange(workshop, change);
  return result.ok ? result.value : workshop;
}

/** Gives the function that changes a row of the workshop; `undo` is what the offer to take it back says. */
export function useChangeWorkshop(workshop: Workshop) {
  const client = useQueryClient();
  const { mutate } = useMutation<unknown, Error, QueuedChange>({
    mutationKey: CHANGE_KEY,
    scope: CHANGE_SCOPE,
  });
  return useCallback(
    <K extends WorkshopRowKind>(row: K, value: WorkshopRowOf<K>, undo?: string) => {
      const before = workshopRowBefore(workshop, row, value.id);
      const send = (baseVersion: number, next: object) =>
        mutate({
          repairId: null,
          change: { changeId: newId(), row, baseVersion, value: next } as unknown as WorkshopChange,
        });
      send(before?.version ?? 0, value);
      if (undo === undefined) return;
      useNotices.getState().say({
        text: undo,
        tone: 'plain',
        undo: () => {
          const now = client.getQueryData<Workshop>(workshopKey);
          const version = now && workshopRowBefore(now, row, value.id)?.version;
          send(version ?? (before?.version ?? 0) + 1, before ?? { ...value, removed: true });
        },
      });
    },
    [client, mutate, workshop],
  );
}
