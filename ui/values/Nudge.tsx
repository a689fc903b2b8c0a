import type { ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';

import { keepsFocus } from '../shared/pad/keepsFocus';
import { signed } from '../shared/nudges';

/** Changes a number by a little: less to the left, more to the right, and what moves it freely between them. */
export function Nudge({
  steps,
  onNudge,
  children,
}: {
  /** In the unit that is typed, the smallest first. */
  steps: readonly number[];
  onNudge(by: number): void;
  children?: ReactNode;
}) {
  const keyOf = (by: number) => (
    <Pressable
      key={by}
      accessibilityRole="button"
      accessibilityLabel={by < 0 ? `${-by} less` : `${by} more`}
      onPress={() => onNudge(by)}
      className="h-11 min-w-[44px] items-center justify-center rounded border border-line bg-card px-1 active:bg-green-soft"
    >
      <Text className="font-number text-[15px] tabular-nums text-ink">{signed(by)}</Text>
    </Pressable>
  );
  return (
    <View ref={keepsFocus} role="group" aria-label="Change it by a little" className="flex-row gap-1.5">
      {[...steps].reverse().map((by) => keyOf(-by))}
      <View className="min-w-0 flex-1">{children}</View>
      {steps.map(keyOf)}
    </View>
  );
}
