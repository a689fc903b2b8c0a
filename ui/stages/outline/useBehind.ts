import { useEffect, useState } from 'react';

import type { BehindOutline } from '@core/shaping/part';

import { useSolidView } from '../../inRepair/useSolidView';
import { workbench } from '../../solid/useSolid';

/**
 * The part behind the outline of a step, true to place, also while the outline is being drawn; or another body in its place. Null until it is known,
 * or where nothing is behind.
 */
export function useBehind(
  bodyId: string | undefined,
  stepId: string | undefined,
  field: string,
  otherId: string | null,
): BehindOutline | null {
  const { bodies } = useSolidView();
  const body = bodies.find((one) => one.bodyId === bodyId);
  const [behind, setBehind] = useState<BehindOutline | null>(null);
  useEffect(() => {
    if (!body || bodyId === undefined || stepId === undefined) return undefined;
    let isWanted = true;
    workbench.ask.behind(bodyId, stepId, field, otherId).then(
      (found) => {
        if (isWanted) setBehind(found);
      },
      // The board can be drawn on without it, and the next build asks again.
      () => undefined,
    );
    return () => {
      isWanted = false;
    };
  }, [body, bodyId, stepId, field, otherId]);
  return behind;
}
