import { useEffect, useRef, useState } from 'react';
import { Pressable, Text, TextInput, View } from 'react-native';

import { readReading } from '@core/measuring/measure';
import type { Instrument } from '@core/record/model';
import { typedUnitOf } from '@core/foundations/quantity';

import { hasUnitAtEnd, typedAfter, type Key } from '../shared/pad/keys';
import { PadKeys } from '../shared/pad/PadKeys';
import { usePreferences } from '../preferences/usePreferences';
import { useWorth } from '../preferences/useWorth';
import { Wrong } from '../shared/Field';
import { problemOf, type Problem } from '../shared/problem';
import { colours } from '../theme/colours';
import { useTypedKeys } from './useTypedKeys';

/**
 * Takes a number or a sum from the thumb, a keyboard, the clipboard or calipers that type. The number being worked
 * on is always in view.
 */
export function Pad({
  instrument,
  start,
  action,
  onTake,
  onInstrument,
}: {
  instrument: Instrument;
  /** What stands in it at first. */
  start: string;
  /** Words on the button: "Take reading 3". */
  action: string;
  onTake(value: number, typed: string): void;
  onInstrument(): void;
}) {
  const worth = useWorth();
  const preferred = usePreferences((preferences) => preferences.unit);
  const [text, setText] = useState(start);
  const [wrong, setWrong] = useState<Problem | null>(null);
  const input = useRef<TextInput>(null);
  useEffect(() => input.current?.focus(), []);
  // Calipers send keys faster than the screen is drawn.
  const latest = useRef(start);

  const change = (next: string) => {
    latest.current = next.slice(0, 60);
    setText(latest.current);
    setWrong(null);
  };
  const press = (key: Key) => {
    // The caret is where the last key went: a reading is short.
    const end = latest.current.length;
    change(typedAfter({ text: latest.current, from: end, to: end }, key).text);
    input.current?.focus();
  };
  const unit = instrument.shows === 'in' ? 'in' : typedUnitOf(preferred);
  const take = () => {
    const typed = latest.current;
    const reading = readReading(typed, instrument, unit);
    if (!reading.ok) {
      setWrong(problemOf(reading.fault));
      return;
    }
    // Emptied at once: the next reading may arrive before the screen is drawn again.
    change('');
    onTake(reading.value, typed.trim());
  };
  useTypedKeys(() => input.current, { onText: (key) => change(latest.current + key), onEnter: take });

  const worked = worth(text, instrument.quantity, unit);
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
          placeholder={instrument.quantity === 'angle' ? '0.0' : '0.00'}
          placeholderTextColor={colours.rule}
          className="h-[46px] min-w-0 flex-1 font-number text-[32px] tabular-nums text-ink outline-none"
        />
        {worked ? (
          <Text className="font-number text-[17px] tabular-nums text-brass">{`= ${worked}`}</Text>
        ) : hasUnitAtEnd(text) ? null : (
          <Text className="font-label text-[18px] text-muted">
            {instrument.quantity === 'angle' ? '°' : unit}
          </Text>
        )}
      </View>
      {wrong ? <Wrong text={wrong} onChoose={change} /> : null}
      <PadKeys
        quantity={instrument.quantity}
        action={action}
        onKey={press}
        onAction={take}
        beside={
          <Pressable
            accessibilityRole="button"
            accessibilityLabel={`Instrument: ${instrument.name}`}
            onPress={onInstrument}
            className="h-11 max-w-[132px] justify-center rounded border border-line bg-paper px-2"
          >
            <Text numberOfLines={1} className="font-label text-[13px] text-ink">
              {instrument.name}
            </Text>
          </Pressable>
        }
      />
    </View>
  );
}
