import { MM_PER, type LengthUnit } from './parseLength';

/** Minus sign and plus sign as printed, so that a signed number lines up with its neighbours. */
const MINUS = '\u2212';

/** `38.2` mm as `38.20`; in inches with three decimals, the usual dial step. No unit: the caller shows it. */
export function showNumber(mm: number, unit: LengthUnit = 'mm', decimals?: number): string {
  const places = decimals ?? (unit === 'mm' ? 2 : 3);
  const rounded = (mm / MM_PER[unit]).toFixed(places);
  return Number(rounded) === 0 ? (0).toFixed(places) : rounded.replace('-', MINUS);
}

/** The number with its unit: `38.20 mm`. */
export function showLength(mm: number, unit: LengthUnit = 'mm', decimals?: number): string {
  return `${showNumber(mm, unit, decimals)} ${unit}`;
}

/** Always signed, for allowances and corrections: `+0.18`, `−0.05`, `+0.00`. */
export function showSigned(mm: number, unit: LengthUnit = 'mm'): string {
  const shown = showNumber(mm, unit);
  return shown.startsWith(MINUS) ? shown : `+${shown}`;
}

/** An expanded uncertainty is rounded up, never down to a flattering figure: 0.0231 -> `0.03`. */
export function showUncertainty(mm: number, unit: LengthUnit = 'mm'): string {
  const places = unit === 'mm' ? 2 : 3;
  const scale = 10 ** places;
  // 1e-9 keeps 0.03 (stored as 0.030000000000000002) from becoming 0.04.
  return (Math.ceil((mm / MM_PER[unit]) * scale - 1e-9) / scale).toFixed(places);
}
