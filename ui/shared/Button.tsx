import { Pressable, Text } from 'react-native';

import { Spinner } from './Spinner';

type Tone = 'primary' | 'plain' | 'quiet' | 'danger';

const BOX: Record<Tone, string> = {
  primary: 'bg-green',
  plain: 'bg-card border border-rule',
  quiet: 'bg-transparent',
  danger: 'bg-card border border-rust',
};
const TEXT: Record<Tone, string> = {
  primary: 'text-card',
  plain: 'text-ink',
  quiet: 'text-green underline',
  danger: 'text-rust',
};

/** A button with words. One `primary` a screen. */
export function Button({
  label,
  onPress,
  tone = 'plain',
  busy = false,
  disabled = false,
  className = '',
  name,
}: {
  label: string;
  onPress(): void;
  tone?: Tone;
  busy?: boolean;
  disabled?: boolean;
  className?: string;
  /** What it is called where its words alone say too little; they are part of it. */
  name?: string;
}) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={name}
      accessibilityState={{ disabled: disabled || busy, busy }}
      disabled={disabled || busy}
      onPress={onPress}
      className={`min-h-[44px] flex-row items-center justify-center gap-2 rounded px-4 active:opacity-80 ${BOX[tone]} ${
        disabled ? 'opacity-50' : ''
      } ${className}`}
    >
      {busy ? <Spinner onGreen={tone === 'primary'} /> : null}
      <Text className={`font-semibold text-[15px] ${TEXT[tone]}`}>{label}</Text>
    </Pressable>
  );
}

/** A button with a picture only; `label` is said and shown by the browser on hover. */
export function IconButton({
  label,
  onPress,
  disabled = false,
  children,
}: {
  label: string;
  onPress(): void;
  disabled?: boolean;
  children: React.ReactNode;
}) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={label}
      disabled={disabled}
      onPress={onPress}
      className={`h-11 w-11 items-center justify-center rounded active:bg-green-soft ${disabled ? 'opacity-30' : ''}`}
    >
      {children}
    </Pressable>
  );
}
