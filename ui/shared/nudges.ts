import { MM_PER, tidy, type LengthUnit } from '@core/foundations/quantity';

/** By how much a length is nudged, in the unit that it is typed in. */
const STEPS: Record<LengthUnit, readonly number[]> = {
  mm: [0.1, 1],
  cm: [0.01, 0.1],
  in: [0.001, 0.01],
};

/** The nudges of a length, the smallest first. */
export const nudgesIn = (unit: LengthUnit): readonly number[] => STEPS[unit];

/** A length after a nudge, as it is typed; nothing of it is rounded away, and a small one has no power of ten. */
export const nudged = (mm: number, by: number, unit: LengthUnit): string =>
  tidy(mm / MM_PER[unit] + by)
    .toFixed(9)
    .replace(/\.?0+$/, '');

/** Ranges that a thumb can go through, in the unit that is typed: half of each on either side. */
const SPANS = [0.2, 0.5, 1, 2, 5, 10, 20, 50, 100];
/** So much of a length is enough on either side. */
const ENOUGH = 0.1;
const STOPS = 100;

/**
 * How far a thumb moves a length, mm, and by what steps: in round numbers, and not through nothing.
 *
 * @param enough so much of it either way at least, where no span is longer.
 */
export function slideOf(
  mm: number,
  unit: LengthUnit,
  enough = ENOUGH,
): { low: number; high: number; step: number } {
  const typed = Math.abs(mm) / MM_PER[unit];
  const scale = STEPS[unit][0]! / STEPS.mm[0]!;
  const span = (SPANS.find((one) => one * scale >= enough * typed) ?? SPANS.at(-1)!) * scale;
  const step = Math.max((2 * span) / STOPS, scale / 100) * MM_PER[unit];
  const reach = span * MM_PER[unit];
  return {
    low: mm > 0 ? Math.max(mm - reach, step) : mm - reach,
    high: mm < 0 ? Math.min(mm + reach, -step) : mm + reach,
    step,
  };
}

export const signed = (by: number): string => `${by < 0 ? '−' : '+'}${Math.abs(by)}`;
