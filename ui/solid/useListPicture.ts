import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { z } from 'zod';

import type { Repair } from '@core/model';

import { ask } from '../api/client';
import { listKey } from '../api/queryClient';
import { workbench, type SolidView } from './useSolid';

/** The part must have been left alone for this long before it is drawn for the list, ms. */
const SETTLED_MS = 1200;

/** Keeps the picture in the list of repairs current, once the part has settled. */
export function useListPicture(repair: Repair, { bodies }: SolidView): void {
  const client = useQueryClient();
  const repairId = repair.head.id;
  const spare = repair.bodies.find((body) => body.role === 'spare' && !body.removed);
  const shown = bodies.find(({ bodyId }) => bodyId === spare?.id);
  // Only a sound part that differs from the last one drawn.
  const key =
    shown?.figures && !shown.outOfDate && shown.findings.length === 0
      ? `${shown.bodyId}:${shown.build}`
      : null;
  const drawn = useRef<string | null>(null);
  useEffect(() => {
    if (key === null || key === drawn.current || !spare) return;
    const timer = setTimeout(() => {
      void (async () => {
        const picture = await workbench.ask.picture(spare.id);
        drawn.current = key;
        if (!picture) return;
        await ask(`/repairs/${repairId}/picture`, { method: 'PUT', body: picture, reply: z.null() });
        await client.invalidateQueries({ queryKey: listKey });
      })().catch(() => {
        // A picture that could not be drawn or sent is drawn again at the next change.
      });
    }, SETTLED_MS);
    return () => clearTimeout(timer);
    // The body is named by the key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, repairId, client]);
}
