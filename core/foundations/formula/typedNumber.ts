import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import {
  cleanTyped,
  parseAngle,
  parseCount,
  parseLength,
  tidy,
  typedForms,
  type LengthUnit,
  type Quantity,
} from '@core/foundations/quantity';

import { compileFormula } from './compile';
import { parseFormula } from './parseFormula';

/** `3/16` or `1 3/16`, over a power of two up to 64. */
const FRACTION = /^-?(\d+ )?(\d+) ?\/ ?(2|4|8|16|32|64)$/;

/** A fraction below one, or beside a whole number, is meant as inches; 38/2 is a diameter being halved. */
function isInchFraction(cleaned: string): boolean {
  const [found, whole, numerator, denominator] = FRACTION.exec(cleaned) ?? [];
  return found !== undefined && (whole !== undefined || Number(numerator) < Number(denominator));
}

const SIGN_OF_A_SUM = /[-+*/×÷^()]/;

/**
 * Reads a number as it is typed: plain, with a unit, or as a sum (`12.4/2`, `31 - 2*3`, `1 3/16 in + 2 mm`).
 * @param unit unit of numbers that have none.
 * @returns mm (to a picometre), radians or the count; any sign and size.
 */
export function readTyped(text: string, quantity: Quantity, unit: LengthUnit = 'mm'): Result<number, Fault> {
  const plain =
    quantity === 'length'
      ? parseLength(text, unit)
      : quantity === 'angle'
        ? parseAngle(text)
        : parseCount(text);
  const typed = quantity === 'length' ? typedForms(text, unit) : ok(cleanTyped(text));
  if (!typed.ok) return typed;
  if (!plain.ok && plain.fault.code === 'angle.twoReadings') return plain;
  const { value: cleaned } = typed;
  const isSum = SIGN_OF_A_SUM.test(cleaned.replace(/^[-+]/, '')) && /[\dπ]/.test(cleaned);
  // Two signs before a number are a slip of the thumb.
  if (/^[-+] ?[-+]/.test(cleaned)) return plain;
  if (plain.ok) return quantity === 'length' ? ok(tidy(plain.value)) : plain;
  if (!isSum || (quantity === 'length' && isInchFraction(cleaned))) return plain;
  const expression = parseFormula(cleaned);
  if (!expression.ok) return expression.fault.code === 'formula.notRead' ? plain : expression;
  const program = compileFormula(expression.value, () => null, quantity, unit);
  if (!program.ok) return program;
  const value = program.value.evaluate([]);
  if (!Number.isFinite(value)) {
    return no({ code: `formula.${program.value.failure()}`, text: cleaned });
  }
  if (quantity === 'count') return parseCount(`${tidy(value)}`);
  return ok(quantity === 'length' ? tidy(value) : value);
}

/** A number alone, with a mark for decimals: it comes to what stands there. */
const ALONE = /^[-+\u2212]?\d*(?:[.,]\d*)?$/;

/**
 * What a typed number comes to, where that is not what stands there already: a sum worked out, a unit turned, a word left out. It is shown before the
 * number is kept.
 * @returns null of a plain number, and of what can't be read.
 */
export function comesTo(text: string, quantity: Quantity, unit: LengthUnit = 'mm'): number | null {
  if (ALONE.test(text.trim())) return null;
  const read = readTyped(text, quantity, unit);
  return read.ok ? read.value : null;
}
