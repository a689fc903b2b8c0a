import { onlineManager } from '@tanstack/react-query';

import { Unreachable } from './client';

/** How often an absent server is looked for, ms: quickly at first, then less so. */
const FIRST_LOOK_MS = 1000;
const LONGEST_LOOK_MS = 8000;

let looking = false;

/**
 * Tells the query library that the server is away when a call did not reach it, and looks for it until it is
 * back. While it is away, changes wait on the device; when it returns they are sent in order.
 */
export function noteReach(error: unknown): void {
  if (!(error instanceof Unreachable)) return;
  onlineManager.setOnline(false);
  if (looking) return;
  looking = true;
  void lookForServer();
}

async function lookForServer(): Promise<void> {
  for (let wait = FIRST_LOOK_MS; ; wait = Math.min(wait * 1.5, LONGEST_LOOK_MS)) {
    await new Promise((resolve) => setTimeout(resolve, wait));
    try {
      const response = await fetch('/api/health', { signal: AbortSignal.timeout(LONGEST_LOOK_MS) });
      if (response.ok) break;
    } catch {
      // Still away.
    }
  }
  looking = false;
  onlineManager.setOnline(true);
}

/** The browser's own idea of being on line says nothing about a server on the bench: only calls count. */
export function watchCallsOnly(): void {
  onlineManager.setEventListener(() => () => {});
}
