import { View } from 'react-native';

import { usesOf } from '@core/fitting/fit';
import type { Size } from '@core/record/model';

import { useChangeRepair } from '../api/useRepair';
import { openTrail } from '../inRepair/opened';
import { useRepairContext } from '../inRepair/useRepairContext';
import { Button } from '../shared/Button';
import { Sheet } from '../shared/Sheet';

/** What else can be done with a size. */
export function SizeMenu({
  size,
  onClose,
  onEdit,
  onTaken,
  onDeleted,
}: {
  size: Size;
  onClose(): void;
  onEdit(): void;
  /** To choose which value of its readings is taken. */
  onTaken(): void;
  onDeleted(): void;
}) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const uses = usesOf(repair, { from: 'size', id: size.id }).length;
  const remove = () => {
    put(
      'size',
      { ...size, removed: true },
      `Size ${size.tag} deleted${uses > 0 ? '; what uses it will wait' : ''}.`,
    );
    onClose();
    onDeleted();
  };
  return (
    <Sheet title={`Size ${size.tag}, ${size.name}`} onClose={onClose}>
      <View className="gap-3">
        <Button label="Change its name or how it is known" onPress={onEdit} />
        {size.kind === 'measured' ? <Button label="Choose which value is taken" onPress={onTaken} /> : null}
        <Button
          label="Show its trail"
          onPress={() => {
            openTrail({ from: 'size', id: size.id });
            onClose();
          }}
        />
        <Button tone="danger" label={`Delete size ${size.tag}`} onPress={remove} />
      </View>
    </Sheet>
  );
}
