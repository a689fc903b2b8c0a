import { Text } from 'react-native';

/** Small heading over a group. */
export function GroupHeading({ children }: { children: string }) {
  return (
    <Text
      role="heading"
      aria-level={2}
      className="font-number text-[12.5px] uppercase tracking-wide text-muted"
    >
      {children}
    </Text>
  );
}

/** Heading of a screen or a sheet. */
export function Heading({ children, level = 2 }: { children: string; level?: 1 | 2 }) {
  return (
    <Text
      role="heading"
      aria-level={level}
      className={`font-semibold text-ink ${level === 1 ? 'text-[24px]' : 'text-[19px]'}`}
    >
      {children}
    </Text>
  );
}
