import type { ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';

/** One of up to five drawn things, side by side. */
export function DrawnChoice<T extends string>({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: readonly {
    id: T;
    word: string;
    /** A second line: a figure of it. */
    note?: string | undefined;
    drawing: ReactNode;
  }[];
  value: T | null;
  onChange(value: T): void;
}) {
  return (
    <View accessibilityRole="radiogroup" accessibilityLabel={label} className="flex-row gap-1">
      {options.map(({ id, word, note, drawing }) => {
        const chosen = id === value;
        return (
          <Pressable
            key={id}
            accessibilityRole="radio"
            accessibilityLabel={note === undefined ? word : `${word}, ${note}`}
            aria-checked={chosen}
            onPress={() => onChange(id)}
            className={`min-h-[84px] min-w-0 flex-1 items-center justify-end rounded border pb-1 pt-1 ${
              chosen ? 'border-green bg-green-soft' : 'border-line bg-card active:bg-green-soft'
            }`}
          >
            {drawing}
            <Text
              numberOfLines={1}
              className={`font-label text-quarter-[12.5px] ${chosen ? 'text-green' : 'text-ink'}`}
            >
              {word}
            </Text>
            {note === undefined ? null : (
              <Text
                numberOfLines={1}
                className="text-center font-number text-quarter-[12px] tabular-nums text-muted"
              >
                {note}
              </Text>
            )}
          </Pressable>
        );
      })}
    </View>
  );
}
