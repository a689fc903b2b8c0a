import type { ReactNode } from 'react';

import { evaluateRepair } from '@core/fit';
import type { Repair } from '@core/model';

import { RepairContext, type RepairContextValue } from '../inRepair/useRepairContext';

/** Puts a part of a screen inside a repair, as a stage finds it; nothing is built and nothing is sent. */
export function InRepair({
  repair,
  children,
  ...more
}: { repair: Repair; children: ReactNode } & Partial<RepairContextValue>) {
  const value: RepairContextValue = {
    repair,
    numbers: evaluateRepair(repair),
    solid: { bodies: [], unchecked: [], rebuild: () => {} },
    openSize: null,
    setOpenSize: () => {},
    openTrail: null,
    setOpenTrail: () => {},
    ...more,
  };
  return <RepairContext.Provider value={value}>{children}</RepairContext.Provider>;
}
