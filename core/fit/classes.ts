import type { FitClass } from '@core/model';
import { roundTo } from '@core/quantity';
import { toleranceFactorMm } from '@core/standards';

export interface FitClassRow {
  id: FitClass;
  /** Workshop word on a switch. */
  word: string;
  /** In the trail: "Turns freely". */
  phrase: string;
  /** Clearance on the diameter at a size of REFERENCE_MM, mm. Negative is interference. */
  clearanceAtReferenceMm: number;
}

/** Size at which the table below is read. */
export const REFERENCE_MM = 6;

/**
 * Starting clearances on the diameter for plastic on metal or plastic in a small workshop, ours, from loosest
 * to tightest. Trials and the Workshop's own table will replace them.
 */
export const FIT_CLASSES: readonly FitClassRow[] = [
  { id: 'loose', word: 'Loose', phrase: 'Loose, may rattle', clearanceAtReferenceMm: 0.4 },
  { id: 'turns', word: 'Turns', phrase: 'Turns freely', clearanceAtReferenceMm: 0.18 },
  { id: 'slides', word: 'Slides', phrase: 'Slides without play', clearanceAtReferenceMm: 0.1 },
  { id: 'snug', word: 'Snug', phrase: 'Snug, goes on by hand', clearanceAtReferenceMm: 0.03 },
  { id: 'pressed', word: 'Pressed', phrase: 'Pressed on', clearanceAtReferenceMm: -0.06 },
];

export function fitClassOf(id: FitClass): FitClassRow {
  return FIT_CLASSES.find((row) => row.id === id)!;
}

/**
 * Clearance of a class on the diameter, mm, at a size: the table's value scaled as the standard tolerance
 * factor of ISO 286-1 scales, to 0.01 mm. The factor is stated for 3 to 500 mm and is held at its ends.
 */
export function classClearanceMm(id: FitClass, diameterMm: number): number {
  const within = Math.min(500, Math.max(3, diameterMm));
  const growth = toleranceFactorMm(within) / toleranceFactorMm(REFERENCE_MM);
  return roundTo(fitClassOf(id).clearanceAtReferenceMm * growth, 0.01);
}
