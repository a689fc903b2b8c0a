import { Pressable, Text, View } from 'react-native';

import { suspectsOf, type SolvedLayout } from '@core/measuring/layout';
import type { Layout, LayoutDistance } from '@core/record/model';

import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { distanceWords } from './editLayout';

const UNUSED_WORDS = {
  leftOut: 'left out',
  notTaken: 'to take',
  noDiameter: 'needs a diameter',
  wrongEnds: 'its ends do not face each other',
} as const;

/** All distances with what the adjustment did to them. */
export function DistanceList({
  layout,
  solved,
  onOpen,
}: {
  layout: Layout;
  solved: SolvedLayout;
  onOpen(distance: LayoutDistance): void;
}) {
  const { numbers } = useRepairContext();
  const show = useShow();
  const used = new Map(solved.distances.map((one) => [one.distance.id, one]));
  const suspects = suspectsOf(solved);
  // Of several that can’t be told apart none is marked as wrong.
  const isOne = suspects.size === 1;
  const unused = new Map(solved.unused.map((one) => [one.distance.id, one.why]));
  return (
    <View role="list" aria-label="Distances">
      {layout.distances.map((distance) => {
        const one = used.get(distance.id);
        const suspect = isOne && suspects.has(distance.id);
        const maybe = !isOne && suspects.has(distance.id);
        const { source } = distance;
        const tag = source.from === 'size' ? (numbers.sizes.get(source.id)?.size.tag ?? '?') : '';
        const words = distanceWords(layout, distance);
        const why = unused.get(distance.id);
        return (
          <View key={distance.id} role="listitem">
            <Pressable
              accessibilityRole="button"
              accessibilityLabel={`Distance ${words}${suspect ? ', does not agree' : maybe ? ', may be the wrong one' : ''}`}
              onPress={() => onOpen(distance)}
              className={`min-h-[50px] flex-row items-center gap-3 border-b border-line px-4 py-1 active:bg-brass-soft ${suspect ? 'bg-rust-soft' : ''}`}
            >
              <Text className="w-7 font-number text-[15px] text-brass">{tag}</Text>
              <Text numberOfLines={1} className="flex-1 font-medium text-[15.5px] text-ink">
                {words}
              </Text>
              {one ? (
                <View className="items-end">
                  <Text className="font-number text-[16px] tabular-nums text-brass">
                    {show.number(one.observedMm)}
                  </Text>
                  <Text
                    className={`font-label text-[12.5px] tabular-nums ${suspect ? 'text-rust' : 'text-muted'}`}
                  >
                    {one.redundancy > 0.02 || suspect || maybe
                      ? `${show.signed(one.residualMm)}${suspect || maybe ? ' ?' : ''}`
                      : 'not checked'}
                  </Text>
                </View>
              ) : (
                <Text className="font-label text-[13.5px] text-rust">{why ? UNUSED_WORDS[why] : ''}</Text>
              )}
            </Pressable>
          </View>
        );
      })}
    </View>
  );
}
