import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';

import type { PhotoMark } from '@core/record/model';

import { Button } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { colours } from '../../theme/colours';

/** What is most often marked. */
const WORDS = ['It broke here', 'It is worn here', 'It cracked here'];
const LIMIT = 80;
const CROSS = 'M -9 -9 L 9 9 M -9 9 L 9 -9';

/** A mark on a photo: a cross where it is meant, and its words. */
export function Mark({ mark, onPress }: { mark: PhotoMark; onPress(): void }) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`Mark on the photo: ${mark.words}`}
      onPress={onPress}
      className="absolute -ml-[60px] -mt-[22px] w-[120px] items-center"
      style={{ left: `${mark.x * 100}%`, top: `${mark.y * 100}%` }}
    >
      <Svg width={44} height={44} viewBox="-22 -22 44 44" aria-hidden>
        <Path d={CROSS} stroke={colours.card} strokeWidth={6} strokeLinecap="round" />
        <Path d={CROSS} stroke={colours.rust.DEFAULT} strokeWidth={3} strokeLinecap="round" />
      </Svg>
      <View className="-mt-2 rounded border border-rust bg-card px-1.5 py-0.5">
        <Text numberOfLines={2} className="text-center font-label text-[13px] leading-4 text-rust">
          {mark.words}
        </Text>
      </View>
    </Pressable>
  );
}

/** Words for a place of the photo: those that are used most, or others. */
export function MarkWords({ onTake }: { onTake(words: string): void }) {
  const [own, setOwn] = useState('');
  return (
    <View className="gap-1.5">
      <GroupHeading>What is to be seen</GroupHeading>
      {WORDS.map((words) => (
        <ChoiceRow key={words} title={words} onPress={() => onTake(words)} />
      ))}
      <View className="flex-row items-end gap-2">
        <View className="min-w-0 flex-1">
          <Field label="Other words" maxLength={LIMIT} value={own} onChangeText={setOwn} />
        </View>
        <Button label="Mark it" disabled={own.trim() === ''} onPress={() => onTake(own.trim())} />
      </View>
    </View>
  );
}
