import { Pressable, Text } from 'react-native';

import type { TermId } from '@core/reporting/glossary';

import { useOpenTerm } from './openTerm';

/** A small mark beside a word of the trade; a tap says what it is. @param word as it is said beside the mark. */
export function TermMark({ term, word }: { term: TermId; word: string }) {
  const open = useOpenTerm((state) => state.open);
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`What is this? ${word}`}
      onPress={() => open(term)}
      hitSlop={4}
      className="-my-[13px] -ml-1 h-11 w-11 items-center justify-center rounded"
    >
      <Text className="h-[18px] w-[18px] rounded-full border border-rule text-center font-semibold text-[12px] leading-[16px] text-muted">
        ?
      </Text>
    </Pressable>
  );
}
