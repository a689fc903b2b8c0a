import { Text, View } from 'react-native';

import { TermMark } from './TermMark';
import { termOfLabel } from './termLabels';

/** Small heading over a group. A word of the trade has its mark, which says what it is. */
export function GroupHeading({ children }: { children: string }) {
  const term = termOfLabel(children);
  const heading = (
    <Text
      role="heading"
      aria-level={2}
      className="font-number text-[12.5px] uppercase tracking-wide text-muted"
    >
      {children}
    </Text>
  );
  if (!term) return heading;
  return (
    <View className="flex-row items-center">
      {heading}
      <TermMark term={term} word={children} />
    </View>
  );
}

/** Heading of a screen or a sheet. */
export function Heading({
  children,
  level = 2,
  isExplained = false,
}: {
  children: string;
  level?: 1 | 2;
  isExplained?: boolean;
}) {
  const term = isExplained ? null : termOfLabel(children);
  const heading = (
    <Text
      role="heading"
      aria-level={level}
      className={`shrink font-semibold text-ink ${level === 1 ? 'text-[24px]' : 'text-[19px]'}`}
    >
      {children}
    </Text>
  );
  if (!term) return heading;
  return (
    <View className="shrink flex-row items-center">
      {heading}
      <TermMark term={term} word={children} />
    </View>
  );
}
