import { View } from 'react-native';

import { isOver, type Job } from '@core/record/model';
import { newTrial } from '@core/fitting/trial';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { JobCard } from '../../jobs/JobCard';
import { useJobs } from '../../jobs/useJobs';
import { GroupHeading } from '../../shared/Heading';

/** What is being made of this repair, what lies ready to be tried, and what failed and was not made again since. */
export function RepairJobs({ onStarted }: { onStarted(id: string): void }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const jobs = useJobs().filter(({ repairId }) => repairId === repair.head.id);
  const tried = new Set(repair.trials.map(({ madePartId }) => madePartId));
  const shown = jobs.filter((job, index) => {
    if (!isOver(job)) return true;
    if (job.state === 'done') return !tried.has(job.madePartId);
    // Newer ones come first.
    return job.state === 'failed' && !jobs.slice(0, index).some(({ bodyId }) => bodyId === job.bodyId);
  });
  if (shown.length === 0) return null;
  const begin = ({ letter, trial: { of, results }, madePartId, machineId, materialId }: Job) => {
    const trial = newTrial(
      { state: repair, numbers, letter },
      { id: newId(), triedAt: new Date().toISOString(), of, results, madePartId, machineId, materialId },
    );
    put('trial', trial, `${trial.name}: the trial has begun.`);
    onStarted(trial.id);
  };
  return (
    <View className="gap-2">
      <GroupHeading>On the machine, and made</GroupHeading>
      {shown.map((job) => (
        <JobCard key={job.id} job={job} onTry={() => begin(job)} />
      ))}
    </View>
  );
}
