import { Text, View } from 'react-native';

import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../frame/useRepairContext';
import { Button } from '../../shared/Button';
import { GroupHeading } from '../../shared/Heading';

/** Sizes that were deleted, to be brought back with all their readings. */
export function RemovedSizes() {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const removed = repair.sizes.filter((size) => size.removed);
  if (removed.length === 0) return null;
  return (
    <View className="gap-1 px-4 pt-5">
      <GroupHeading>Deleted</GroupHeading>
      {removed.map((size) => (
        <View key={size.id} className="flex-row items-center justify-between gap-3">
          <Text className="flex-1 font-sans text-[16px] text-muted line-through">{`${size.tag}  ${size.name}`}</Text>
          <Button
            tone="quiet"
            label={`Bring back ${size.tag}`}
            onPress={() => put('size', { ...size, removed: false })}
          />
        </View>
      ))}
    </View>
  );
}
