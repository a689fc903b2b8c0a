import { Pressable, Text, View } from 'react-native';

/** Any of a few, each on or off by a tap. */
export function Toggles<T extends string>({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: readonly { id: T; word: string }[];
  value: readonly T[];
  onChange(value: T[]): void;
}) {
  return (
    <View role="group" aria-label={label} className="flex-row flex-wrap gap-1.5">
      {options.map(({ id, word }) => {
        const on = value.includes(id);
        return (
          <Pressable
            key={id}
            accessibilityRole="checkbox"
            accessibilityLabel={word}
            aria-checked={on}
            onPress={() => onChange(on ? value.filter((one) => one !== id) : [...value, id])}
            className={`min-h-[44px] justify-center rounded border px-3 ${
              on ? 'border-green bg-green' : 'border-rule bg-card active:bg-green-soft'
            }`}
          >
            <Text className={`font-number text-[15px] ${on ? 'text-card' : 'text-ink'}`}>{word}</Text>
          </Pressable>
        );
      })}
    </View>
  );
}
