import { createContext, useContext } from 'react';

import type { EvaluatedRepair } from '@core/fit';
import type { Repair } from '@core/model';

import type { SolidView } from '../solid/useSolid';

/** What every stage of a repair has at hand. */
export interface RepairContextValue {
  repair: Repair;
  numbers: EvaluatedRepair;
  solid: SolidView;
  /** The size that is open on the Sizes stage. */
  openSize: string | null;
  setOpenSize(id: string | null): void;
  /** The size or fit whose trail is shown. */
  openTrail: TrailTarget | null;
  setOpenTrail(target: TrailTarget | null): void;
}

export interface TrailTarget {
  from: 'size' | 'fit' | 'layout';
  id: string;
}

export const RepairContext = createContext<RepairContextValue | null>(null);

export function useRepairContext(): RepairContextValue {
  const value = useContext(RepairContext);
  if (!value) throw new Error('not inside a repair');
  return value;
}
