import { router } from 'expo-router';
import { useRef, useState } from 'react';
import { Image, Pressable, ScrollView, Text, View } from 'react-native';

import { isKnown } from '@core/measuring/measure';
import type { Photo, PhotoMark, PhotoTag } from '@core/record/model';

import { newId } from '../../api/newId';
import { photoAddress } from '../../api/photos';
import { useChangeRepair } from '../../api/useRepair';
import { openSize } from '../../inRepair/opened';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { EmptyState } from '../../shared/EmptyState';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { Sheet } from '../../shared/Sheet';
import { Mark, MarkWords } from './Marks';

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
  const toSize = (sizeId: string) => {
    openSize(sizeId);
    router.replace(`/repair/${repair.head.id}/sizes`);
  };
  const marks = photo.marks ?? [];
  const sizes = [...numbers.sizes.values()];
  const opened = openTag ? numbers.sizes.get(openTag.sizeId) : undefined;
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
      {placing ? (
        <Sheet title="What is here?" onClose={() => setPlacing(null)}>
          <MarkWords
            onTake={(words) => {
              const mark = { id: newId(), words, ...placing };
              put('photo', { ...photo, marks: [...marks, mark] }, `“${words}” is marked.`);
              setPlacing(null);
            }}
          />
          <GroupHeading>Or a size that is taken here</GroupHeading>
          {sizes.length === 0 ? (
            <EmptyState
              text="There is no size yet. Add one on the Sizes stage, then place its tag here."
              action={{
                label: 'Go to Sizes',
                onPress: () => router.replace(`/repair/${repair.head.id}/sizes`),
              }}
            />
          ) : null}
          {sizes.map(({ size, result }) => (
            <ChoiceRow
              key={size.id}
              tag={size.tag}
              title={size.name}
              number={isKnown(result) ? show.value(result.value, size.quantity) : 'to take'}
              onPress={() => {
                const others = photo.tags.filter(({ sizeId }) => sizeId !== size.id);
                const tag = { id: newId(), sizeId: size.id, ...placing };
                put('photo', { ...photo, tags: [...others, tag] }, `Tag ${size.tag} is placed.`);
                setPlacing(null);
              }}
            />
          ))}
        </Sheet>
      ) : null}
      {openMark ? (
        <Sheet title={openMark.words} onClose={() => setOpenMark(null)}>
          <Button
            tone="danger"
            label="Take this mark off"
            onPress={() => {
              put(
                'photo',
                { ...photo, marks: marks.filter(({ id }) => id !== openMark.id) },
                'Mark taken off.',
              );
              setOpenMark(null);
            }}
          />
        </Sheet>
      ) : null}
      {openTag ? (
        <Sheet
          title={opened ? `${opened.size.tag}, ${opened.size.name}` : 'A deleted size'}
          onClose={() => setOpenTag(null)}
        >
          {opened ? (
            <Button tone="primary" label="Open this size" onPress={() => toSize(opened.size.id)} />
          ) : null}
          <Button
            tone="danger"
            label="Take this tag off"
            onPress={() => {
              put(
                'photo',
                { ...photo, tags: photo.tags.filter(({ id }) => id !== openTag.id) },
                'Tag taken off.',
              );
              setOpenTag(null);
            }}
          />
        </Sheet>
      ) : null}
    </ScrollView>
  );
}
