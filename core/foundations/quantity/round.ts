/** Rounds to the nearest multiple of `step` (mm), free of the binary dust that a plain product leaves. */
export function roundTo(value: number, step: number): number {
  return tidy(Math.round(tidy(value / step)) * step);
}

/** Drops binary dust below a picometre, so that 6.02 + 0.18 + 0.05 is 6.25. Lengths here never need more. */
export function tidy(value: number): number {
  return Number(value.toFixed(9));
}
