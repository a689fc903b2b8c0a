import { useState } from 'react';
import { ScrollView, View } from 'react-native';

import { useRepairContext } from '../../frame/useRepairContext';
import { Button } from '../../shared/Button';
import { EmptyState } from '../../shared/EmptyState';
import { GroupHeading } from '../../shared/Heading';
import { OpenSize } from './OpenSize';
import { RemovedSizes } from './RemovedSizes';
import { SizeForm } from './SizeForm';
import { SizeRow } from './SizeRow';

/** Which sizes matter, and taking them. */
export function SizesStage() {
  const { numbers, openSize, setOpenSize } = useRepairContext();
  const [adding, setAdding] = useState(false);
  const sizes = [...numbers.sizes.values()];
  const open = openSize === null ? undefined : numbers.sizes.get(openSize);

  if (open) return <OpenSize key={open.size.id} {...open} onClose={() => setOpenSize(null)} />;
  const wanted = sizes.filter(({ result }) => result.status === 'wanted').length;
  return (
    <View className="flex-1">
      <ScrollView contentContainerClassName="pb-24">
        {sizes.length === 0 ? (
          <View className="p-4">
            <EmptyState
              text="Which sizes matter? Name the first one, such as “Rim, outside”, and take it with the calipers."
              action={{ label: 'Add the first size', onPress: () => setAdding(true) }}
            />
          </View>
        ) : (
          <View className="px-4 pb-1.5 pt-3">
            <GroupHeading>
              {wanted > 0
                ? `${sizes.length - wanted} of ${sizes.length} sizes taken`
                : `${sizes.length} sizes, all taken`}
            </GroupHeading>
          </View>
        )}
        {sizes.map((entry) => (
          <SizeRow key={entry.size.id} {...entry} onPress={() => setOpenSize(entry.size.id)} />
        ))}
        <RemovedSizes />
      </ScrollView>
      {sizes.length > 0 ? (
        <View className="absolute bottom-4 right-4">
          <Button tone="primary" label="Add a size" onPress={() => setAdding(true)} />
        </View>
      ) : null}
      {adding ? <SizeForm size={null} onClose={() => setAdding(false)} onSaved={setOpenSize} /> : null}
    </View>
  );
}
