import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { Pressable, Text, View } from 'react-native';

import { colours } from '../theme/colours';

/** A small whole number, one more or one less by a tap. `what` in the singular: "piece"; `of` where several are counted: "Wheel". */
export function CountSteps({
  what,
  of,
  least,
  most,
  value,
  onChange,
}: {
  what: string;
  of?: string;
  least: number;
  most: number;
  value: number;
  onChange(value: number): void;
}) {
  const whose = of === undefined ? '' : ` of ${of}`;
  const step = (label: string, by: 1 | -1) => {
    const next = value + by;
    const possible = next >= least && next <= most;
    const Icon = by === 1 ? Plus : Minus;
    return (
      <Pressable
        accessibilityRole="button"
        accessibilityLabel={label}
        accessibilityState={{ disabled: !possible }}
        disabled={!possible}
        onPress={() => onChange(next)}
        className={`h-12 w-14 items-center justify-center rounded border border-line bg-card active:bg-green-soft ${possible ? '' : 'opacity-40'}`}
      >
        <Icon size={20} color={colours.ink} />
      </Pressable>
    );
  };
  return (
    <View className="flex-row items-center gap-3">
      {step(`One ${what}${whose} less`, -1)}
      <Text role="status" className="min-w-[96px] text-center font-number text-[18px] tabular-nums text-ink">
        {`${value} ${what}${value === 1 ? '' : 's'}`}
      </Text>
      {step(`One ${what}${whose} more`, 1)}
    </View>
  );
}
