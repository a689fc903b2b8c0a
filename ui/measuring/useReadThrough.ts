import { useRef, useState } from 'react';

import { useNotices } from '../api/notices';
import { openSize, useOpened } from '../inRepair/opened';
import { useRepairContext } from '../inRepair/useRepairContext';
import { usePreferences } from '../preferences/usePreferences';

/**
 * Walks through all sizes that want readings, in the order of their tags, so that nothing has to be touched but
 * the calipers: after so many readings of one size the next one opens by itself.
 */
export function useReadThrough() {
  const { numbers } = useRepairContext();
  const openedSize = useOpened(({ size }) => size);
  const each = usePreferences((preferences) => preferences.readingsEach);
  const { say } = useNotices();
  /** Sizes to be visited, in order; null while no read-through is on. */
  const [queue, setQueue] = useState<readonly string[] | null>(null);
  const wanting = [...numbers.sizes.values()]
    .filter(({ size, result }) => size.kind === 'measured' && result.count < each)
    .map(({ size }) => size.id);
  const place = queue && openedSize ? queue.indexOf(openedSize) : -1;
  // A caliper may send the next reading before the screen has moved on.
  const at = useRef(place);
  at.current = place;

  const goTo = (index: number) => {
    const next = queue?.[index];
    if (next !== undefined) {
      openSize(next);
      return;
    }
    setQueue(null);
    openSize(null);
    say({ tone: 'plain', text: 'Read through: all sizes were visited.' });
  };
  return {
    on: place >= 0,
    /** How many sizes want readings. */
    waiting: wanting.length,
    each,
    place: place + 1,
    total: queue?.length ?? 0,
    begin() {
      setQueue(wanting);
      openSize(wanting[0] ?? null);
    },
    skip: () => goTo(at.current + 1),
    stop: () => setQueue(null),
    /** To be told after each reading how many the open size has. */
    taken(count: number) {
      if (count >= each) goTo(at.current + 1);
    },
  };
}
