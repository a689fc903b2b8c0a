import { Pressable, Text, View } from 'react-native';

import { isKnown, uncertaintyOf, type SizeResult } from '@core/measuring/measure';
import type { Size } from '@core/record/model';
import { unitAfter } from '@core/foundations/quantity';
import { constructionName } from '@core/reporting/wording';

import { useShow } from '../../preferences/useShow';
import { JAW_WORDS, TAKEN_WORDS } from '../../measuring/jaws';
import { Tag } from '../../measuring/Tag';

/** One size in the list: its tag, its name, how it was taken, its value with its uncertainty. */
export function SizeRow({ size, result, onPress }: { size: Size; result: SizeResult; onPress(): void }) {
  const show = useShow();
  const known = isKnown(result) ? show.full(result.value, size.quantity) : lackOf(result);
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`Size ${size.tag}, ${size.name}, ${known}`}
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
  const show = useShow();
  if (!isKnown(result)) return <Text className="font-number text-[15px] text-rust">{lackOf(result)}</Text>;
  const doubt = uncertaintyOf(result)?.expanded ?? null;
  return (
    <View className="items-end">
      <Text
        className={`font-number text-[18px] tabular-nums ${size.kind === 'measured' ? 'text-brass' : 'text-ink'}`}
      >
        {`${show.value(result.value, size.quantity)}${size.quantity === 'angle' ? unitAfter('angle') : ''}`}
      </Text>
      {doubt === null ? null : (
        <Text className="font-label text-[13.5px] tabular-nums text-muted">
          {`± ${show.doubt(doubt, size.quantity)}`}
        </Text>
      )}
    </View>
  );
}

/** What stands between a size and its value, in a word or two. */
function lackOf(result: SizeResult): string {
  if (result.status === 'impossible') return 'check';
  return result.status === 'wanted' && result.waitsFor ? `needs ${result.waitsFor.tag}` : 'to take';
}

function howTaken(size: Size, result: SizeResult): string {
  const more = [
    size.of === 'counterpart' ? 'counterpart' : '',
    size.importance === 'critical' ? 'critical' : size.importance === 'free' ? 'not critical' : '',
    result.status === 'measured' && result.doubtful.length > 0 ? 'a doubtful reading' : '',
  ];
  return [kindWords(size, result), ...more].filter(Boolean).join(' · ');
}

function kindWords(size: Size, result: SizeResult): string {
  switch (size.kind) {
    case 'chosen':
      return 'chosen';
    case 'stated':
      return `stated${size.source ? `: ${size.source}` : ''}`;
    case 'derived':
      return size.derivation?.by === 'formula'
        ? `= ${size.derivation.text}`
        : (constructionName(size.derivation?.construction ?? '') ?? 'worked out');
    case 'measured': {
      const how = size.quantity === 'length' ? JAW_WORDS[size.jaw] : 'protractor';
      const taken = size.taken === 'mean' ? '' : `, ${TAKEN_WORDS[size.taken].toLowerCase()}`;
      return result.count === 0
        ? how
        : `${how} · ${result.count} ${result.count === 1 ? 'reading' : 'readings'}${taken}`;
    }
  }
}
