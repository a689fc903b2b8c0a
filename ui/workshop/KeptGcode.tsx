import { Text, View } from 'react-native';

import { useKeptGcode } from '../jobs/useJobs';
import { GroupHeading } from '../shared/Heading';

/** A file's size, rounded up. */
const sizeOf = (bytes: number) =>
  bytes < 1e6 ? `${Math.ceil(bytes / 1e3)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

/** How much of what machines were given is kept, and until when. */
export function KeptGcode() {
  const kept = useKeptGcode();
  if (!kept) return null;
  return (
    <View className="gap-1">
      <GroupHeading>Print jobs</GroupHeading>
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {kept.jobs === 0
          ? 'No G-code is kept.'
          : `The G-code of ${kept.jobs === 1 ? 'one job' : `${kept.jobs} jobs`} is kept: ${sizeOf(kept.bytes)}.`}
      </Text>
      <Text className="font-label text-[14px] leading-5 text-muted">
        It is deleted 60 days after it was sent, except for the 60 newest jobs and for those that a trial goes
        by.
      </Text>
    </View>
  );
}
