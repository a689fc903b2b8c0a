import { useEffect, useRef, useState } from 'react';

import type { Body } from '@core/record/model';

import { follow } from '../part/followed';
import type { Morph } from '../solid/protocol';
import { workbench } from '../solid/useSolid';
import { useBuiltDraft, withDraft } from './draft';
import { useRepairContext } from './useRepairContext';

/** How far a number may be moved, and where it was; mm. */
export interface NumberRange {
  low: number;
  middle: number;
  high: number;
}

/**
 * Lets the part go with a number in the same frame, between exact builds of where it is and where it goes, until it is built at the number
 * itself.
 *
 * @param bodyAt the body as it is at a number.
 * @param draft the body as it is at the number now; null where it was.
 * @param waitMs the number stays for so long before its range is built.
 */
export function useFollowedNumber({
  range: { low, middle, high },
  bodyAt,
  draft,
  waitMs,
}: {
  range: NumberRange;
  bodyAt(mm: number): Body;
  draft: Body | null;
  waitMs: number;
}) {
  const { repair, numbers } = useRepairContext();
  const [found, setFound] = useState<{ range: string; morph: Morph | null } | null>(null);
  const bodyId = bodyAt(middle).id;
  const range = `${bodyId} ${low} ${middle} ${high}`;
  const morph = found?.range === range ? found.morph : null;
  /** The range whose ends were asked for last: once, however the number goes through it meanwhile. */
  const asked = useRef<string | null>(null);
  const built = useBuiltDraft();
  const isBuilt = built !== null && draft !== null && JSON.stringify(built) === JSON.stringify(draft);
  // What a person waits for is built first; a number that is still typed has no range yet.
  const isSettled = draft === null || isBuilt;
  useEffect(() => {
    if (!isSettled || asked.current === range) return;
    const timer = setTimeout(() => {
      asked.current = range;
      const take = (ends: Morph | null) => {
        if (asked.current === range) setFound({ range, morph: ends });
      };
      const from = (at: number) => ({ state: withDraft(repair, bodyAt(at)), workshop: numbers.workshop });
      workbench.ask.morph(bodyId, from(middle), from(low), from(high)).then(
        take,
        // Without it the part follows once it is built; what is wrong with the builder is said over the part.
        () => take(null),
      );
    }, waitMs);
    return () => clearTimeout(timer);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the range decides; all else stays while the number is moved
  }, [range, isSettled]);
  useEffect(() => () => follow(null), [range]);
  useEffect(() => {
    // Back where it was kept, there is nothing to be built.
    if (isBuilt || draft === null) follow(null);
  }, [isBuilt, draft]);
  const moveTo = (mm: number) => {
    if (!morph) return;
    follow({
      bodyId,
      morph,
      share: mm < middle ? (mm - middle) / (middle - low) : (mm - middle) / (high - middle),
    });
  };
  return { morph, isBuilt, moveTo };
}
