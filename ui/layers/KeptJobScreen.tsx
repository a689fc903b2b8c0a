import { useLocalSearchParams } from 'expo-router';

import { askText } from '../api/client';
import { useJobs } from '../jobs/useJobs';
import { ReadJob } from './ReadJob';

/** The layers of a job that was sent, read back from its very file. */
export function KeptJobScreen() {
  const { job: id = '' } = useLocalSearchParams<{ job?: string }>();
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

const titleOf = ({ name, letter }: { name: string; letter: string | null }): string =>
  letter ? `${name}, revision ${letter}` : name;
