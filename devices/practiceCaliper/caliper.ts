import type { TrueDimension } from './truths';

/** What this caliper is wrong by, the same in every reading: −0.004 mm at zero and 0.00008 of the length. */
const ZERO_ERROR_MM = -0.004;
const SCALE_ERROR = 0.00008;
/** How much one hand scatters, one standard deviation, mm. */
const HAND_MM = 0.009;
const DISPLAY_STEP_MM = 0.01;

/**
 * One reading as the display shows it: the true size, the caliper's own error, the scatter of the hand and of the
 * piece, rounded to the display's step.
 *
 * @param random uniform numbers from 0 to 1.
 * @returns digits as the caliper types them: "38.21".
 */
export function readCaliper({ trueMm, roughMm }: TrueDimension, random: () => number): string {
  const scatter = Math.hypot(HAND_MM, roughMm) * normal(random);
  const shown = trueMm * (1 + SCALE_ERROR) + ZERO_ERROR_MM + scatter;
  return (Math.round(shown / DISPLAY_STEP_MM) * DISPLAY_STEP_MM).toFixed(2);
}

/** A standard normal number (sum of twelve uniform ones less six: near enough for a hand). */
function normal(random: () => number): number {
  let sum = -6;
  for (let turn = 0; turn < 12; turn += 1) sum += random();
  return sum;
}
