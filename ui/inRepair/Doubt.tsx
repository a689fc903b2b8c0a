import { Text, View } from 'react-native';

import { largestContribution, type Uncertainty } from '@core/measuring/measure';
import type { Size } from '@core/record/model';

import { useRepairContext } from './useRepairContext';
import { useShow } from '../preferences/useShow';
import { GroupHeading } from '../shared/Heading';

const SOURCE_WORDS = {
  repeatability: 'the hand and the piece',
  instrument: 'the instrument',
  alongScale: 'the instrument, differently in each',
  jaws: 'its jaws where they touch',
  limits: 'the limits that were stated',
  resolution: 'the steps of its display',
} as const;

/** Where the uncertainty of a size comes from: each share as a bar, the largest named. */
export function Doubt({ size, uncertainty }: { size: Size; uncertainty: Uncertainty }) {
  const { repair, numbers } = useRepairContext();
  const show = useShow();
  const largest = largestContribution(uncertainty);
  const variance = uncertainty.standard ** 2;
  if (!largest || variance === 0) {
    return (
      <Text className="font-label text-[13.5px] text-muted">
        No measurement goes in, so there is no doubt.
      </Text>
    );
  }
  const wordOf = (part: Uncertainty['contributions'][number]) => {
    if (part.instrumentId && size.kind === 'derived') {
      const instrument = numbers.workshop.instruments.find(({ id }) => id === part.instrumentId);
      const how = part.source === 'instrument' ? 'the same in each' : 'different in each';
      return `${instrument?.name ?? SOURCE_WORDS.instrument}, ${how}`;
    }
    if (part.source !== 'size') return SOURCE_WORDS[part.source];
    const from = repair.sizes.find(({ id }) => id === part.sizeId);
    return from ? `${from.tag} ${from.name}` : 'a deleted size';
  };
  const parts = [...uncertainty.contributions].sort((a, b) => b.standard - a.standard).slice(0, 6);
  return (
    <View className="gap-1" role="group" aria-label="Where the doubt comes from">
      <GroupHeading>{`± ${show.doubt(uncertainty.expanded, size.quantity)}, mostly ${wordOf(largest)}`}</GroupHeading>
      {parts.map((part, index) => {
        const share = part.standard ** 2 / variance;
        return (
          <View key={index} className="flex-row items-center gap-2">
            <Text numberOfLines={2} className="w-[46%] font-label text-[13.5px] text-ink">
              {wordOf(part)}
            </Text>
            <View className="h-2 flex-1 rounded-sm bg-bench">
              <View className="h-2 rounded-sm bg-brass" style={{ width: `${Math.max(1, share * 100)}%` }} />
            </View>
            <Text className="w-10 text-right font-label text-[13px] tabular-nums text-muted">
              {`${Math.round(share * 100)} %`}
            </Text>
          </View>
        );
      })}
    </View>
  );
}
