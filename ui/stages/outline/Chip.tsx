import { Pressable, Text } from 'react-native';

import type { NewRelation } from '@core/shaping/drawnEdits';

import { RelationSign } from './RelationSign';

/** Something that can be done with what is picked: a relation with its sign, a size, or a change. */
export function Chip({
  label,
  sign,
  isSize = false,
  isDanger = false,
  onPress,
}: {
  label: string;
  sign?: NewRelation['kind'];
  isSize?: boolean;
  isDanger?: boolean;
  onPress(): void;
}) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={label}
      onPress={onPress}
      className={`min-h-[44px] flex-row items-center gap-1.5 rounded border px-2.5 active:bg-green-soft ${
        isSize ? 'border-ink bg-card' : isDanger ? 'border-rust bg-card' : 'border-rule bg-card'
      }`}
    >
      {sign ? <RelationSign kind={sign} tone="plain" size={18} /> : null}
      <Text className={`font-label text-[14.5px] ${isDanger ? 'text-rust' : 'text-ink'}`}>{label}</Text>
    </Pressable>
  );
}
