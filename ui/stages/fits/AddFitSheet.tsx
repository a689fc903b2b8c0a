import { router } from 'expo-router';
import { useState } from 'react';
import { Text, View } from 'react-native';

import type { Fit } from '@core/model';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../frame/useRepairContext';
import { Button } from '../../shared/Button';
import { EmptyState } from '../../shared/EmptyState';
import { Sheet } from '../../shared/Sheet';
import { Switch } from '../../shared/Switch';

const WAYS: readonly { id: Fit['feature']; word: string }[] = [
  { id: 'bore', word: 'The spare goes over it' },
  { id: 'peg', word: 'The spare goes into it' },
];

/** Joins a size of the counterpart with a feature of the spare. */
export function AddFitSheet({ onClose }: { onClose(): void }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const sizes = [...numbers.sizes.values()]
    .map(({ size }) => size)
    .filter((size) => size.of === 'counterpart');
  const [sizeId, setSizeId] = useState(sizes[0]?.id ?? null);
  const size = sizes.find(({ id }) => id === sizeId);
  const [feature, setFeature] = useState<Fit['feature']>(size?.jaw === 'inside' ? 'peg' : 'bore');
  const add = () => {
    if (!size) return;
    put('fit', {
      id: newId(),
      version: 0,
      name: `${feature === 'bore' ? 'Hole over' : 'Peg in'} ${size.name}`.slice(0, 80),
      counterpartSizeId: size.id,
      feature,
      fitClass: 'turns',
      ownClearanceMm: null,
      removed: false,
    });
    onClose();
  };
  return (
    <Sheet title="Add a fit" onClose={onClose}>
      {sizes.length === 0 ? (
        <EmptyState
          text="No size of a counterpart is known yet."
          action={{ label: 'Go to Sizes', onPress: () => router.replace(`/repair/${repair.head.id}/sizes`) }}
        />
      ) : (
        <>
          <View className="gap-1">
            <Text className="font-label text-[14px] text-muted">Which size must it fit?</Text>
            <Switch
              label="Size of the counterpart"
              options={sizes.map(({ id, tag, name }) => ({ id, word: `${tag}  ${name}` }))}
              value={sizeId}
              onChange={setSizeId}
            />
          </View>
          <View className="gap-1">
            <Text className="font-label text-[14px] text-muted">Which way round?</Text>
            <Switch<Fit['feature']>
              label="Which way round"
              options={WAYS}
              value={feature}
              onChange={setFeature}
            />
          </View>
          <Button tone="primary" label="Add this fit" onPress={add} />
        </>
      )}
    </Sheet>
  );
}
