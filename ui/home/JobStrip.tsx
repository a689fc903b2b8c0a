import { Link } from 'expo-router';
import { Pressable, Text, View } from 'react-native';

import { isOver, type Job } from '@core/record/model';
import { jobStateSentence } from '@core/reporting/wording';

import { useJobs, useUnreadableJobs } from '../jobs/useJobs';
import { GroupHeading } from '../shared/Heading';

/** How long a made part is shown as lying ready, ms. */
const READY_MS = 3 * 24 * 60 * 60 * 1000;
const SHOWN = 3;

/** What is being made, and what lies ready to be tried; nothing while there is none. */
export function JobStrip() {
  const jobs = useJobs();
  const since = Date.now() - READY_MS;
  const isRecent = ({ history }: Job) => Date.parse(history.at(-1)?.at ?? '') > since;
  const unreadable = useUnreadableJobs();
  const lying = jobs.filter((job) => isOver(job) && job.state !== 'cancelled' && isRecent(job));
  // What is not over holds its machine: all of it is shown, and before the rest.
  const shown = [...jobs.filter((job) => !isOver(job)), ...lying.slice(0, SHOWN)];
  if (shown.length === 0 && unreadable.length === 0) return null;
  return (
    <View className="gap-1.5">
      <GroupHeading>On the machines</GroupHeading>
      {unreadable.map(({ id, name }) => (
        <Text key={id} role="alert" className="font-medium text-[15px] text-rust">
          {`The job ${name ? `“${name}”` : id} can’t be read. Slice its part again to print it.`}
        </Text>
      ))}
      {shown.map((job) => (
        <Link key={job.id} href={`/repair/${job.repairId}/trial`} asChild>
          <Pressable
            accessibilityRole="link"
            className="min-h-[52px] justify-center rounded border border-line bg-card px-3 py-1.5 active:bg-green-soft"
          >
            <Text className="font-medium text-[16px] text-ink">{`${job.repairName}: ${job.name}`}</Text>
            <Text className={`font-label text-[14px] ${job.state === 'failed' ? 'text-rust' : 'text-muted'}`}>
              {jobStateSentence(job)}
            </Text>
          </Pressable>
        </Link>
      ))}
    </View>
  );
}
