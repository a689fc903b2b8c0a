import { MM_PER, type LengthUnit } from './lengthUnit';
import { RAD_PER_DEGREE, type Quantity } from './quantity';

/** Minus sign as printed, so that a signed number lines up with its neighbours. */
const MINUS = '\u2212';

/** How a person likes lengths shown: a unit, or inches as fractions to a 64th. */
export type DisplayUnit = LengthUnit | 'fraction';
export const DISPLAY_UNITS: readonly DisplayUnit[] = ['mm', 'cm', 'in', 'fraction'];

/** The unit a number typed without one is taken in. */
export const typedUnitOf = (unit: DisplayUnit): LengthUnit => (unit === 'fraction' ? 'in' : unit);

const PLACES: Record<LengthUnit, number> = { mm: 2, cm: 3, in: 3 };

/** Finest inch fraction. */
const SIXTY_FOURTHS = 64;
/** A fraction this close to the length, mm, is the length; others are marked as near it. */
const SAME_MM = 0.005;

/** `38.2` mm as `38.20`; in inches with three decimals, the usual dial step. No unit: the caller shows it. */
export function showNumber(mm: number, unit: DisplayUnit = 'mm', decimals?: number): string {
  if (unit === 'fraction') return showFraction(mm);
  const rounded = (mm / MM_PER[unit]).toFixed(decimals ?? PLACES[unit]);
  return Number(rounded) === 0 ? (0).toFixed(decimals ?? PLACES[unit]) : rounded.replace('-', MINUS);
}

/** `1 3/16`, in lowest terms; `~1 3/16` where no 64th is within 0.005 mm. */
function showFraction(mm: number): string {
  const parts = Math.round((Math.abs(mm) / MM_PER.in) * SIXTY_FOURTHS);
  const near = Math.abs(Math.abs(mm) - (parts * MM_PER.in) / SIXTY_FOURTHS) > SAME_MM ? '~' : '';
  const sign = mm < 0 && parts > 0 ? MINUS : '';
  const whole = Math.floor(parts / SIXTY_FOURTHS);
  let [over, under] = [parts % SIXTY_FOURTHS, SIXTY_FOURTHS];
  while (over > 0 && over % 2 === 0) [over, under] = [over / 2, under / 2];
  const fraction = over === 0 ? '' : `${over}/${under}`;
  const digits = whole === 0 ? fraction || '0' : [whole, fraction].filter(Boolean).join(' ');
  return `${near}${sign}${digits}`;
}

/** The unit as it is written after a number. */
export const unitWord = (unit: DisplayUnit): string => typedUnitOf(unit);

/** The number with its unit: `38.20 mm`. */
export function showLength(mm: number, unit: DisplayUnit = 'mm', decimals?: number): string {
  return `${showNumber(mm, unit, decimals)} ${unitWord(unit)}`;
}

/** More places than these no length is shown with. */
const MOST_PLACES = 6;

/** With its unit, and as many decimals as it takes to be told apart from what was typed: `12.70 mm`, `0.0005 mm`. */
export function showExactly(value: number, quantity: Quantity, unit: DisplayUnit = 'mm'): string {
  if (quantity !== 'length') return `${showQuantity(value, quantity)}${unitAfter(quantity)}`;
  const typed = typedUnitOf(unit);
  const own = value / MM_PER[typed];
  let places = PLACES[typed];
  while (places < MOST_PLACES && Math.abs(Number(own.toFixed(places)) - own) > 1e-3 * Math.abs(own))
    places += 1;
  return showLength(value, typed, places);
}

/** Always signed, for allowances and corrections: `+0.18`, `−0.05`, `+0.00`. Fractions are too coarse for them. */
export function showSigned(mm: number, unit: DisplayUnit = 'mm', decimalsOfMm = 2): string {
  const shown = showNumber(mm, typedUnitOf(unit), unit === 'mm' ? decimalsOfMm : 4);
  return shown.startsWith(MINUS) ? shown : `+${shown}`;
}

/** An expanded uncertainty is rounded up, never down to a flattering figure: 0.0231 -> `0.03`. */
export function showUncertainty(mm: number, unit: DisplayUnit = 'mm'): string {
  const typed = typedUnitOf(unit);
  const places = typed === 'in' ? 4 : PLACES[typed];
  return ceilTo(mm / MM_PER[typed], places);
}

function ceilTo(value: number, places: number): string {
  const scale = 10 ** places;
  // 1e-9 keeps 0.03 (stored as 0.030000000000000002) from becoming 0.04.
  return (Math.ceil(value * scale - 1e-9) / scale).toFixed(places);
}

/** A size's number in its own kind: a length in the person's unit, an angle in degrees, a count as it is. */
export function showQuantity(value: number, quantity: Quantity, unit: DisplayUnit = 'mm'): string {
  if (quantity === 'length') return showNumber(value, unit);
  if (quantity === 'angle') return (value / RAD_PER_DEGREE).toFixed(2).replace('-', MINUS);
  return Number(value.toFixed(3)).toString();
}

/** What stands after such a number: ` mm`, `°`, nothing. */
export function unitAfter(quantity: Quantity, unit: DisplayUnit = 'mm'): string {
  return quantity === 'length' ? ` ${unitWord(unit)}` : quantity === 'angle' ? '°' : '';
}

/** An expanded uncertainty in the size's own kind, rounded up. */
export function showQuantityUncertainty(value: number, quantity: Quantity, unit: DisplayUnit = 'mm'): string {
  if (quantity === 'length') return showUncertainty(value, unit);
  if (quantity === 'angle') return ceilTo(value / RAD_PER_DEGREE, 2);
  return ceilTo(value, 3);
}
