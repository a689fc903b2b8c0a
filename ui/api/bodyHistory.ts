import { create } from 'zustand';

import type { Body } from '@core/record/model';
import { ownValue } from '@core/foundations/own';

/** Bodies as they were before each change of this session, and as they were before each step back, by body. */
interface BodyHistory {
  past: Record<string, Body[]>;
  future: Record<string, Body[]>;
  /** Keeps a body as it was before a change. While stepping back or on, nothing is kept. */
  record(before: Body): void;
  /** The body as it was before its last change that still makes a difference; null at the beginning. */
  back(now: Body): Body | null;
  /** The body as it was before the last step back; null where there was none. */
  on(now: Body): Body | null;
}

let stepping = false;

/** Runs a change that is a step through the history, so that it is not kept as a change of its own. */
export function whileStepping(work: () => void): void {
  stepping = true;
  try {
    work();
  } finally {
    stepping = false;
  }
}

const same = (a: Body, b: Body) =>
  a.name === b.name && a.removed === b.removed && JSON.stringify(a.steps) === JSON.stringify(b.steps);

/** Undo and redo of recipes, without end within the session. */
export const useBodyHistory = create<BodyHistory>((set, get) => ({
  past: {},
  future: {},
  record: (before) => {
    if (stepping) return;
    const { past, future } = get();
    set({
      past: { ...past, [before.id]: [...(ownValue(past, before.id) ?? []), before] },
      future: { ...future, [before.id]: [] },
    });
  },
  back: (now) => {
    const { past, future } = get();
    const list = [...(ownValue(past, now.id) ?? [])];
    let found = list.pop();
    // What was undone from its notice is as it was already.
    while (found && same(found, now)) found = list.pop();
    set({
      past: { ...past, [now.id]: list },
      future: found ? { ...future, [now.id]: [...(ownValue(future, now.id) ?? []), now] } : future,
    });
    return found ?? null;
  },
  on: (now) => {
    const { past, future } = get();
    const list = [...(ownValue(future, now.id) ?? [])];
    const found = list.pop();
    if (!found) return null;
    set({
      past: { ...past, [now.id]: [...(ownValue(past, now.id) ?? []), now] },
      future: { ...future, [now.id]: list },
    });
    return found;
  },
}));
