import { createContext, useCallback, useContext, useMemo, useRef, useState, type ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';

import { useWide } from '../useWide';
import { keepsFocus } from './keepsFocus';
import type { Key, PadQuantity } from './keys';
import { PadKeys, type TagKey } from './PadKeys';

/** The field that the keys type into. */
export interface PadTarget {
  /** Which field it is: another one's leaving does not take the pad away from it. */
  id: string;
  quantity: PadQuantity;
  tags: readonly TagKey[];
  action: string;
  press(key: Key): void;
  insert(words: string): void;
  act(): void;
  then?: { label: string; name: string; act(): void } | undefined;
  functions: readonly string[];
  /** To the device's own keyboard; left out where there are no words to type. */
  letters?: (() => void) | undefined;
}

interface Host {
  /** Null where there is no pad: on a wide screen with a mouse, a keyboard is at hand. */
  take: ((target: PadTarget) => void) | null;
  leave(id: string): void;
  /** Whose keys are shown now. */
  shown: string | null;
}

const NO_HOST: Host = { take: null, leave: () => {}, shown: null };
const PadContext = createContext<Host>(NO_HOST);

export const usePadHost = (): Host => useContext(PadContext);

/** The keys stay for a moment, ms: nothing moves under the finger that leaves the field for a button. */
const STAYS_MS = 200;

/** Whether this is used by a finger. */
const isTouched = () =>
  typeof window !== 'undefined' && typeof window.matchMedia === 'function'
    ? window.matchMedia('(pointer: coarse)').matches
    : false;

/**
 * A place with its own pad: a screen or a sheet. While a field for a number in it is typed into, the keys stand at its foot and what
 * is above them gives way, so that the field is never covered.
 */
export function PadHost({ children }: { children: ReactNode }) {
  const hasPad = !useWide() || isTouched();
  const [target, setTarget] = useState<PadTarget | null>(null);
  const going = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const shown = hasPad ? (target?.id ?? null) : null;
  // The same ones always: a field leaves when it goes, not when the pad is shown.
  const take = useCallback((next: PadTarget) => {
    clearTimeout(going.current);
    setTarget(next);
  }, []);
  const leave = useCallback((id: string) => {
    clearTimeout(going.current);
    going.current = setTimeout(() => setTarget((now) => (now?.id === id ? null : now)), STAYS_MS);
  }, []);
  const host = useMemo(
    (): Host => ({ take: hasPad ? take : null, leave, shown }),
    [hasPad, take, leave, shown],
  );
  return (
    <PadContext.Provider value={host}>
      {children}
      {hasPad && target ? <Dock target={target} /> : null}
    </PadContext.Provider>
  );
}

/** Takes the number and goes on to another one. */
function ThenKey({ label, name, act }: { label: string; name: string; act(): void }) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={name}
      tabIndex={-1}
      onPress={act}
      className="h-11 max-w-[170px] justify-center rounded border border-green bg-card px-3 active:bg-green-soft"
    >
      <Text numberOfLines={1} className="font-semibold text-quarter-[15px] text-green">
        {label}
      </Text>
    </Pressable>
  );
}

function Dock({ target }: { target: PadTarget }) {
  return (
    <View
      ref={keepsFocus}
      role="group"
      aria-label="Number pad"
      className="border-t border-line bg-paper px-3 pb-3 pt-2"
    >
      <PadKeys
        quantity={target.quantity}
        action={target.action}
        tags={target.tags}
        onKey={target.press}
        functions={target.functions}
        onInsert={target.insert}
        onLetters={target.letters}
        onAction={target.act}
        beside={target.then ? <ThenKey {...target.then} /> : undefined}
      />
    </View>
  );
}
