import { create } from 'zustand';

export interface TrailTarget {
  from: 'size' | 'fit' | 'layout';
  id: string;
}

/** What is open beside a stage: a size, whose pad and readings take its place, and a trail, over it or beside it. */
export interface Opened {
  size: string | null;
  /** The size, fit or layout whose trail is shown. */
  trail: TrailTarget | null;
}

export type OpenedChange = { size: string | null } | { trail: TrailTarget | null } | 'all closed';

const CLOSED: Opened = { size: null, trail: null };

/** What is open after something was opened or closed. Another size than the one whose trail is shown closes that trail. */
export function openedAfter(before: Opened, change: OpenedChange): Opened {
  if (change === 'all closed') return CLOSED;
  if ('trail' in change) return { ...before, trail: change.trail };
  const { trail } = before;
  const isOther = trail?.from === 'size' && change.size !== null && trail.id !== change.size;
  return { size: change.size, trail: isOther ? null : trail };
}

/** One for the app: one repair is in view at a time, and leaving it closes all. */
export const useOpened = create<Opened>(() => CLOSED);

const change = (by: OpenedChange) => useOpened.setState((before) => openedAfter(before, by), true);

export const openSize = (size: string | null): void => change({ size });
export const openTrail = (trail: TrailTarget | null): void => change({ trail });
export const closeAll = (): void => change('all closed');
