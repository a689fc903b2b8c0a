import { useEffect } from 'react';
import { create } from 'zustand';

import type { Body, Repair } from '@core/record/model';

import { useSolidView } from './useSolidView';

/** A number is typed figure by figure: built once none has come for this long, ms. */
const SETTLED_MS = 160;

/** A body as it would be with a choice that is not taken yet: shown on the part, kept nowhere. */
export const useDraft = create<{ body: Body | null }>(() => ({ body: null }));

const drop = () => {
  if (useDraft.getState().body) useDraft.setState({ body: null });
};

/**
 * Shows a body as it would be, for as long as what asks for it is there.
 *
 * @param body null shows the part as it is.
 */
export function useShownDraft(body: Body | null): void {
  // By its text: the same choice made anew is no other one.
  const text = body && JSON.stringify(body);
  useEffect(() => {
    if (!body) {
      drop();
      return;
    }
    const timer = setTimeout(() => useDraft.setState({ body }), SETTLED_MS);
    return () => clearTimeout(timer);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the body is named by its text
  }, [text]);
  useEffect(() => drop, []);
}

/** A repair with what is tried in place of what is kept. */
export function withDraft(repair: Repair, draft: Body | null): Repair {
  if (!draft || !repair.bodies.some(({ id }) => id === draft.id)) return repair;
  return { ...repair, bodies: repair.bodies.map((body) => (body.id === draft.id ? draft : body)) };
}

/** The draft that the part in view was built from; null while it is as it is kept, or a draft is still to be built. */
export function useBuiltDraft(): Body | null {
  const draft = useDraft(({ body }) => body);
  const { of } = useSolidView();
  return draft && of.includes(draft) ? draft : null;
}
