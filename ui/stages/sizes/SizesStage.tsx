import { router } from 'expo-router';
import { useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import { briefCautions } from '@core/measuring/brief';
import { NO_BRIEF } from '@core/foundations/fields';
import { briefCautionSentence } from '@core/reporting/wording';

import { DeletedRows } from '../../inRepair/DeletedRows';
import { openSize, useOpened } from '../../inRepair/opened';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { usePreferences } from '../../preferences/usePreferences';
import { Button } from '../../shared/Button';
import { EmptyState } from '../../shared/EmptyState';
import { FirstHint } from '../../shared/FirstHint';
import { GroupHeading } from '../../shared/Heading';
import { OpenSize } from '../../measuring/OpenSize';
import { PracticeCaliper } from '../../measuring/PracticeCaliper';
import { SizeForm } from '../../measuring/SizeForm';
import { FirstSizes } from './FirstSizes';
import { SizeRow } from './SizeRow';
import { useReadThrough } from '../../measuring/useReadThrough';

/** Which sizes matter, and taking them. */
export function SizesStage() {
  const { repair, numbers } = useRepairContext();
  const openedSize = useOpened(({ size }) => size);
  const practice = usePreferences((preferences) => preferences.practiceCaliper);
  const [adding, setAdding] = useState(false);
  const readThrough = useReadThrough();
  const sizes = [...numbers.sizes.values()];
  const open = openedSize === null ? undefined : numbers.sizes.get(openedSize);

  if (open) {
    const inTurn = readThrough.on && open.size.kind === 'measured';
    return (
      <View className="flex-1">
        {inTurn ? <ReadThroughBar {...readThrough} count={open.result.count} /> : null}
        {practice ? <PracticeCaliper /> : null}
        <OpenSize
          key={open.size.id}
          {...open}
          onClose={() => {
            readThrough.stop();
            openSize(null);
          }}
          onTaken={inTurn ? readThrough.taken : undefined}
        />
      </View>
    );
  }
  const wanted = sizes.filter(({ size, result }) => result.status === 'wanted' && size.kind !== 'derived');
  const base = `/repair/${repair.head.id}` as const;
  return (
    <View className="flex-1">
      <ScrollView contentContainerClassName="pb-24">
        {/* Told before the first size is asked for. */}
        {sizes.every(({ result }) => result.count === 0)
          ? briefCautions(repair.head.brief ?? NO_BRIEF)
              .filter(({ apart }) => apart)
              .map(({ code }) => (
                <Text
                  key={code}
                  role="alert"
                  className="px-4 pt-3 font-medium text-[15px] leading-[22px] text-rust"
                >
                  {briefCautionSentence({ code })}
                </Text>
              ))
          : null}
        {sizes.length === 0 ? (
          <View className="p-4">
            <EmptyState
              text="Which sizes matter? Name the first one, such as “Rim, outside”, and take it with the calipers."
              action={{ label: 'Add the first size', onPress: () => setAdding(true) }}
            />
            <View className="pt-4">
              <FirstSizes />
            </View>
            {repair.bodies.length === 0 ? (
              <View className="items-start pt-3">
                <Button
                  label="Or begin with a common spare: its sizes come with it"
                  onPress={() => router.replace(`${base}/shape?starter=any`)}
                />
              </View>
            ) : null}
          </View>
        ) : (
          <View className="flex-row flex-wrap items-center justify-between gap-x-2 px-4 pb-1 pt-2">
            <GroupHeading>
              {wanted.length > 0
                ? `${sizes.length - wanted.length} of ${sizes.length} sizes taken`
                : `${sizes.length} sizes, all taken`}
            </GroupHeading>
            {readThrough.waiting > 0 ? (
              <Button label={`Read through ${readThrough.waiting}`} onPress={readThrough.begin} />
            ) : null}
          </View>
        )}
        {sizes.length > 0 ? <FirstHint of="sizes" /> : null}
        {sizes.map((entry) => (
          <SizeRow key={entry.size.id} {...entry} onPress={() => openSize(entry.size.id)} />
        ))}
        <View className="flex-row flex-wrap gap-2 px-4 pt-4">
          <Button
            label={withCount('Layouts', numbers.layouts.size)}
            onPress={() => router.replace(`${base}/layouts`)}
          />
          <Button
            label={withCount('Photos', repair.photos.filter(({ removed }) => !removed).length)}
            onPress={() => router.replace(`${base}/photos`)}
          />
          {sizes.length > 0 ? <Button label="Sheet" onPress={() => router.replace(`${base}/sheet`)} /> : null}
        </View>
        <DeletedRows kinds={['size']} />
      </ScrollView>
      {sizes.length > 0 ? (
        <View className="absolute bottom-4 right-4">
          <Button tone="primary" label="Add a size" onPress={() => setAdding(true)} />
        </View>
      ) : null}
      {adding ? <SizeForm size={null} onClose={() => setAdding(false)} onSaved={openSize} /> : null}
    </View>
  );
}

const withCount = (word: string, count: number) => (count === 0 ? word : `${word} · ${count}`);

/** Where a read-through stands, with a way past a size and a way out. */
function ReadThroughBar({
  place,
  total,
  each,
  count,
  skip,
  stop,
}: ReturnType<typeof useReadThrough> & { count: number }) {
  return (
    <View role="status" className="flex-row items-center gap-2 bg-green-soft py-1 pl-4 pr-2">
      <Text className="flex-1 font-medium text-[14.5px] tabular-nums text-green">
        {`Size ${place} of ${total} · reading ${Math.min(count + 1, each)} of ${each}`}
      </Text>
      <Button label="Skip" onPress={skip} />
      <Button label="Stop" onPress={stop} />
    </View>
  );
}
