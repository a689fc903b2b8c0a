import { create } from 'zustand';

import { testPieceOf } from '@core/fitting/fit';
import type { Body } from '@core/record/model';
import { ownValue } from '@core/foundations/own';

/** How a body is shown. */
export type BodyView = 'shown' | 'ghost' | 'hidden';

export const BODY_VIEW_WORDS: Record<BodyView, string> = {
  shown: 'Shown',
  ghost: 'Ghost',
  hidden: 'Hidden',
};

interface BodyViews {
  views: Record<string, BodyView>;
  setView(bodyId: string, view: BodyView): void;
}

/** How each body is shown, as this person wants it now. It is not part of the repair. */
export const useBodyViews = create<BodyViews>((set, get) => ({
  views: {},
  setView: (bodyId, view) => set({ views: { ...get().views, [bodyId]: view } }),
}));

/** Spares are shown, counterparts are ghosts and test pieces hidden, since they lie in what they are cut from; unless told otherwise. */
export function viewOf(
  views: Record<string, BodyView>,
  body: Pick<Body, 'id' | 'role' | 'name' | 'steps'> | undefined,
): BodyView {
  const told = body && ownValue(views, body.id);
  if (told || !body) return told ?? 'shown';
  if (body.role === 'counterpart') return 'ghost';
  return testPieceOf(body, []) ? 'hidden' : 'shown';
}
