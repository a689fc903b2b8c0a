import { Pressable, Text, View } from 'react-native';

import type { PlainQuantity, Value } from '@core/record/model';

import { labelOf, lengthOf, numberOf, showPlain, trailTargetOf } from '../../inRepair/labelOf';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';

const TONES = {
  measured: { box: 'bg-brass-soft border-brass', text: 'text-brass' },
  working: { box: 'bg-card border-ink', text: 'text-ink' },
  typed: { box: 'bg-card border-rule', text: 'text-ink' },
} as const;

/** A number in a sentence. A tap changes it; its small mark, or a long press, shows where it comes from. */
export function NumberChip({
  value,
  input,
  what,
  closeUp = false,
  onPress,
  onTrail,
}: {
  value: Value;
  /** What it is, where it is no length. */
  input?: PlainQuantity;
  what: string;
  /** What follows stands close to it: a comma. */
  closeUp?: boolean;
  onPress(): void;
  onTrail(): void;
}) {
  const { numbers } = useRepairContext();
  const show = useShow();
  const known = input === undefined ? lengthOf(value, numbers) : numberOf(value, input, numbers);
  const { tag, number, tone, spoken } = labelOf(
    { value, mm: known },
    numbers,
    input ? showPlain(show, input) : show,
  );
  const hasTrail = trailTargetOf(value) !== null;
  const lost = hasTrail && tag === null;
  return (
    <View className={`flex-row items-center ${hasTrail || closeUp ? '' : 'mr-1.5'}`}>
      <Pressable
        accessibilityRole="button"
        accessibilityLabel={`${what}: ${spoken}`}
        onPress={onPress}
        onLongPress={onTrail}
        className="-my-[5px] min-h-[44px] justify-center"
      >
        <View
          className={`rounded-sm border-b-2 px-2 py-0.5 ${lost || known === null ? 'border-rust bg-rust-soft' : TONES[tone].box}`}
        >
          <Text
            className={`font-number text-[16.5px] tabular-nums ${lost || known === null ? 'text-rust' : TONES[tone].text}`}
          >
            {lost ? 'lost' : tag ? `${tag} ${number}` : number}
          </Text>
        </View>
      </Pressable>
      {!hasTrail ? null : (
        <Pressable
          accessibilityRole="button"
          accessibilityLabel={`Trail of ${spoken}`}
          onPress={onTrail}
          className="-my-[5px] h-11 w-5 items-center justify-center"
        >
          {/* Three dots of a trail. */}
          <View className="gap-[2.5px]">
            {[0, 1, 2].map((dot) => (
              <View key={dot} className="h-[3px] w-[3px] rounded-full bg-muted" />
            ))}
          </View>
        </Pressable>
      )}
    </View>
  );
}
