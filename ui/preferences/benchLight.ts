import { useLayoutEffect, useSyncExternalStore } from 'react';

import { PALETTES, type BenchLight, type Palette } from '../theme/palettes';
import { usePreferences, type WantedLight } from './usePreferences';

const darkDevice = () =>
  typeof window !== 'undefined' && typeof window.matchMedia === 'function'
    ? window.matchMedia('(prefers-color-scheme: dark)')
    : null;

export const lightNow = (wanted: WantedLight = usePreferences.getState().light): BenchLight =>
  wanted === 'device' ? (darkDevice()?.matches ? 'dim' : 'bright') : wanted;

const watchDevice = (onChange: () => void) => {
  const device = darkDevice();
  device?.addEventListener('change', onChange);
  return () => device?.removeEventListener('change', onChange);
};

/** The light on the bench. What is drawn by the graphics card takes this for its key, since it has its colours from when it was made. */
export function useBenchLight(): BenchLight {
  const wanted = usePreferences(({ light }) => light);
  return useSyncExternalStore(watchDevice, () => lightNow(wanted));
}

/** Puts the light on the page. */
export function useLitPage(): void {
  const light = useBenchLight();
  // Before the first picture of it.
  useLayoutEffect(() => {
    document.documentElement.dataset.bench = light;
  }, [light]);
}

/** The colours as they are now, for what can't read the style sheet. */
export const paletteNow = (): Palette => PALETTES[lightNow()];
