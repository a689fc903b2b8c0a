import { router } from 'expo-router';
import { useState } from 'react';
import { Image, Pressable, ScrollView, Text, View } from 'react-native';

import { photoAddress } from '../../api/photos';
import { DeletedRows } from '../../inRepair/DeletedRows';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button } from '../../shared/Button';
import { EmptyState } from '../../shared/EmptyState';
import { AddPhoto } from '../../photos/AddPhoto';
import { TaggedPhoto } from './TaggedPhoto';

/** Photos of the piece, with the tags of its sizes on them. */
export function PhotosScreen() {
  const { repair } = useRepairContext();
  const [openId, setOpenId] = useState<string | null>(null);
  const photos = repair.photos.filter(({ removed }) => !removed);
  const open = photos.find(({ id }) => id === openId);
  if (open) return <TaggedPhoto key={open.id} photo={open} onClose={() => setOpenId(null)} />;
  return (
    <ScrollView contentContainerClassName="gap-3 p-4 pb-10">
      {photos.length === 0 ? (
        <EmptyState text="A photo of the broken piece shows where each size was taken. Add one, then tap it to place the tags." />
      ) : null}
      <View className="flex-row flex-wrap gap-3">
        {photos.map((photo) => (
          <Pressable
            key={photo.id}
            accessibilityRole="button"
            accessibilityLabel={`Photo ${photo.name}, ${photo.tags.length} tags`}
            onPress={() => setOpenId(photo.id)}
            className="w-[47%] overflow-hidden rounded border border-line bg-card active:opacity-80 lg:w-[31%]"
          >
            <Image
              source={{ uri: photoAddress(photo.file) }}
              accessibilityIgnoresInvertColors
              resizeMode="cover"
              style={{ width: '100%', aspectRatio: 4 / 3 }}
            />
            <Text numberOfLines={1} className="px-2 py-1 font-label text-[13.5px] text-ink">
              {`${photo.name} · ${photo.tags.length === 0 ? 'no tags' : photo.tags.length === 1 ? '1 tag' : `${photo.tags.length} tags`}`}
            </Text>
          </Pressable>
        ))}
      </View>
      <AddPhoto onAdded={setOpenId} />
      <Button label="Back to the sizes" onPress={() => router.replace(`/repair/${repair.head.id}/sizes`)} />
      <DeletedRows kinds={['photo']} />
    </ScrollView>
  );
}
