import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

import { BENCH_CALIPER_ID } from '@core/record/model';
import type { DisplayUnit } from '@core/foundations/quantity';

import { toggled } from './toggled';
import type { BenchLight } from '../theme/palettes';

/** Screens that explain themselves once. */
export type Hint = 'sizes' | 'fits' | 'shape' | 'layers';

/** Sizes of type to choose from. */
export const TYPE_SIZES = [1, 1.25, 1.5, 2] as const;
export type TypeSize = (typeof TYPE_SIZES)[number];

/** The light that a person wants on the bench; the device's own is dim where that is set to dark. */
export type WantedLight = BenchLight | 'device';

/** What one person likes, kept in the browser: it is about the person, not about the repair. */
interface Preferences {
  unit: DisplayUnit;
  /** The instrument in hand, by what it measures. */
  instruments: { length: string; angle: string };
  /** Whether the practice caliper lies on the bench. */
  practiceCaliper: boolean;
  /** Readings of each size that a read-through asks for. */
  readingsEach: number;
  light: WantedLight;
  /** How much larger type is than usual. */
  type: TypeSize;
  /** The hand that holds the phone: keys that are pressed most stand under its thumb. */
  hand: 'right' | 'left';
  /** Drawers of the Workshop that are open. */
  drawers: readonly string[];
  /** What was explained already. */
  hintsSeen: readonly Hint[];
  setUnit(unit: DisplayUnit): void;
  setInstrument(quantity: 'length' | 'angle', id: string): void;
  setPracticeCaliper(on: boolean): void;
  setReadingsEach(count: number): void;
  setLight(light: WantedLight): void;
  setType(type: TypeSize): void;
  setHand(hand: 'right' | 'left'): void;
  toggleDrawer(name: string): void;
  seeHint(of: Hint): void;
  forgetHints(): void;
}

export const usePreferences = create<Preferences>()(
  persist(
    (set) => ({
      unit: 'mm',
      instruments: { length: BENCH_CALIPER_ID, angle: 'protractor' },
      practiceCaliper: false,
      readingsEach: 3,
      light: 'bright',
      type: 1,
      hand: 'right',
      drawers: ['For you'],
      hintsSeen: [],
      setUnit: (unit) => set({ unit }),
      setInstrument: (quantity, id) =>
        set(({ instruments }) => ({ instruments: { ...instruments, [quantity]: id } })),
      setPracticeCaliper: (practiceCaliper) => set({ practiceCaliper }),
      setReadingsEach: (readingsEach) => set({ readingsEach }),
      setLight: (light) => set({ light }),
      setType: (type) => set({ type }),
      setHand: (hand) => set({ hand }),
      seeHint: (of) =>
        set(({ hintsSeen }) => (hintsSeen.includes(of) ? {} : { hintsSeen: [...hintsSeen, of] })),
      forgetHints: () => set({ hintsSeen: [] }),
      toggleDrawer: (name) => set(({ drawers }) => ({ drawers: toggled(drawers, name) })),
    }),
    { name: 'even-spare-preferences', storage: createJSONStorage(() => window.localStorage) },
  ),
);
