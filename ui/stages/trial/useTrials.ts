import { useQuery } from '@tanstack/react-query';

import { TrialList, type Repair, type Trial } from '@core/record/model';

import { ask } from '../../api/client';

/** The trials of all repairs, this one's as they stand here; `complete` is false while those of others are not here. */
export function useTrials(repair: Repair): { trials: Trial[]; complete: boolean; failed: boolean } {
  const query = useQuery({
    queryKey: ['trials', repair.head.id],
    queryFn: ({ signal }) => ask('/trials', { reply: TrialList, signal }),
  });
  const own = new Set(repair.trials.map(({ id }) => id));
  const others = (query.data?.trials ?? []).filter(({ id }) => !own.has(id));
  return { trials: [...others, ...repair.trials], complete: query.data !== undefined, failed: query.isError };
}
