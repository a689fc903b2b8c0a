import { create } from 'zustand';

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

/** Spares are shown and counterparts are ghosts, unless told otherwise. */
export const viewOf = (
  views: Record<string, BodyView>,
  { id, role }: { id: string; role: 'spare' | 'counterpart' },
): BodyView => views[id] ?? (role === 'spare' ? 'shown' : 'ghost');
