import { onlineManager } from '@tanstack/react-query';
import { create } from 'zustand';

import { Refusal } from '@core/record/model';
import { isKnownFault, sentenceOf } from '@core/reporting/wording';

import { mayComeBack, Troubled } from './client';

/** How often an absent server is looked for, ms: quickly at first, then less so. */
const FIRST_LOOK_MS = 1000;
const LONGEST_LOOK_MS = 8000;
/** Each time a server that said it was well failed again, it is left alone for longer. */
const LONGEST_REST_MS = 60_000;

interface Connection {
  /** What the server said is wrong with it; null when it is away altogether, or well. */
  trouble: string | null;
  /** How often in a row it was well when asked and failed again. */
  relapses: number;
}

/** How the server is; that it is away at all is told by the query library's `onlineManager`. */
export const useConnection = create<Connection>(() => ({ trouble: null, relapses: 0 }));

let looking = false;
let lookAtOnce: (() => void) | null = null;

/**
 * Tells the query library that the server is away when a call did not reach it, or when the server could not keep
 * what it was sent; and looks for it until it is well. Until then, changes wait on the device; then they go out in order.
 */
export function noteReach(error: unknown): void {
  if (!mayComeBack(error)) return;
  if (error instanceof Troubled) {
    useConnection.setState(({ relapses }) => ({ trouble: error.message, relapses: relapses + 1 }));
  }
  onlineManager.setOnline(false);
  if (looking) return;
  looking = true;
  void lookForServer();
}

/** It took what it was sent. */
export function noteWell(): void {
  if (useConnection.getState().relapses > 0) useConnection.setState({ relapses: 0 });
}

/** Looks for the server now, and not only when it is time. */
export function lookNow(): void {
  lookAtOnce?.();
}

async function lookForServer(): Promise<void> {
  const { relapses } = useConnection.getState();
  let wait = Math.min(FIRST_LOOK_MS * 2 ** Math.max(0, relapses - 1), LONGEST_REST_MS);
  for (;;) {
    await restFor(wait);
    const trouble = await howIsIt();
    if (trouble === null) break;
    useConnection.setState({ trouble: trouble === '' ? null : trouble });
    wait = Math.min(Math.max(wait, FIRST_LOOK_MS) * 1.5, LONGEST_LOOK_MS);
  }
  looking = false;
  useConnection.setState({ trouble: null });
  onlineManager.setOnline(true);
}

function restFor(ms: number): Promise<void> {
  return new Promise((resolve) => {
    const timer = setTimeout(resolve, ms);
    lookAtOnce = () => {
      clearTimeout(timer);
      resolve();
    };
  });
}

/** Null if it is well; what is wrong in words; or nothing at all when it does not answer. */
async function howIsIt(): Promise<string | null> {
  try {
    const response = await fetch('/api/health', { signal: AbortSignal.timeout(LONGEST_LOOK_MS) });
    if (response.ok) return null;
    const refusal = Refusal.safeParse(await response.json().catch(() => null));
    if (!refusal.success) return '';
    const { fault, sentence } = refusal.data;
    return isKnownFault(fault) ? sentenceOf(fault) : sentence;
  } catch {
    // Still away.
    return '';
  }
}

/** The browser's own idea of being on line says nothing about a server on the bench: only calls count. */
export function watchCallsOnly(): void {
  onlineManager.setEventListener(() => () => {});
}
