import { createContext, useContext } from 'react';

import type { SolidView } from '../solid/useSolid';

/** By itself, since it changes with every build, and most of a repair's screens show nothing of it. */
export const SolidContext = createContext<SolidView | null>(null);

/** The bodies of the repair as they are built. */
export function useSolidView(): SolidView {
  const view = useContext(SolidContext);
  if (!view) throw new Error('not inside a repair');
  return view;
}
