import { router } from 'expo-router';
import { useState } from 'react';
import { Text, View } from 'react-native';

import { firstFit } from '@core/measuring/brief';
import { NO_BRIEF } from '@core/foundations/fields';
import { FIT_FEATURES } from '@core/fitting/fit';
import type { Fit, FitFeature, Size } from '@core/record/model';
import { firstFitSentence, featureWords } from '@core/reporting/wording';
import { fitClassOf } from '@core/reporting/wording';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button } from '../../shared/Button';
import { EmptyState } from '../../shared/EmptyState';
import { Picker } from '../../shared/Picker';
import { Sheet } from '../../shared/Sheet';
import { Switch } from '../../shared/Switch';

/** What a size of the counterpart is most likely met by. */
function likelyFeature(size: Size | undefined): FitFeature {
  if (!size) return 'bore';
  if (/spac|apart|centre to centre/i.test(size.name)) return 'spacing';
  if (/thread/i.test(size.name)) return size.jaw === 'inside' ? 'screw' : 'nut';
  if (size.jaw === 'depth') return 'recess';
  return size.jaw === 'inside' ? 'peg' : 'bore';
}

/** Joins a size of the counterpart with a feature of the spare. */
export function AddFitSheet({ onClose }: { onClose(): void }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const sizes = [...numbers.sizes.values()]
    .map(({ size }) => size)
    .filter((size) => size.of === 'counterpart' && size.quantity === 'length');
  const [sizeId, setSizeId] = useState(sizes[0]?.id ?? null);
  const size = sizes.find(({ id }) => id === sizeId);
  const [feature, setFeature] = useState<Fit['feature']>(likelyFeature(size));
  const first = firstFit(repair.head.brief ?? NO_BRIEF, feature);
  const add = () => {
    if (!size) return;
    put('fit', {
      id: newId(),
      version: 0,
      name: `${featureWords(feature).word} ${size.name}`.slice(0, 80),
      counterpartSizeId: size.id,
      feature,
      fitClass: first.fitClass,
      ownClearanceMm: null,
      iso: null,
      removed: false,
    });
    onClose();
  };
  return (
    <Sheet title="Add a fit" onClose={onClose}>
      {sizes.length === 0 ? (
        <EmptyState
          text="No size of a mating part is known yet."
          action={{ label: 'Go to Sizes', onPress: () => router.replace(`/repair/${repair.head.id}/sizes`) }}
        />
      ) : (
        <>
          <View className="gap-1">
            <Text className="font-label text-[14px] text-muted">Which size must it fit?</Text>
            <Switch
              label="Size of the mating part"
              options={sizes.map(({ id, tag, name }) => ({ id, word: `${tag}  ${name}` }))}
              value={sizeId}
              onChange={(id) => {
                setSizeId(id);
                setFeature(likelyFeature(sizes.find((other) => other.id === id)));
              }}
            />
          </View>
          <View className="gap-1">
            <Text className="font-label text-[14px] text-muted">How do they meet?</Text>
            <Picker
              label="How they meet"
              options={FIT_FEATURES.map(({ id }) => ({ id, word: featureWords(id).phrase }))}
              value={feature}
              onChange={(id) => setFeature(id as FitFeature)}
            />
          </View>
          <Text className="font-sans text-[15px] leading-6 text-muted">
            {firstFitSentence(fitClassOf(first.fitClass).word, first)}
          </Text>
          <Button tone="primary" label="Add this fit" onPress={add} />
        </>
      )}
    </Sheet>
  );
}
