import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { z } from 'zod';

import type { Picture, Repair } from '@core/record/model';

import { ask, mayComeBack } from '../api/client';
import { listKey } from '../api/queryClient';
import { workbench, type SolidView } from './useSolid';

/** The part must have been left alone for this long before it is drawn for the list, ms. */
const SETTLED_MS = 1200;
/** What could not be sent is sent again after this long, ms. */
const AGAIN_MS = 5000;

/**
 * Keeps the picture in the list of repairs current, once the part has settled.
 *
 * @param isKept what is built is what is kept, not a draft.
 */
export function useListPicture(
  repair: Repair,
  { bodies }: SolidView,
  { isKept = true }: { isKept?: boolean } = {},
): void {
  const client = useQueryClient();
  const repairId = repair.head.id;
  const spare = repair.bodies.find((body) => body.role === 'spare' && !body.removed);
  const shown = bodies.find(({ bodyId }) => bodyId === spare?.id);
  // Only a sound part that differs from the last one drawn.
  const key =
    isKept && shown?.figures && !shown.outOfDate && shown.findings.length === 0
      ? `${shown.bodyId}:${shown.build}`
      : null;
  const drawn = useRef<string | null>(null);
  useEffect(() => {
    if (key === null || key === drawn.current || !spare) return;
    let timer: ReturnType<typeof setTimeout>;
    let current = true;
    let picture: Picture | null = null;
    const draw = async () => {
      // Drawn once; what is tried again is to send it.
      picture ??= await workbench.ask.picture(spare.id);
      if (picture)
        await ask(`/repairs/${repairId}/picture`, { method: 'PUT', body: picture, reply: z.null() });
      drawn.current = key;
      if (picture) await client.invalidateQueries({ queryKey: listKey });
    };
    const drawIn = (ms: number) => {
      timer = setTimeout(() => {
        draw().catch((error: unknown) => {
          // A server that is away is told of where something is typed. What can't be drawn is drawn after the next change.
          if (current && mayComeBack(error)) drawIn(AGAIN_MS);
        });
      }, ms);
    };
    drawIn(SETTLED_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
    // The body is named by the key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, repairId, client]);
}
