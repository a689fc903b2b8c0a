import { Pressable, Text, View } from 'react-native';

/** One of several things to choose from, a line each. */
export function ChoiceRow({
  title,
  note,
  number,
  tag,
  chosen = false,
  label,
  onPress,
  onLook,
}: {
  title: string;
  note?: string | undefined;
  number?: string | undefined;
  /** A letter or mark before the title. */
  tag?: string | undefined;
  chosen?: boolean;
  /** What a screen reader says instead of the title and the number. */
  label?: string;
  onPress(): void;
  /** A finger or the mouse is on it, or has left it. */
  onLook?(isOn: boolean): void;
}) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={label ?? [tag, title, number].filter(Boolean).join(', ')}
      aria-pressed={chosen}
      onPress={onPress}
      {...(onLook && {
        onPressIn: () => onLook(true),
        onPressOut: () => onLook(false),
        onHoverIn: () => onLook(true),
        onHoverOut: () => onLook(false),
      })}
      className={`min-h-[52px] flex-row items-center gap-3 rounded border px-3 py-1.5 active:bg-green-soft ${
        chosen ? 'border-green bg-green-soft' : 'border-line bg-card'
      }`}
    >
      {tag === undefined ? null : (
        <Text className="min-w-[26px] font-number text-[16px] text-ink">{tag}</Text>
      )}
      <View className="min-w-0 flex-1">
        <Text className="font-medium text-[16px] text-ink">{title}</Text>
        {note ? <Text className="font-label text-[13.5px] text-muted">{note}</Text> : null}
      </View>
      {number === undefined ? null : (
        <Text className="font-number text-[16px] tabular-nums text-ink">{number}</Text>
      )}
    </Pressable>
  );
}
