import { useCallback, useEffect, useRef } from 'react';
import { useWindowDimensions, type NativeScrollEvent, type NativeSyntheticEvent } from 'react-native';
import { create } from 'zustand';

/** How much of a phone's height the part takes, as a share, by stage: less where it says little. */
const SHARES: ReadonlyMap<string, number> = new Map([
  ['fits', 0.24],
  ['trial', 0.24],
]);
const USUAL = 0.37;
/** While a list below it is read, or the pad is open. */
const SMALL = 0.2;

/** Scrolled by less than this, the part keeps its room, px. */
const SCROLLED_PX = 24;

/**
 * Scrolled so long after a finger or the wheel, a list is scrolled by a person, ms; what goes to a step by itself moves nothing under
 * anybody's finger.
 */
const GESTURE_MS = 1000;

const usePartRoom = create<{ isReading: boolean }>(() => ({ isReading: false }));

/** The share of the height that the part takes. */
export function usePartShare(stage: string, isPadOpen: boolean): number {
  const isReading = usePartRoom((room) => room.isReading);
  const share = SHARES.get(stage) ?? USUAL;
  return isReading || isPadOpen ? Math.min(share, SMALL) : share;
}

/**
 * Lets a list make room for itself: the part becomes smaller as it is scrolled, and as large as it was when it is pulled back to its
 * beginning.
 *
 * @returns what is told of its scrolling, and the room that it needs below its end meanwhile, px: without it a short list would be back
 *   at its beginning as soon as it had won the room.
 */
export function useShrinksPart(): {
  onScroll(event: NativeSyntheticEvent<NativeScrollEvent>): void;
  below: number;
} {
  const moved = useRef(-Infinity);
  useEffect(() => {
    const onMove = () => {
      moved.current = Date.now();
    };
    const events = ['wheel', 'touchmove'] as const;
    events.forEach((event) => window.addEventListener(event, onMove, { passive: true }));
    return () => events.forEach((event) => window.removeEventListener(event, onMove));
  }, []);
  const reads = usePartRoom((room) => room.isReading);
  const { height } = useWindowDimensions();
  useEffect(() => () => usePartRoom.setState({ isReading: false }), []);
  const onScroll = useCallback(
    ({ nativeEvent: { contentOffset } }: NativeSyntheticEvent<NativeScrollEvent>) => {
      if (Date.now() - moved.current > GESTURE_MS) return;
      const { isReading } = usePartRoom.getState();
      if (isReading) {
        if (contentOffset.y <= 0) usePartRoom.setState({ isReading: false });
        return;
      }
      if (contentOffset.y > SCROLLED_PX) usePartRoom.setState({ isReading: true });
    },
    [],
  );
  return { onScroll, below: reads ? (USUAL - SMALL) * height : 0 };
}
