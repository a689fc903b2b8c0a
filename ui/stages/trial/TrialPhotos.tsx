import { router } from 'expo-router';
import { useState } from 'react';
import { Image, Pressable, View } from 'react-native';

import type { Trial } from '@core/record/model';

import { photoAddress } from '../../api/photos';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { AddPhoto } from '../../photos/AddPhoto';
import { Button } from '../../shared/Button';
import { GroupHeading } from '../../shared/Heading';

/** Photos of what came out; they lie with those of the repair, where they can be marked. */
export function TrialPhotos({ trial }: { trial: Trial }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const [adding, setAdding] = useState(false);
  const ids = trial.photoIds ?? [];
  const photos = repair.photos.filter(({ id, removed }) => !removed && ids.includes(id));
  return (
    <View className="gap-2">
      {photos.length > 0 ? (
        <>
          <GroupHeading>What came out</GroupHeading>
          <View className="flex-row flex-wrap gap-2">
            {photos.map(({ id, name, file }) => (
              <Pressable
                key={id}
                accessibilityRole="link"
                accessibilityLabel={`${name} of this trial`}
                onPress={() => router.push(`/repair/${repair.head.id}/photos`)}
                className="overflow-hidden rounded border border-line bg-bench"
              >
                <Image
                  source={{ uri: photoAddress(file) }}
                  accessibilityLabel=""
                  style={{ width: 104, height: 78 }}
                />
              </Pressable>
            ))}
          </View>
        </>
      ) : null}
      {adding ? (
        <AddPhoto
          onAdded={(id) => {
            put('trial', { ...trial, photoIds: [...ids, id] });
            setAdding(false);
          }}
        />
      ) : (
        <View className="items-start">
          <Button tone="quiet" label="Add a photo of what came out" onPress={() => setAdding(true)} />
        </View>
      )}
    </View>
  );
}
