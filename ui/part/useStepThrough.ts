import { useState } from 'react';

import type { PickedOn } from '../solid/protocol';
import { usePartTool } from './partTool';

/**
 * A way through everything that can be picked, for those who do not tap: each press picks the next in place of the last,
 * until that one is held.
 *
 * @param most how many may be picked.
 */
export function useStepThrough(all: readonly PickedOn[], most: number) {
  const { picked, setPicked } = usePartTool();
  const [at, setAt] = useState(-1);
  const [isHeld, setHeld] = useState(true);
  const next = () => {
    const index = (at + 1) % Math.max(1, all.length);
    const found = all[index];
    if (!found) return;
    setAt(index);
    setHeld(false);
    // What was tapped stays, as far as there is room beside it.
    const others = isHeld ? (picked.length < most ? picked : []) : picked.slice(0, -1);
    setPicked([...others, found]);
  };
  return { next, hold: () => setHeld(true), isStepping: !isHeld && picked.length > 0 };
}
