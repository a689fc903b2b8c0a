import type { TrialResult } from '@core/record/model';

import { wantedOf } from './asked';

/** A made size further from the wanted one than this share of it, and than this, was most likely misread or mistyped. */
const [FAR_SHARE, FAR_MM] = [0.1, 1];

/** Whether a reading of a made size is so far from what was wanted that the person should be asked: 63.4 for 6.34, say. */
export function isFarOff(result: TrialResult, mm: number): boolean {
  const wanted = wantedOf(result);
  return Math.abs(mm - wanted) > Math.max(FAR_MM, FAR_SHARE * wanted);
}
