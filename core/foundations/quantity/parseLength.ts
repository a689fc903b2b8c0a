import { no, ok, type Fault, type Result } from '@core/foundations/fault';

import { INCHES_PER_FOOT, MM_PER, type LengthUnit } from './lengthUnit';
import { mmPer, typedForms } from './typedForms';

/** A number as it is written: digits with at most one mark, a fraction, or a whole number and a fraction. */
const NUMBER = String.raw`\d[\d.,]*(?:[ -]\d+ ?\/ ?\d+)?|\d+ ?\/ ?\d+|[.,]\d+`;
const ONE = new RegExp(String.raw`^([-+]?) ?[øØ⌀∅]? ?(${NUMBER}) ?([^\d.,/ -].*)?$`);
const FEET_AND_INCHES = new RegExp(
  String.raw`^([-+]?) ?(${NUMBER}) ?('|ft\.?|foot|feet) ?-? ?(${NUMBER}) ?("|in\.?|inch|inches)?$`,
  'i',
);

/**
 * Reads a length as people type or paste it: `38.2`, `38,20 mm`, `ø12.4`, ` 3.82cm `, `0.237"`, `1 3/16 in`, `3-1/2"`, `3½"`,
 * `5' 3 1/2"`. A point or a comma marks decimals. Fractions are inch fractions and must say so.
 *
 * @returns millimetres (any sign and size: limits belong to whoever uses the length), or a fault; where two readings
 * are possible the fault says which.
 */
export function parseLength(text: string, unitWhenNone: LengthUnit = 'mm'): Result<number, Fault> {
  const typed = typedForms(text, unitWhenNone);
  if (!typed.ok) return typed;
  const { value: cleaned } = typed;
  if (cleaned === '') return no({ code: 'length.empty' });

  const both = FEET_AND_INCHES.exec(cleaned);
  if (both) {
    const [feet, inches] = [both[2]!, both[4]!].map((digits) => parseNumber(digits, 'in', text));
    if (!feet!.ok) return feet!;
    if (!inches!.ok) return inches!;
    return ok(signOf(both[1]) * (feet!.value * INCHES_PER_FOOT + inches!.value) * MM_PER.in);
  }
  const parts = ONE.exec(cleaned);
  if (!parts) {
    const tooManyMarks =
      /^[-+]?[\d.,]+( ?[a-z"']+\.?)?$/i.test(cleaned) && (cleaned.match(/[.,](?=.*\d)/g)?.length ?? 0) > 1;
    return no(tooManyMarks ? { code: 'length.twoMarks', text } : { code: 'length.notANumber', text });
  }
  const [, sign, digits = '', unitText] = parts;
  const unit = unitText?.trim() ?? unitWhenNone;
  const mm = mmPer(unit);
  if (mm === null) return no({ code: 'length.notANumber', text });
  const magnitude = parseNumber(digits, unit, text);
  if (!magnitude.ok) return magnitude;
  return ok(signOf(sign) * magnitude.value * mm);
}

const signOf = (sign: string | undefined) => (sign === '-' ? -1 : 1);

function parseNumber(digits: string, unit: string, text: string): Result<number, Fault> {
  return digits.includes('/') ? parseFraction(digits, unit, text) : parseDecimal(digits, text);
}

/** Reads digits with one point or comma; nothing else. */
export function parseDecimal(digits: string, text: string): Result<number, Fault> {
  const marks = digits.match(/[.,]/g)?.length ?? 0;
  if (marks > 1) return no({ code: 'length.twoMarks', text });
  if (!/^(\d+[.,]?\d*|[.,]\d+)$/.test(digits)) return no({ code: 'length.notANumber', text });
  return ok(Number(digits.replace(',', '.')));
}

function parseFraction(digits: string, unit: string, text: string): Result<number, Fault> {
  const fraction = /^(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(digits.replace(/ ?\/ ?/, '/'));
  if (!fraction) return no({ code: 'length.notANumber', text });
  const [, whole = '0', over, under] = fraction;
  if (Number(under) === 0) return no({ code: 'length.zeroDenominator', text });
  const value = Number(whole) + Number(over) / Number(under);
  if (mmPer(unit)! % MM_PER.in !== 0) {
    const plain = `${whole === '0' ? '' : `${whole} `}${over}/${under}`;
    return no({ code: 'length.fractionNeedsInch', text, readings: [`${plain} in`, `${value} ${unit}`] });
  }
  return ok(value);
}
