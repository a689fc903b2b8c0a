import { median } from './statistics';

/** Modified z-score beyond which a reading is doubtful. */
export const DOUBTFUL_BEYOND = 3.5;
/** Turns a median absolute deviation into a standard deviation, for normal readings. */
const NORMAL_MAD = 1.4826;

/**
 * Readings that look like slips, by the modified z-score of Iglewicz and Hoaglin (How to Detect and Handle
 * Outliers, ASQC 1993): further from the median than 3.5 times the spread, where the spread is the median
 * absolute deviation, but never less than what one hand and the display scatter by themselves; otherwise two
 * readings that happen to be equal would make every third one a slip. Needs three readings to say anything.
 *
 * @param leastSpreads one standard deviation expected of a hand with the instrument of each value, in its unit.
 * @returns places of the doubtful ones in the list. They are pointed out; nothing is dropped.
 */
export function doubtfulReadings(values: readonly number[], leastSpreads: readonly number[]): number[] {
  if (values.length < 3) return [];
  const centre = median(values);
  const deviations = values.map((value) => Math.abs(value - centre));
  const shown = NORMAL_MAD * median(deviations);
  return deviations.flatMap((deviation, index) =>
    deviation > DOUBTFUL_BEYOND * Math.max(shown, leastSpreads[index]!) ? [index] : [],
  );
}
