import { Pressable, Text, View } from 'react-native';

import type { StepKind } from '@core/record/model';
import { menuOf } from '@core/shaping/steps';
import { STEP_FIGURES } from '@core/shaping/steps/figures';

import { LineDrawing } from '../../shared/LineDrawing';

/** A kind of step to choose: what it does, drawn on a small part, its own edges in green. */
export function StepTile({ kind, onPress }: { kind: StepKind; onPress(): void }) {
  const { verb, what } = menuOf(kind);
  const figure = STEP_FIGURES[kind];
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${verb} ${what}`}
      onPress={onPress}
      className="w-[31.7%] rounded border border-line bg-card active:bg-green-soft"
    >
      <View className="items-center rounded-t-sm bg-bench py-1.5">
        <LineDrawing picture={figure} made={figure.made} ghost={figure.ghost} size={66} />
      </View>
      <View className="px-2 pb-2 pt-1">
        <Text className="font-semibold text-[15px] leading-5 text-ink">{verb}</Text>
        <Text className="font-label text-[12.5px] leading-4 text-muted">{what}</Text>
      </View>
    </Pressable>
  );
}
