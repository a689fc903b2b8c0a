import { useRef } from 'react';

import { takeInHand, useAtHand } from '../../inRepair/atHand';

/** A swipe goes so far sideways at least, px, in so short a time, ms, and twice as far as up or down. */
const [FAR_PX, MOST_MS, SIDEWAYS] = [56, 700, 2];

interface Touched {
  x: number;
  y: number;
  at: number;
}

/**
 * The step that a swipe leads to: to the left the next, to the right the one before; null for what is no swipe.
 *
 * @param ids the steps in their order.
 * @param atHand the one that is worked on; without one, the first of either end.
 */
export function swipedTo(
  from: Touched,
  to: Touched,
  ids: readonly string[],
  atHand: string | null,
): string | null {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  if (Math.abs(dx) < FAR_PX || Math.abs(dx) < SIDEWAYS * Math.abs(dy) || to.at - from.at > MOST_MS)
    return null;
  const place = atHand === null ? -1 : ids.indexOf(atHand);
  if (place < 0) return (dx < 0 ? ids[0] : ids.at(-1)) ?? null;
  return ids[place + (dx < 0 ? 1 : -1)] ?? null;
}

/** Goes through the steps of a recipe by swiping over them. */
export function useSwipedSteps(ids: readonly string[]) {
  const from = useRef<Touched | null>(null);
  return {
    onTouchStart: (event: React.TouchEvent) => {
      const touch = event.touches[0];
      from.current =
        event.touches.length === 1 && touch
          ? { x: touch.clientX, y: touch.clientY, at: event.timeStamp }
          : null;
    },
    onTouchEnd: (event: React.TouchEvent) => {
      const touch = event.changedTouches[0];
      const began = from.current;
      from.current = null;
      if (!began || !touch) return;
      const to = { x: touch.clientX, y: touch.clientY, at: event.timeStamp };
      const next = swipedTo(began, to, ids, useAtHand.getState().stepId);
      if (next === null) return;
      takeInHand(next);
      const { currentTarget } = event;
      // Once it is drawn whole.
      requestAnimationFrame(() =>
        currentTarget.querySelector('[aria-current="step"]')?.scrollIntoView({ block: 'nearest' }),
      );
    },
  };
}
