import Delete from 'lucide-react-native/icons/delete';
import { useEffect, useRef, useState } from 'react';
import { Pressable, ScrollView, Text, TextInput, View } from 'react-native';

import { readReading } from '@core/measuring/measure';
import type { Instrument } from '@core/record/model';
import { typedUnitOf } from '@core/foundations/quantity';

import { usePreferences } from '../preferences/usePreferences';
import { useWorth } from '../preferences/useWorth';
import { Wrong } from '../shared/Field';
import { problemOf, type Problem } from '../shared/problem';
import { colours } from '../theme/colours';
import { useTypedKeys } from './useTypedKeys';

/** Keys by rows; thumb-sized, so that the other hand can keep the calipers. */
const KEYS = [
  ['7', '8', '9', 'back'],
  ['4', '5', '6', '/'],
  ['1', '2', '3', '-'],
  ['0', '.'],
] as const;
/** For sums and fractions, above the rest. */
const SUM_KEYS = ['/2', '+', '*', '(', ')', 'space'] as const;
type UnitKey = 'in' | 'cm' | 'mm' | '°';
type Key = (typeof KEYS)[number][number] | (typeof SUM_KEYS)[number] | UnitKey;
/** Units by what is measured: the one beside the figures, and those above. */
const UNIT_KEYS: Record<Instrument['quantity'], { main: UnitKey; more: readonly UnitKey[] }> = {
  length: { main: 'in', more: ['cm', 'mm'] },
  angle: { main: '°', more: [] },
};

const SHOWN: Partial<Record<Key, string>> = { '/': '÷', '-': '−', '*': '×', '/2': '÷ 2' };
const SPOKEN: Partial<Record<Key, string>> = {
  back: 'Delete',
  in: 'inch',
  '°': 'degrees',
  '/': 'over, for fractions',
  '/2': 'halve',
  '-': 'minus',
  '+': 'plus',
  '*': 'times',
  '(': 'open bracket',
  ')': 'close bracket',
  '.': 'point',
  space: 'space',
};
const isUnit = (key: Key): key is UnitKey => ['in', 'cm', 'mm', '°'].includes(key);
const UNIT_AT_END = /\s*(in|cm|mm|°)\s*$/;

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
    if (key === 'back') change(text.slice(0, -1));
    // Units take the place of one that is there already, and go when tapped again.
    else if (isUnit(key)) {
      const there = UNIT_AT_END.exec(text)?.[1];
      const bare = text.replace(UNIT_AT_END, '');
      change(there === key || bare === '' ? bare : `${bare}${key === '°' ? '' : ' '}${key}`);
    } else change(text + (key === 'space' ? ' ' : key));
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

  const units = UNIT_KEYS[instrument.quantity];
  const worked = worth(text, instrument.quantity, unit);
  const hasUnit = UNIT_AT_END.test(text) || /["″”°]\s*$/.test(text);
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
        ) : hasUnit ? null : (
          <Text className="font-label text-[18px] text-muted">
            {instrument.quantity === 'angle' ? '°' : unit}
          </Text>
        )}
      </View>
      {wrong ? <Wrong text={wrong} onChoose={change} /> : null}
      <View className="flex-row items-center gap-1.5">
        <ScrollView
          horizontal
          showsHorizontalScrollIndicator={false}
          className="flex-1"
          contentContainerClassName="gap-1.5"
        >
          {[...SUM_KEYS, ...units.more].map((key) => (
            <PadKey key={key} id={key} small onPress={press} />
          ))}
        </ScrollView>
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
      </View>
      {KEYS.map((row) => (
        <View key={row[0]} className="flex-row gap-1.5">
          {row.map((key) => (
            <PadKey key={key} id={key} onPress={press} />
          ))}
          {row[0] === '0' ? (
            <>
              <PadKey id={units.main} onPress={press} />
              <Pressable
                accessibilityRole="button"
                onPress={take}
                className="h-[46px] flex-[2.1] items-center justify-center rounded bg-green active:opacity-80"
              >
                <Text className="font-semibold text-[16px] text-card">{action}</Text>
              </Pressable>
            </>
          ) : null}
        </View>
      ))}
    </View>
  );
}

function PadKey({ id, small = false, onPress }: { id: Key; small?: boolean; onPress(key: Key): void }) {
  const shown = SHOWN[id] ?? id;
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={SPOKEN[id] ?? id}
      onPress={() => onPress(id)}
      className={`items-center justify-center rounded border border-line bg-card active:bg-brass-soft ${
        small ? 'h-11 min-w-[44px] px-2.5' : 'h-[46px] flex-1'
      }`}
    >
      {id === 'back' ? (
        <Delete size={22} color={colours.ink} />
      ) : (
        <Text
          className={`font-number text-ink ${small ? 'text-[17px]' : shown.length > 1 ? 'text-[16px]' : 'text-[21px]'}`}
        >
          {shown}
        </Text>
      )}
    </Pressable>
  );
}
