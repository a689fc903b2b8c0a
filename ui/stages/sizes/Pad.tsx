import Delete from 'lucide-react-native/icons/delete';
import { useEffect, useRef, useState } from 'react';
import { Pressable, Text, TextInput, View } from 'react-native';

import { readReading } from '@core/measure';
import type { Instrument } from '@core/standards';
import { sentenceOf } from '@core/wording';

import { Wrong } from '../../shared/Field';
import { colours } from '../../theme/colours';

/** Keys by rows; thumb-sized, so that the other hand can keep the calipers. */
const KEYS = [
  ['7', '8', '9', 'back'],
  ['4', '5', '6', 'in'],
  ['1', '2', '3', '/'],
  ['0', '.', 'space'],
] as const;
type Key = (typeof KEYS)[number][number];

const SPOKEN: Partial<Record<Key, string>> = {
  back: 'Rub out',
  in: 'inch',
  '/': 'over, for fractions',
  '.': 'point',
  space: 'space',
};

/**
 * Takes a number from the thumb, a keyboard, the clipboard or calipers that type. The number being worked on is
 * always in view.
 */
export function Pad({
  instrument,
  start,
  action,
  onTake,
}: {
  instrument: Instrument;
  /** What stands in it at first. */
  start: string;
  /** Words on the button: "Take reading 3". */
  action: string;
  onTake(mm: number, typed: string): void;
}) {
  const [text, setText] = useState(start);
  const [wrong, setWrong] = useState<string | null>(null);
  const input = useRef<TextInput>(null);
  useEffect(() => input.current?.focus(), []);

  const change = (next: string) => {
    setText(next.slice(0, 60));
    setWrong(null);
  };
  const press = (key: Key) => {
    if (key === 'back') change(text.slice(0, -1));
    else if (key === 'in') change(/in\s*$/.test(text) ? text.replace(/\s*in\s*$/, '') : `${text} in`);
    else change(text + (key === 'space' ? ' ' : key));
    input.current?.focus();
  };
  const take = () => {
    const reading = readReading(text, instrument);
    if (reading.ok) onTake(reading.value, text.trim());
    else setWrong(sentenceOf(reading.fault));
  };
  const inches = /in\s*$|["″”]\s*$/.test(text);
  return (
    <View className="gap-1.5 border-t border-line bg-card px-3 pb-3 pt-1">
      <View className="flex-row items-center gap-2">
        <TextInput
          ref={input}
          accessibilityLabel="Reading"
          aria-invalid={wrong ? true : undefined}
          value={text}
          onChangeText={change}
          onSubmitEditing={take}
          submitBehavior="submit"
          // The keys below are the keyboard; a phone's own would cover them.
          inputMode="none"
          placeholder="0.00"
          placeholderTextColor={colours.rule}
          className="h-[48px] min-w-0 flex-1 font-number text-[34px] tabular-nums text-ink outline-none"
        />
        {inches ? null : <Text className="font-label text-[18px] text-muted">mm</Text>}
      </View>
      {wrong ? <Wrong text={wrong} /> : null}
      {KEYS.map((row) => (
        <View key={row[0]} className="flex-row gap-1.5">
          {row.map((key) => (
            <Pressable
              key={key}
              accessibilityRole="button"
              accessibilityLabel={SPOKEN[key] ?? key}
              onPress={() => press(key)}
              className="h-[46px] flex-1 items-center justify-center rounded border border-line bg-card active:bg-brass-soft"
            >
              {key === 'back' ? (
                <Delete size={22} color={colours.ink} />
              ) : (
                <Text className={`font-number text-ink ${key.length > 1 ? 'text-[15px]' : 'text-[21px]'}`}>
                  {key}
                </Text>
              )}
            </Pressable>
          ))}
          {row[0] === '0' ? (
            <Pressable
              accessibilityRole="button"
              onPress={take}
              className="h-[46px] flex-[2.1] items-center justify-center rounded bg-green active:opacity-80"
            >
              <Text className="font-semibold text-[16px] text-card">{action}</Text>
            </Pressable>
          ) : null}
        </View>
      ))}
    </View>
  );
}
