import { useEffect, useMemo, useState } from 'react';

import type { SolvedCurve } from '@core/shaping/drawn';
import { shiftBehind, type BehindOutline } from '@core/shaping/part';

import { useSolidView } from '../../inRepair/useSolidView';
import { workbench } from '../../solid/useSolid';
import { pointsAlong } from './boardView';

/**
 * The part behind the outline of a step, as segments, four numbers each, mm along the outline's own ways: true to place, also while the outline is
 * being drawn. Null until it is known, or where nothing is behind.
 */
export function useBehind(
  bodyId: string,
  stepId: string,
  curves: readonly SolvedCurve[],
): Float32Array | null {
  const { bodies } = useSolidView();
  const body = bodies.find((one) => one.bodyId === bodyId);
  const [behind, setBehind] = useState<BehindOutline | null>(null);
  useEffect(() => {
    if (!body) return undefined;
    let isWanted = true;
    workbench.ask.behind(bodyId, stepId).then(
      (found) => {
        if (isWanted) setBehind(found);
      },
      // The board can be drawn on without it, and the next build asks again.
      () => undefined,
    );
    return () => {
      isWanted = false;
    };
  }, [body, bodyId, stepId]);
  const isHeld = behind !== null && (behind.flush[0] !== 0 || behind.flush[1] !== 0);
  const places = isHeld ? curves.filter(({ helper }) => !helper).flatMap(pointsAlong) : [];
  const [dx, dy] = behind && isHeld ? shiftBehind(behind, places) : [0, 0];
  return useMemo(
    () => behind && behind.segments.map((value, index) => value + (index % 2 === 0 ? dx : dy)),
    [behind, dx, dy],
  );
}
