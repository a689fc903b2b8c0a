import { useQuery } from '@tanstack/react-query';
import { router, useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';

import { askText, Refused, Unreachable } from '../api/client';
import { useRepairContext } from '../inRepair/useRepairContext';
import { useJobs } from '../jobs/useJobs';
import { EmptyState } from '../shared/EmptyState';
import { Loading } from '../shared/Loading';
import { layerWorker } from './layerWorker';
import { Kept } from './Kept';
import { useOpenedJob } from './openedJob';

/** The layers of a job that was sent, or of a job's file of this device, read back from the very file. */
export function KeptJobScreen() {
  const { job } = useLocalSearchParams<{ job?: string }>();
  return job ? <SentJob id={job} /> : <OpenedJob />;
}

/** One that was sent to a machine. */
function SentJob({ id }: { id: string }) {
  const job = useJobs().find((one) => one.id === id);
  return (
    <ReadJob
      keyOfFile={['kept-job', id]}
      textOf={(signal) => askText(`/jobs/${id}/gcode`, signal)}
      title={job ? titleOf(job) : 'A kept job'}
      stage="trial"
    />
  );
}

/** One that was chosen from this device. */
function OpenedJob() {
  const { repair } = useRepairContext();
  const file = useOpenedJob((state) => state.file);
  if (!file) {
    return (
      <View className="p-4">
        <EmptyState
          text="The file is no longer open. Choose it again under Make."
          action={{ label: 'Go to Make', onPress: () => router.replace(`/repair/${repair.head.id}/make`) }}
        />
      </View>
    );
  }
  return (
    <ReadJob
      // Another file may have the same name.
      keyOfFile={['opened-job', file.name, file.text.length, file.text.slice(-200)]}
      textOf={() => file.text}
      title={file.name}
      stage="make"
    />
  );
}

const STAGE_WORDS = { trial: 'Back to Trial', make: 'Back to Make' } as const;

function ReadJob({
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
                  ? 'The job’s file can’t be fetched: the server is away. Try again in a moment.'
                  : `The job’s file can’t be read (${query.error.message}). Try again, or make the spare again from its recipe.`
              : 'Nothing is laid in this file.'
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
  return <Kept kept={query.data} title={title} back={{ label: STAGE_WORDS[stage], onPress: back }} />;
}

const titleOf = ({ name, letter }: { name: string; letter: string | null }): string =>
  letter ? `${name}, revision ${letter}` : name;
