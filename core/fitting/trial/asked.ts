import { featureOf } from '@core/fitting/fit';
import type { TrialResult } from '@core/record/model';

/** What the place that was tried was asked to be, mm: the working size, in a gauge row that of the place that felt right. */
export function askedOf(result: TrialResult): number {
  const working = result.counterpartMm + result.allowanceMm + result.correctionMm;
  const looser = result.looserMm ?? 0;
  return featureOf(result.feature).inside ? working + looser : working - looser;
}

/** What it should have come out as, mm: the correction is there to be eaten up by the machine. */
export const wantedOf = (result: TrialResult): number => askedOf(result) - result.correctionMm;

/** The clearance that was aimed at, mm; negative is tight. */
export function aimOf({ feature, allowanceMm }: TrialResult): number {
  return featureOf(feature).inside ? allowanceMm : -allowanceMm;
}

/** What it came out as: the mean of its readings, mm; null where nobody measured. */
export function madeOf({ made }: Pick<TrialResult, 'made'>): number | null {
  return made.length === 0 ? null : made.reduce((sum, { mm }) => sum + mm, 0) / made.length;
}

/** The clearance to the counterpart as both were measured, mm; null where the made size was not. */
export function clearanceMeasured(result: TrialResult): number | null {
  const made = madeOf(result);
  if (made === null) return null;
  return featureOf(result.feature).inside ? made - result.counterpartMm : result.counterpartMm - made;
}
