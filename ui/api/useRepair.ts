import { useMutation, useMutationState, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';

import {
  applyChange,
  inverseOf,
  Repair,
  rowBefore,
  type Change,
  type RowKind,
  type RowOf,
} from '@core/record/model';

import { ask } from './client';
import { useRestoredCopy } from './device/keptCopies';
import { newId } from './newId';
import { useBodyHistory } from './bodyHistory';
import { useNotices } from './notices';
import { CHANGE_KEY, CHANGE_SCOPE, repairKey } from './queryClient';
import type { QueuedChange } from './queuedChange';

/** The repair as the person sees it: the server's, with every change that is still on its way. */
export function useRepair(id: string) {
  const restored = useRestoredCopy(repairKey(id));
  const query = useQuery({
    queryKey: repairKey(id),
    enabled: restored,
    queryFn: ({ signal }) => ask(`/repairs/${id}`, { reply: Repair, signal }),
  });
  const pending = usePendingChanges(id);
  const repair = useMemo(
    () => (query.data ? pending.reduce(withPending, query.data) : undefined),
    [query.data, pending],
  );
  return { repair, error: query.error, isPending: query.isPending, refetch: query.refetch };
}

/** A change that no longer applies is left out here; the server's refusal will say so. */
function withPending(repair: Repair, change: Change): Repair {
  const result = applyChange(repair, change);
  return result.ok ? result.value : repair;
}

function usePendingChanges(id: string): Change[] {
  return useMutationState({
    filters: { mutationKey: CHANGE_KEY, status: 'pending' },
    select: (mutation) => mutation.state.variables as QueuedChange,
  }).flatMap((queued) => (queued.repairId === id ? [queued.change] : []));
}

/** How many changes have not reached the server yet, over all repairs. */
export function useQueueLength(): number {
  return useMutationState({ filters: { mutationKey: CHANGE_KEY, status: 'pending' }, select: () => 1 })
    .length;
}

/**
 * Gives the functions that change a repair. `put` writes a row; with `undo` it also offers to take it back,
 * with that text.
 */
export function useChangeRepair(repair: Repair) {
  const client = useQueryClient();
  const { mutate } = useMutation<unknown, Error, QueuedChange>({
    mutationKey: CHANGE_KEY,
    scope: CHANGE_SCOPE,
  });
  const repairId = repair.head.id;
  const send = useCallback((change: Change) => mutate({ repairId, change }), [mutate, repairId]);

  const put = useCallback(
    <K extends RowKind>(row: K, value: RowOf<K>, undo?: string) => {
      const before = latest(client, repair);
      const baseVersion = rowBefore(before, row, value.id)?.version ?? 0;
      const change = { changeId: newId(), row, baseVersion, value } as unknown as Change;
      if (row === 'body') {
        const old = before.bodies.find(({ id }) => id === value.id);
        if (old) useBodyHistory.getState().record(old);
      }
      send(change);
      const inverse = undo === undefined ? null : inverseOf(before, change, newId());
      if (undo !== undefined && inverse) {
        useNotices.getState().say({ text: undo, tone: 'plain', undo: () => send(inverse), row: value.id });
      } else useNotices.getState().changed(value.id);
    },
    [client, repair, send],
  );
  return { put, send };
}

/** The repair with everything queued so far, even what was queued since the screen was last drawn. */
function latest(client: ReturnType<typeof useQueryClient>, shown: Repair): Repair {
  const server = client.getQueryData<Repair>(repairKey(shown.head.id));
  if (!server) return shown;
  return client
    .getMutationCache()
    .findAll({ mutationKey: CHANGE_KEY, status: 'pending' })
    .map((mutation) => mutation.state.variables as QueuedChange)
    .flatMap((queued) => (queued.repairId === shown.head.id ? [queued.change] : []))
    .reduce(withPending, server);
}
