import { useQuery } from '@tanstack/react-query';
import { Text, View } from 'react-native';

import { CorrectionEffects, type Machine } from '@core/record/model';
import { chanceWords } from '@core/reporting/wording';

import { ask } from '../../api/client';
import { useShow } from '../../preferences/useShow';
import { EmptyState } from '../../shared/EmptyState';
import { Loading } from '../../shared/Loading';
import { Sheet } from '../../shared/Sheet';

/** What a machine's new corrections would change in every repair that is made on it, before they are taken. */
export function EffectsSheet({ machine, onClose }: { machine: Machine; onClose(): void }) {
  const show = useShow();
  const query = useQuery({
    queryKey: ['machine-effects', JSON.stringify(machine)],
    queryFn: ({ signal }) =>
      ask('/machine-effects', { method: 'POST', body: machine, reply: CorrectionEffects, signal }),
    staleTime: 0,
  });
  return (
    <Sheet title={`What else changes on ${machine.name}`} onClose={onClose}>
      {query.isPending ? (
        <Loading what="Working it out in every repair…" />
      ) : query.isError ? (
        <EmptyState
          text="It can’t be worked out: the server does not answer. Start it, then try again."
          action={{ label: 'Try again', onPress: () => void query.refetch() }}
        />
      ) : query.data.effects.length === 0 ? (
        <EmptyState text="No working size of a repair changes by it." />
      ) : (
        <View role="list" aria-label="Fits that change">
          {query.data.effects.map(({ repairId, repairName, fitName, working, chance }) => (
            <View
              key={`${repairId} ${fitName}`}
              role="listitem"
              className="gap-0.5 border-b border-line py-2"
            >
              <Text className="font-medium text-[15.5px] leading-[22px] text-ink">{`${repairName}: ${fitName}`}</Text>
              <Text className="font-label text-[14px] leading-5 tabular-nums text-muted">
                {`${show.length(working.fromMm)} becomes ${show.length(working.toMm)}; the chance ${chanceWords(chance.from)} becomes ${chanceWords(chance.to)}`}
              </Text>
            </View>
          ))}
        </View>
      )}
      {query.data?.more ? (
        <Text className="font-label text-[14px] leading-5 text-muted">
          {`Only the ${query.data.looked} repairs that were changed last are looked at; the others follow as well.`}
        </Text>
      ) : null}
    </Sheet>
  );
}
