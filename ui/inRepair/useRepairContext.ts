import { createContext, useContext } from 'react';

import type { EvaluatedRepair } from '@core/fitting/fit';
import type { Repair } from '@core/record/model';

/** What every stage of a repair has at hand; it changes with the repair alone. */
export interface RepairContextValue {
  repair: Repair;
  numbers: EvaluatedRepair;
}

export const RepairContext = createContext<RepairContextValue | null>(null);

export function useRepairContext(): RepairContextValue {
  const value = useContext(RepairContext);
  if (!value) throw new Error('not inside a repair');
  return value;
}
