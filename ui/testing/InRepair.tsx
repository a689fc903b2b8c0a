import type { ReactNode } from 'react';

import { evaluateRepair } from '@core/fitting/fit';
import type { Repair } from '@core/record/model';

import { RepairContext } from '../inRepair/useRepairContext';
import { SolidContext } from '../inRepair/useSolidView';
import type { SolidView } from '../solid/useSolid';

const NOTHING_BUILT: SolidView = { bodies: [], of: [], unchecked: [], rebuild: () => {} };

/** Puts a part of a screen inside a repair, as a stage finds it; nothing is sent, and nothing is built but what is given. */
export function InRepair({
  repair,
  solid = NOTHING_BUILT,
  children,
}: {
  repair: Repair;
  solid?: SolidView;
  children: ReactNode;
}) {
  const value = { repair, numbers: evaluateRepair(repair) };
  return (
    <RepairContext.Provider value={value}>
      <SolidContext.Provider value={solid}>{children}</SolidContext.Provider>
    </RepairContext.Provider>
  );
}
