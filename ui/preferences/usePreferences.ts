import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

import { BENCH_CALIPER_ID } from '@core/record/model';
import type { DisplayUnit } from '@core/foundations/quantity';

/** What one person likes, kept in the browser: it is about the person, not about the repair. */
interface Preferences {
  unit: DisplayUnit;
  /** The instrument in hand, by what it measures. */
  instruments: { length: string; angle: string };
  /** Whether the practice caliper lies on the bench. */
  practiceCaliper: boolean;
  /** Readings of each size that a read-through asks for. */
  readingsEach: number;
  setUnit(unit: DisplayUnit): void;
  setInstrument(quantity: 'length' | 'angle', id: string): void;
  setPracticeCaliper(on: boolean): void;
  setReadingsEach(count: number): void;
}

export const usePreferences = create<Preferences>()(
  persist(
    (set) => ({
      unit: 'mm',
      instruments: { length: BENCH_CALIPER_ID, angle: 'protractor' },
      practiceCaliper: false,
      readingsEach: 3,
      setUnit: (unit) => set({ unit }),
      setInstrument: (quantity, id) =>
        set(({ instruments }) => ({ instruments: { ...instruments, [quantity]: id } })),
      setPracticeCaliper: (practiceCaliper) => set({ practiceCaliper }),
      setReadingsEach: (readingsEach) => set({ readingsEach }),
    }),
    { name: 'even-spare-preferences', storage: createJSONStorage(() => window.localStorage) },
  ),
);
