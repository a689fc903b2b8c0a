import { useRef, useState } from 'react';
import { Image, Pressable, ScrollView, Text, View } from 'react-native';

import { isKnown } from '@core/measuring/measure';
import type { Photo, PhotoMark, PhotoTag } from '@core/record/model';

import { photoAddress } from '../../api/photos';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { EmptyState } from '../../shared/EmptyState';
import { Field } from '../../shared/Field';
import { Mark } from './Marks';
import { MarkSheet, PlaceSheet, TagSheet } from './PhotoSheets';

/** A photo with the tags of sizes on it: a tap places one, a tap on one opens its size. */
export function TaggedPhoto({ photo, onClose }: { photo: Photo; onClose(): void }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const picture = useRef<View>(null);
  const [placing, setPlacing] = useState<{ x: number; y: number } | null>(null);
  const [openTag, setOpenTag] = useState<PhotoTag | null>(null);
  const [openMark, setOpenMark] = useState<PhotoMark | null>(null);
  const [name, setName] = useState(photo.name);
  const [missing, setMissing] = useState(false);

  const onTap = (pageX: number, pageY: number) => {
    const rect = (picture.current as unknown as HTMLElement).getBoundingClientRect();
    const share = (value: number) => Math.min(1, Math.max(0, value));
    setPlacing({
      x: share((pageX - window.scrollX - rect.left) / rect.width),
      y: share((pageY - window.scrollY - rect.top) / rect.height),
    });
  };
  const marks = photo.marks ?? [];
  return (
    <ScrollView contentContainerClassName="gap-3 pb-10">
      <View ref={picture} className="bg-bench" style={{ aspectRatio: photo.widthPx / photo.heightPx }}>
        {missing ? (
          <View className="p-4">
            <EmptyState text="This picture is not on this server. It comes with the repair file it was saved in." />
          </View>
        ) : (
          <Image
            source={{ uri: photoAddress(photo.file) }}
            accessibilityLabel={photo.name}
            onError={() => setMissing(true)}
            style={{ width: '100%', height: '100%' }}
          />
        )}
        <Pressable
          accessibilityRole="button"
          accessibilityLabel="Place a tag here"
          onPress={({ nativeEvent }) => onTap(nativeEvent.pageX, nativeEvent.pageY)}
          className="absolute inset-0"
        />
        {photo.tags.map((tag) => {
          const size = numbers.sizes.get(tag.sizeId);
          return (
            <Pressable
              key={tag.id}
              accessibilityRole="button"
              accessibilityLabel={`Tag ${size?.size.tag ?? 'of a deleted size'} on the photo`}
              onPress={() => setOpenTag(tag)}
              className="absolute -ml-12 -mt-[22px] h-11 w-24 items-center justify-center"
              style={{ left: `${tag.x * 100}%`, top: `${tag.y * 100}%` }}
            >
              <View className="rounded-full border-[1.5px] border-brass bg-card px-2.5 py-0.5">
                <Text className="font-number text-[15px] tabular-nums text-brass">
                  {size
                    ? `${size.size.tag} ${isKnown(size.result) ? show.value(size.result.value, size.size.quantity) : '?'}`
                    : 'lost'}
                </Text>
              </View>
            </Pressable>
          );
        })}
        {marks.map((mark) => (
          <Mark key={mark.id} mark={mark} onPress={() => setOpenMark(mark)} />
        ))}
      </View>
      <View className="gap-3 px-4">
        <Text className="font-label text-[14px] text-muted">
          Tap the photo where a size is taken, or where it broke.
        </Text>
        <Field
          label="Name of the photo"
          maxLength={80}
          value={name}
          onChangeText={setName}
          onBlur={() => {
            const trimmed = name.trim();
            if (trimmed && trimmed !== photo.name) put('photo', { ...photo, name: trimmed });
          }}
        />
        <Button tone="primary" label="All photos" onPress={onClose} />
        <Button
          tone="danger"
          label="Delete this photo"
          onPress={() => {
            put('photo', { ...photo, removed: true }, `${photo.name} deleted.`);
            onClose();
          }}
        />
      </View>
      {placing ? <PlaceSheet photo={photo} place={placing} onClose={() => setPlacing(null)} /> : null}
      {openMark ? <MarkSheet photo={photo} mark={openMark} onClose={() => setOpenMark(null)} /> : null}
      {openTag ? <TagSheet photo={photo} tag={openTag} onClose={() => setOpenTag(null)} /> : null}
    </ScrollView>
  );
}
