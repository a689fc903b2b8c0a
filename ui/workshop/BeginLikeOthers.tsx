import { View } from 'react-native';

import { likeOthers } from '@core/fitting/learn';
import type { Machine, Workshop } from '@core/record/model';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { Button } from '../shared/Button';

/** A machine that nothing was measured of may begin with what trials taught of others of its kind. */
export function BeginLikeOthers({
  machine,
  workshop,
  onSave,
  onClose,
}: {
  machine: Machine;
  workshop: Workshop;
  onSave: ReturnType<typeof useChangeWorkshop>;
  onClose(): void;
}) {
  const begun = likeOthers(machine, workshop.machines);
  if (!begun) return null;
  const like = begun.names.join(', ');
  return (
    <View className="items-start">
      <Button
        label={`Start from what was learned on ${like}`}
        onPress={() => {
          onSave('machine', begun.machine, `${machine.name} begins as ${like}. Working sizes follow.`);
          onClose();
        }}
      />
    </View>
  );
}
