import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import { router } from 'expo-router';
import { Pressable, Text, View } from 'react-native';

import { newestRevision } from '@core/reporting/revision';

import { IconButton } from '../shared/Button';
import { colours } from '../theme/colours';
import { useRepairContext } from '../inRepair/useRepairContext';

/** Name of the repair, the way back, and the newest revision. */
export function RepairHeader() {
  const { repair } = useRepairContext();
  const newest = newestRevision(repair);
  return (
    <View className="h-[60px] flex-row items-center gap-1 pl-1.5 pr-4">
      <IconButton label="Back to the list of repairs" onPress={() => router.navigate('/')}>
        <ChevronLeft size={26} color={colours.ink} />
      </IconButton>
      <View className="flex-1">
        <Text role="heading" aria-level={1} numberOfLines={1} className="font-semibold text-[19px] text-ink">
          {repair.head.name}
        </Text>
        {repair.head.place ? (
          <Text numberOfLines={1} className="font-label text-[13.5px] text-muted">
            {repair.head.place}
          </Text>
        ) : null}
      </View>
      <Pressable
        accessibilityRole="link"
        accessibilityLabel={newest ? `Revisions, newest ${newest.letter}` : 'Revisions, none yet'}
        onPress={() => router.navigate(`/repair/${repair.head.id}/revisions`)}
        className="min-h-[44px] justify-center"
      >
        <View className={`rounded-sm border px-2 py-1 ${newest ? 'border-ink' : 'border-rule'}`}>
          <Text className={`font-number text-[13px] ${newest ? 'text-ink' : 'text-muted'}`}>
            {newest ? `Rev ${newest.letter}` : 'No rev'}
          </Text>
        </View>
      </Pressable>
    </View>
  );
}
