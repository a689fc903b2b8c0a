import { useMemo, useState } from 'react';

import { takeInHand, useAtHand } from '../inRepair/atHand';
import { useOpened } from '../inRepair/opened';
import { useRepairContext } from '../inRepair/useRepairContext';
import { useBodyViews, viewOf } from '../part/bodyViews';
import { FEW_SIZES, fewSizes } from '../part/fewSizes';
import type { DrawnBody } from './drawnOf';

/** The sizes that stand on the picture, and how many do not. */
export function useShownSizes({
  stage,
  drawn,
  isOff,
  isSmall,
}: {
  stage: string;
  drawn: readonly DrawnBody[];
  isOff: boolean;
  isSmall: boolean;
}) {
  const { repair } = useRepairContext();
  const { views } = useBodyViews();
  const openedSize = useOpened(({ size }) => size);
  const atHand = useAtHand(({ stepId }) => stepId);
  const [showsAll, setShowsAll] = useState(false);
  const { bodies } = repair;
  const all = useMemo(() => {
    if (isOff) return [];
    // The size that is being taken, wherever it is: on the spare or on what it must fit.
    if (openedSize && stage === 'sizes') {
      return drawn
        .flatMap((body) => body.annotations)
        .filter(({ value }) => value.from === 'size' && value.id === openedSize);
    }
    return drawn
      .filter(({ bodyId }) => {
        const body = bodies.find(({ id }) => id === bodyId);
        return body?.role === 'spare' && viewOf(views, body) === 'shown';
      })
      .flatMap((body) => body.annotations);
  }, [drawn, bodies, views, openedSize, stage, isOff]);
  const annotations = useMemo(
    () => fewSizes(all, stage === 'shape' ? atHand : null, isSmall && !showsAll ? FEW_SIZES : Infinity),
    [all, stage, atHand, isSmall, showsAll],
  );
  const toggleAll = () => {
    // All of them, whatever is worked on.
    if (!showsAll) takeInHand(null);
    setShowsAll(!showsAll);
  };
  return { annotations, hidden: all.length - annotations.length, showsAll, toggleAll };
}
