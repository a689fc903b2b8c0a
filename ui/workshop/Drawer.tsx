import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import type { ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';

import { usePreferences } from '../preferences/usePreferences';
import { TermMark } from '../shared/TermMark';
import { termOfLabel } from '../shared/termLabels';
import { colours } from '../theme/colours';

/** A drawer of the Workshop: its name with how much is in it, and what is in it once it is open. Which are open is remembered. */
export function Drawer({ name, count, children }: { name: string; count?: number; children: ReactNode }) {
  const { drawers, toggleDrawer } = usePreferences();
  const isOpen = drawers.includes(name);
  const term = termOfLabel(name);
  const Chevron = isOpen ? ChevronDown : ChevronRight;
  return (
    <View className="gap-2 border-b border-line pb-2">
      <View className="flex-row items-center">
        <Pressable
          role="button"
          aria-expanded={isOpen}
          onPress={() => toggleDrawer(name)}
          className="min-h-[44px] shrink grow flex-row items-center gap-1.5 rounded active:bg-green-soft"
        >
          <Chevron size={20} color={colours.muted} />
          <Text role="heading" aria-level={2} className="shrink font-semibold text-[17px] text-ink">
            {name}
          </Text>
          {count === undefined ? null : (
            <Text className="font-number text-[14px] tabular-nums text-muted">{count}</Text>
          )}
        </Pressable>
        {term ? <TermMark term={term} word={name} /> : null}
      </View>
      {isOpen ? <View className="gap-1.5 pb-2">{children}</View> : null}
    </View>
  );
}
