import { useQuery } from '@tanstack/react-query';
import { router } from 'expo-router';
import { View } from 'react-native';

import { Refused, Unreachable } from '../api/client';
import { useRepairContext } from '../inRepair/useRepairContext';
import { EmptyState } from '../shared/EmptyState';
import { Loading } from '../shared/Loading';
import { KeptLayers } from './KeptLayers';
import { layerWorker } from './layerWorker';

const STAGE_WORDS = { trial: 'Back to Trial', make: 'Back to Make' } as const;

/** A job's file as it is read, and what came of it. */
export function ReadJob({
  keyOfFile,
  textOf,
  title,
  stage,
}: {
  keyOfFile: readonly unknown[];
  textOf(signal: AbortSignal): string | Promise<string>;
  title: string;
  /** Where it was opened from. */
  stage: keyof typeof STAGE_WORDS;
}) {
  const { repair } = useRepairContext();
  const query = useQuery({
    queryKey: keyOfFile,
    queryFn: async ({ signal }) => layerWorker().read(await textOf(signal)),
    staleTime: Infinity,
  });
  const back = () => router.replace(`/repair/${repair.head.id}/${stage}`);
  if (query.isPending) return <Loading what="Reading the job’s file…" />;
  if (query.isError || !query.data) {
    return (
      <View className="p-4">
        <EmptyState
          text={
            query.isError
              ? query.error instanceof Refused
                ? query.error.message
                : query.error instanceof Unreachable
                  ? 'The job’s file can’t be fetched: the server can’t be reached. Try again in a moment.'
                  : `The job’s file can’t be read (${query.error.message}). Try again, or make the spare again from its recipe.`
              : 'This file prints nothing.'
          }
          action={
            query.isError
              ? { label: 'Try again', onPress: () => void query.refetch() }
              : { label: STAGE_WORDS[stage], onPress: back }
          }
        />
      </View>
    );
  }
  return <KeptLayers kept={query.data} title={title} back={{ label: STAGE_WORDS[stage], onPress: back }} />;
}
