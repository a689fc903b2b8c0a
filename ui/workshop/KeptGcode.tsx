import { Text, View } from 'react-native';

import { keptGcodeSentence } from '@core/reporting/wording';

import { useKeptGcode } from '../jobs/useJobs';
import { GroupHeading } from '../shared/Heading';

/** How much of what machines were given is kept, and until when. */
export function KeptGcode() {
  const kept = useKeptGcode();
  if (!kept) return null;
  return (
    <View className="gap-1">
      <GroupHeading>Print jobs</GroupHeading>
      <Text className="font-sans text-[16px] leading-6 text-ink">{keptGcodeSentence(kept)}</Text>
      <Text className="font-label text-[14px] leading-5 text-muted">
        It is deleted 60 days after it was sent, except for the 60 newest jobs and for those that a trial
        uses.
      </Text>
    </View>
  );
}
