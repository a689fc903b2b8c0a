import { Pressable, Text, View } from 'react-native';

import type { Picture } from '@core/record/model';

import { LineDrawing } from './LineDrawing';

/** A drawing of something to choose, from a part that shows it: its own edges in green. */
export interface TileFigure extends Pick<Picture, 'outline' | 'edges'> {
  made: readonly number[];
  ghost: readonly number[][];
}

/** One of several things to choose from, drawn: three stand in a row on a phone. */
export function DrawnTile({
  figure,
  title,
  note,
  label,
  chosen = false,
  onPress,
  onLook = () => {},
}: {
  figure: TileFigure;
  title: string;
  note?: string | undefined;
  /** What a screen reader says instead of the title. */
  label?: string;
  chosen?: boolean;
  onPress(): void;
  /** A finger or the mouse is on it, or has left it. */
  onLook?(isOn: boolean): void;
}) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={label ?? title}
      aria-pressed={chosen}
      onPress={onPress}
      onPressIn={() => onLook(true)}
      onPressOut={() => onLook(false)}
      onHoverIn={() => onLook(true)}
      onHoverOut={() => onLook(false)}
      className={`w-[31.7%] rounded border active:bg-green-soft ${
        chosen ? 'border-green bg-green-soft' : 'border-line bg-card'
      }`}
    >
      <View className="items-center rounded-t-sm bg-bench py-1">
        <LineDrawing picture={figure} made={figure.made} ghost={figure.ghost} size={56} />
      </View>
      <View className="px-2 pb-2 pt-1">
        <Text
          className={`text-ink ${note === undefined ? 'font-label text-[13.5px] leading-[17px]' : 'font-semibold text-[15px] leading-5'}`}
        >
          {title}
        </Text>
        {note === undefined ? null : (
          <Text className="font-label text-[12.5px] leading-4 text-muted">{note}</Text>
        )}
      </View>
    </Pressable>
  );
}
