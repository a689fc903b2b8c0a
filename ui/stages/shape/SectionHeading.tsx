import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { Pressable, Text, View } from 'react-native';

import { colours } from '../../theme/colours';

/** The name of a section of a recipe: a tap folds its steps away, and tells how many there are and what goes wrong in them. */
export function SectionHeading({
  name,
  count,
  failing,
  isFolded,
  onPress,
}: {
  name: string;
  count: number;
  failing: number;
  isFolded: boolean;
  onPress(): void;
}) {
  const Chevron = isFolded ? ChevronRight : ChevronDown;
  const steps = `${count} ${count === 1 ? 'step' : 'steps'}`;
  return (
    // An item of the list, as its steps are.
    <View role="listitem">
      <Pressable
        role="button"
        aria-expanded={!isFolded}
        onPress={onPress}
        className="min-h-[44px] w-full flex-row items-center gap-1.5 border-b border-rule bg-bench pl-3 pr-3 active:bg-green-soft"
      >
        <Chevron size={20} color={colours.muted} />
        <Text numberOfLines={1} className="shrink font-semibold text-[16px] text-ink">
          {name}
        </Text>
        {isFolded ? <Text className="font-number text-[14px] tabular-nums text-muted">{steps}</Text> : null}
        {isFolded && failing > 0 ? (
          <Text className="font-medium text-[14px] text-rust">{`${failing} ${failing === 1 ? 'fails' : 'fail'}`}</Text>
        ) : null}
      </Pressable>
    </View>
  );
}
