import { Pressable, Text, View } from 'react-native';

import { STARTER_FIGURES, STARTERS, type Starter } from '@core/shaping/starters';
import { ownValue } from '@core/foundations/own';

import { LineDrawing } from '../shared/LineDrawing';

/** Common spares as they are drawn, to begin with the one that is most like what is wanted. */
export function StarterTiles({ onChoose }: { onChoose(starter: Starter): void }) {
  return (
    <View role="list" aria-label="Common spares" className="flex-row flex-wrap gap-2">
      {STARTERS.map((starter) => (
        <View key={starter.id} role="listitem" className="min-w-[150px] flex-1 basis-[160px]">
          <Pressable
            accessibilityRole="button"
            accessibilityLabel={`${starter.name}: ${starter.what}`}
            onPress={() => onChoose(starter)}
            className="h-full rounded border border-line bg-card active:bg-green-soft"
          >
            <View className="items-center rounded-t-sm bg-bench py-2">
              <LineDrawing picture={ownValue(STARTER_FIGURES, starter.id)?.picture ?? null} size={92} />
            </View>
            <View className="gap-0.5 px-2.5 pb-2 pt-1.5">
              <Text className="font-semibold text-[15.5px] leading-5 text-ink">{starter.name}</Text>
              <Text className="font-label text-[13px] leading-[17px] text-muted">{starter.what}</Text>
            </View>
          </Pressable>
        </View>
      ))}
    </View>
  );
}
