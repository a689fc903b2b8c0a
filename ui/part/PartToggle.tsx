import type { LucideIcon } from 'lucide-react-native';
import { Pressable, Text, View } from 'react-native';

import { colours } from '../theme/colours';

/** A switch or a choice over the picture: in words, or by its sign where there is little room. */
export function PartToggle({
  label,
  on,
  onPress,
  Icon,
  short = false,
  kind = 'switch',
}: {
  label: string;
  on: boolean;
  /** Stands for the words where there is little room. */
  Icon?: LucideIcon;
  short?: boolean;
  onPress(): void;
  kind?: 'choice' | 'switch';
}) {
  const isShort = Icon !== undefined && short;
  const colour = !on
    ? 'bg-card border-line'
    : kind === 'choice'
      ? 'bg-ink border-ink'
      : 'bg-green-soft border-green';
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={label}
      aria-pressed={on}
      onPress={onPress}
      className={`min-h-[44px] justify-center ${isShort ? 'min-w-[42px] items-center' : ''}`}
    >
      <View className={`rounded border px-2 py-1.5 ${short ? '' : 'lg:px-3'} ${colour}`}>
        {isShort ? (
          <Icon size={18} color={colours.ink} />
        ) : (
          <Text className={`font-number text-[14px] ${on && kind === 'choice' ? 'text-card' : 'text-ink'}`}>
            {label}
          </Text>
        )}
      </View>
    </Pressable>
  );
}
