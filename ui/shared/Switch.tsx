import { Pressable, ScrollView, Text, View } from 'react-native';

/** One of a few, side by side. */
export function Switch<T extends string>({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  /** `spoken` is what a screen reader says, where the word is short. */
  options: readonly { id: T; word: string; spoken?: string }[];
  value: T | null;
  onChange(value: T): void;
}) {
  return (
    <View
      accessibilityRole="radiogroup"
      accessibilityLabel={label}
      className="overflow-hidden rounded-lg border border-rule bg-card"
    >
      <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerClassName="min-w-full">
        {options.map(({ id, word, spoken }, index) => {
          const chosen = id === value;
          return (
            <Pressable
              key={id}
              accessibilityRole="radio"
              accessibilityLabel={spoken ?? word}
              accessibilityState={{ checked: chosen }}
              aria-checked={chosen}
              onPress={() => onChange(id)}
              className={`min-h-[44px] shrink-0 grow items-center justify-center px-3 ${index > 0 ? 'border-l border-line' : ''} ${
                chosen ? 'bg-green' : 'active:bg-green-soft'
              }`}
            >
              <Text
                numberOfLines={1}
                className={`font-number text-[15px] ${chosen ? 'text-card' : 'text-ink'}`}
              >
                {word}
              </Text>
            </Pressable>
          );
        })}
      </ScrollView>
    </View>
  );
}
