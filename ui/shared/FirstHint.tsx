import { useEffect } from 'react';
import { Text, View } from 'react-native';

import { usePreferences, type Hint } from '../preferences/usePreferences';
import { Button } from './Button';
import { useWide } from './useWide';

/** What a screen says the first time that it is used, and not again. */
const HINTS: Readonly<Record<Hint, { says: string; byTouch?: string }>> = {
  sizes: { says: 'Tap a size to take it. Two or three readings show how sure it is.' },
  fits: { says: 'Tap the drawing that goes as the spare should. The working size follows, with its chance.' },
  shape: {
    says: 'Tap a word or a number to change it, or a face of the part to work on it. Pull a green ring on the picture.',
    byTouch: 'Swipe sideways for the next step.',
  },
  layers: {
    says: 'Pull the rule beside the drawing to go through the layers. Tap a finding to see its place.',
  },
};

/** Whoever left sooner has not read it, ms. */
const READ_MS = 4000;

/** Explains a screen once: until it is closed, or the screen is left. */
export function FirstHint({ of }: { of: Hint }) {
  const isSeen = usePreferences(({ hintsSeen }) => hintsSeen.includes(of));
  const seeHint = usePreferences((preferences) => preferences.seeHint);
  const isWide = useWide();
  const { says, byTouch } = HINTS[of];
  useEffect(() => {
    const since = Date.now();
    return () => {
      if (Date.now() - since > READ_MS) seeHint(of);
    };
  }, [seeHint, of]);
  if (isSeen) return null;
  return (
    <View
      role="note"
      aria-label="How this screen works"
      className="flex-row flex-wrap items-center justify-end gap-x-2 border-l-[3px] border-green bg-green-soft py-1 pl-3 pr-1"
    >
      <Text className="shrink grow basis-[220px] font-sans text-[14.5px] leading-[20px] text-ink">
        {byTouch && !isWide ? `${says} ${byTouch}` : says}
      </Text>
      <Button tone="quiet" label="Got it" onPress={() => seeHint(of)} />
    </View>
  );
}
