import { no, ok, type Fault, type Result } from '@core/fault';
import {
  cleanTyped,
  parseAngle,
  parseCount,
  parseLength,
  tidy,
  type LengthUnit,
  type Quantity,
} from '@core/quantity';

import { compileFormula } from './compile';
import { parseFormula } from './parseFormula';

/** A whole number over a power of two up to 64 and nothing else: that is an inch fraction, not a sum. */
const FRACTION = /^-?(\d+ )?\d+ ?\/ ?(2|4|8|16|32|64)$/;

const SIGN_OF_A_SUM = /[-+*/×÷:^()]/;

/**
 * Reads a number as it is typed: plain, with a unit, or as a sum (`12.4/2`, `31 - 2*3`, `1 3/16 in + 2 mm`).
 * @param unit unit of numbers that have none.
 * @returns mm, radians or the count; any sign and size.
 */
export function readTyped(text: string, quantity: Quantity, unit: LengthUnit = 'mm'): Result<number, Fault> {
  const plain =
    quantity === 'length'
      ? parseLength(text, unit)
      : quantity === 'angle'
        ? parseAngle(text)
        : parseCount(text);
  const cleaned = cleanTyped(text);
  const isSum = SIGN_OF_A_SUM.test(cleaned.replace(/^[-+]/, '')) && /\d/.test(cleaned);
  if (plain.ok || !isSum || FRACTION.test(cleaned)) return plain;
  const expression = parseFormula(text);
  if (!expression.ok) return expression.fault.code === 'formula.notRead' ? plain : expression;
  const program = compileFormula(expression.value, () => null, quantity, unit);
  if (!program.ok) return program;
  const value = program.value.tape.evaluate([]);
  if (!Number.isFinite(value)) {
    return no({ code: `formula.${program.value.tape.failure()}`, text: cleaned });
  }
  if (quantity === 'count' && !Number.isInteger(tidy(value))) return no({ code: 'count.notACount', text });
  return ok(tidy(value));
}
