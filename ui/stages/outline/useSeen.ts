import { useEffect, useState } from 'react';

import type { BehindOutline, SeenPiece } from '@core/shaping/part';

import { workbench } from '../../solid/useSolid';

/**
 * What of the part behind a drawing can be followed, asked for when it is wanted; null until it is known.
 *
 * @param behind what is seen there: with another it is asked for again.
 */
export function useSeen(
  at: { bodyId: string; stepId: string; field: string; otherId: string | null },
  behind: BehindOutline | null,
  isWanted: boolean,
): readonly SeenPiece[] | null {
  const { bodyId, stepId, field, otherId } = at;
  const [seen, setSeen] = useState<{ of: BehindOutline; pieces: readonly SeenPiece[] } | null>(null);
  useEffect(() => {
    if (!isWanted || !behind) return undefined;
    let isAwaited = true;
    workbench.ask.seen(bodyId, stepId, field, otherId).then(
      (pieces) => {
        if (isAwaited) setSeen({ of: behind, pieces });
      },
      // A tap says that no edge is there; the next build asks again.
      () => {
        if (isAwaited) setSeen({ of: behind, pieces: [] });
      },
    );
    return () => {
      isAwaited = false;
    };
  }, [isWanted, behind, bodyId, stepId, field, otherId]);
  return seen && seen.of === behind ? seen.pieces : null;
}
