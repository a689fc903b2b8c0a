import type { QueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';

import { browserStore, useKeeping } from './device/deviceStore';
import { withJournal } from './device/journal';
import { keepChanges, restoreChanges, takeOverOldQueue } from './device/keptChanges';
import { copies, forgetOldCopies, keepCopies } from './device/keptCopies';
import { useUnsettled } from './unsettled';

/**
 * Brings back what waited on this device when the page was left, sends it, and keeps what comes.
 * @returns whether that is done; nothing is to be changed before.
 */
export function useKeptQueue(client: QueryClient): boolean {
  const [restored, setRestored] = useState(false);
  useEffect(() => {
    let stop = () => {};
    let here = true;
    const changes = withJournal(browserStore('changes'), window.localStorage);
    const begin = async () => {
      try {
        await takeOverOldQueue(window.localStorage, changes);
        await restoreChanges(client, changes);
        await useUnsettled.getState().restore();
        await forgetOldCopies(copies, Date.now());
        // Asks the browser not to clear what waits here when the disk is short of room.
        void navigator.storage?.persist?.();
      } catch {
        // The browser keeps nothing (a private window, perhaps). The sign says so.
        useKeeping.getState().report(true);
      }
      if (!here) return;
      const stops = [keepChanges(client, changes), keepCopies(client, copies)];
      stop = () => stops.forEach((end) => end());
      setRestored(true);
      void client.resumePausedMutations();
    };
    void begin();
    return () => {
      here = false;
      stop();
    };
  }, [client]);
  return restored;
}
