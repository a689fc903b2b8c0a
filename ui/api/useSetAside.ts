import { useQueryClient } from '@tanstack/react-query';

import { CHANGE_KEY, isQueued } from './queryClient';
import type { QueuedChange } from './queuedChange';
import { useUnsettled } from './unsettled';
import { lookNow } from './connection';

/** Gives the way to take the first change out of the queue, when it fails again and again, so that the others go out. */
export function useSetAside() {
  const client = useQueryClient();
  const add = useUnsettled((state) => state.add);
  const setOpen = useUnsettled((state) => state.setOpen);
  return async (why: string | null) => {
    const cache = client.getMutationCache();
    const first = cache.findAll({ mutationKey: CHANGE_KEY, status: 'pending' })[0];
    if (!first || !isQueued(first)) return;
    await add({
      queued: first.state.variables as QueuedChange,
      theirs: null,
      sentence: `${why ?? 'The server could not take it.'} This change was set aside, so that later ones can be sent.`,
      stale: false,
    });
    setOpen(false);
    cache.remove(first);
    lookNow();
  };
}
