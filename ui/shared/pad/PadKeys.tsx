import Delete from 'lucide-react-native/icons/delete';
import type { ReactNode } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';

import { usePreferences } from '../../preferences/usePreferences';
import { colours } from '../../theme/colours';
import { KEY_ROWS, SHOWN, SPOKEN, SUM_KEYS, UNIT_KEYS, type Key, type PadQuantity } from './keys';

/** A size as a key: its tag in brass, with what it comes to. */
export interface TagKey {
  /** What it types. */
  tag: string;
  /** What it comes to, as it is shown; null where it is not known yet. */
  number: string | null;
  spoken: string;
}

/**
 * The keys themselves: thumb-sized, so that the other hand can keep the calipers. They are not in the way of Tab: a person with
 * a keyboard types into the field.
 */
export function PadKeys({
  quantity,
  action,
  tags = [],
  functions = [],
  beside,
  onKey,
  onInsert = () => {},
  onLetters,
  onAction,
}: {
  quantity: PadQuantity;
  /** Words on the button: "Take reading 3". */
  action: string;
  tags?: readonly TagKey[];
  /** Names of functions that may stand in a formula. */
  functions?: readonly string[];
  /** Stands at the end of the row for sums. */
  beside?: ReactNode;
  onKey(key: Key): void;
  onInsert?(words: string): void;
  /** To the device's own keyboard, where words may be typed too. */
  onLetters?: (() => void) | undefined;
  onAction(): void;
}) {
  const units = UNIT_KEYS[quantity];
  const isLeft = usePreferences(({ hand }) => hand) === 'left';
  return (
    <View className="gap-1.5">
      {tags.length > 0 ? (
        <ScrollView
          horizontal
          showsHorizontalScrollIndicator={false}
          role="group"
          aria-label="Sizes as keys"
          contentContainerClassName="gap-1.5"
        >
          {tags.map((tag) => (
            <Pressable
              key={tag.tag}
              accessibilityRole="button"
              accessibilityLabel={tag.spoken}
              tabIndex={-1}
              onPress={() => onInsert(tag.tag)}
              className="h-11 min-w-[44px] flex-row items-center gap-1.5 rounded border border-line bg-brass-soft px-2.5 active:opacity-80"
            >
              <Text className="font-semibold text-[15px] text-brass">{tag.tag}</Text>
              {tag.number === null ? null : (
                <Text className="font-number text-[15px] tabular-nums text-ink">{tag.number}</Text>
              )}
            </Pressable>
          ))}
        </ScrollView>
      ) : null}
      {quantity === 'plain' && !beside ? null : (
        <View className="flex-row items-center gap-1.5">
          <ScrollView
            horizontal
            showsHorizontalScrollIndicator={false}
            className="flex-1"
            contentContainerClassName="gap-1.5"
          >
            {[...SUM_KEYS, ...units.more].map((key) => (
              <PadKey key={key} id={key} small onPress={onKey} />
            ))}
            {functions.map((name) => (
              <SmallKey key={name} spoken={name} shown={name} onPress={() => onInsert(`${name}(`)} />
            ))}
            {onLetters ? <SmallKey spoken="Letters" shown="abc" onPress={onLetters} /> : null}
          </ScrollView>
          {beside}
        </View>
      )}
      {KEY_ROWS.map((row) => (
        <View key={row[0]} className="flex-row gap-1.5">
          {isLeft && row[0] === '0' ? <ActionKey label={action} onPress={onAction} /> : null}
          {underThumb(row, isLeft).map((key) =>
            // A number without a unit is no sum either.
            key === '/' && quantity === 'plain' ? (
              <View key={key} className="flex-1" />
            ) : (
              <PadKey key={key} id={key} onPress={onKey} />
            ),
          )}
          {row[0] === '0' ? (
            <>
              {units.main ? <PadKey id={units.main} onPress={onKey} /> : null}
              {isLeft ? null : <ActionKey label={action} onPress={onAction} />}
            </>
          ) : null}
        </View>
      ))}
    </View>
  );
}

/** Figures stay in their order; what is pressed with them stands under the thumb of the hand that holds the phone. */
const underThumb = (row: readonly Key[], isLeft: boolean): readonly Key[] =>
  isLeft && row.length > 3 ? [row.at(-1)!, ...row.slice(0, -1)] : row;

function ActionKey({ label, onPress }: { label: string; onPress(): void }) {
  return (
    <Pressable
      accessibilityRole="button"
      tabIndex={-1}
      onPress={onPress}
      className="min-h-[46px] flex-[2.1] items-center justify-center rounded bg-green active:opacity-80"
    >
      <Text numberOfLines={1} className="font-semibold text-center text-quarter-[16px] text-card">
        {label}
      </Text>
    </Pressable>
  );
}

function PadKey({ id, small = false, onPress }: { id: Key; small?: boolean; onPress(key: Key): void }) {
  const shown = SHOWN[id] ?? id;
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={SPOKEN[id] ?? id}
      tabIndex={-1}
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

function SmallKey({ shown, spoken, onPress }: { shown: string; spoken: string; onPress(): void }) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={spoken}
      tabIndex={-1}
      onPress={onPress}
      className="h-11 min-w-[44px] items-center justify-center rounded border border-line bg-card px-2.5 active:bg-brass-soft"
    >
      <Text className="font-number text-[16px] text-ink">{shown}</Text>
    </Pressable>
  );
}
