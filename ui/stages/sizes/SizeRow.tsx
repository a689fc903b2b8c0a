import { Pressable, Text, View } from 'react-native';

import type { SizeResult } from '@core/measure';
import type { Size } from '@core/model';
import { showNumber, showUncertainty } from '@core/quantity';

import { JAW_WORDS } from './jaws';
import { Tag } from './Tag';

/** One size in the list: its tag, its name, how it was taken, its value with its uncertainty. */
export function SizeRow({ size, result, onPress }: { size: Size; result: SizeResult; onPress(): void }) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`Size ${size.tag}, ${size.name}, ${result.status === 'wanted' ? 'to take' : `${showNumber(result.mm)} mm`}`}
      onPress={onPress}
      className="min-h-[60px] flex-row items-center gap-3 border-b border-line px-4 py-2 active:bg-brass-soft"
    >
      <Tag letter={size.tag} kind={size.kind} />
      <View className="flex-1">
        <Text numberOfLines={1} className="font-medium text-[17px] text-ink">
          {size.name}
        </Text>
        <Text numberOfLines={1} className="font-label text-[13.5px] text-muted">
          {howTaken(size, result)}
        </Text>
      </View>
      <SizeValue size={size} result={result} />
    </Pressable>
  );
}

function SizeValue({ size, result }: { size: Size; result: SizeResult }) {
  if (result.status === 'wanted') {
    return <Text className="font-number text-[15px] text-rust">to take</Text>;
  }
  return (
    <View className="items-end">
      <Text
        className={`font-number text-[18px] tabular-nums ${size.kind === 'measured' ? 'text-brass' : 'text-ink'}`}
      >
        {showNumber(result.mm)}
      </Text>
      {result.status === 'measured' ? (
        <Text className="font-label text-[13.5px] tabular-nums text-muted">
          {`± ${showUncertainty(result.uncertainty.expandedMm)}`}
        </Text>
      ) : null}
    </View>
  );
}

function howTaken(size: Size, result: SizeResult): string {
  const counterpart = size.of === 'counterpart' ? ' · counterpart' : '';
  if (size.kind === 'chosen') return `chosen${counterpart}`;
  if (size.kind === 'stated') return `stated${size.source ? `: ${size.source}` : ''}${counterpart}`;
  const count = result.count === 0 ? '' : ` · ${result.count} ${result.count === 1 ? 'reading' : 'readings'}`;
  return `${JAW_WORDS[size.jaw]}${count}${counterpart}`;
}
