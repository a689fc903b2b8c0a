import { no, ok, type Fault, type Result } from '@core/fault';

export type LengthUnit = 'mm' | 'cm' | 'in';

/** Millimetres in one of each unit. The inch is exactly 25.4 mm (ISO 80000-3). */
export const MM_PER: Record<LengthUnit, number> = { mm: 1, cm: 10, in: 25.4 };

const UNIT_WORDS: Record<string, LengthUnit> = {
  mm: 'mm',
  millimetre: 'mm',
  millimetres: 'mm',
  cm: 'cm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
  '”': 'in',
  "''": 'in',
};

/** Signs that stand for others on paper, made one: minus signs, the fraction slash, wide spaces. */
export function cleanTyped(text: string): string {
  return text
    .normalize('NFKC')
    .replace(/[\u2212\u2013]/g, '-')
    .replace(/\u2044/g, '/')
    .replace(/\s+/g, ' ')
    .trim();
}

/**
 * Reads a length as people type or paste it: `38.2`, `38,20 mm`, ` 3.82cm `, `0.237"`, `1 3/16 in`.
 * A point or a comma marks decimals. Fractions are inch fractions and must say so.
 *
 * @returns millimetres (any sign and size: limits belong to whoever uses the length), or a fault.
 */
export function parseLength(text: string, unitWhenNone: LengthUnit = 'mm'): Result<number, Fault> {
  const cleaned = cleanTyped(text);
  if (cleaned === '') return no({ code: 'length.empty' });

  const parts = /^([-+]?)\s*([\d.,/ ]+?)\s*([^\d.,/ ].*)?$/.exec(cleaned);
  if (!parts) return no({ code: 'length.notANumber', text });
  const [, sign, digits = '', unitText] = parts;
  const unit = unitText === undefined ? unitWhenNone : UNIT_WORDS[unitText.toLowerCase().replace(/\.$/, '')];
  if (!unit) return no({ code: 'length.notANumber', text });

  const magnitude = digits.includes('/') ? parseFraction(digits, unit, text) : parseDecimal(digits, text);
  if (!magnitude.ok) return magnitude;
  return ok((sign === '-' ? -1 : 1) * magnitude.value * MM_PER[unit]);
}

/** Reads digits with one point or comma; nothing else. */
export function parseDecimal(digits: string, text: string): Result<number, Fault> {
  const marks = digits.match(/[.,]/g)?.length ?? 0;
  if (marks > 1) return no({ code: 'length.twoMarks', text });
  if (!/^(\d+[.,]?\d*|[.,]\d+)$/.test(digits)) return no({ code: 'length.notANumber', text });
  return ok(Number(digits.replace(',', '.')));
}

function parseFraction(digits: string, unit: LengthUnit, text: string): Result<number, Fault> {
  const fraction = /^(?:(\d+) )?(\d+)\/(\d+)$/.exec(digits.replace(/ ?\/ ?/, '/'));
  if (!fraction) return no({ code: 'length.notANumber', text });
  if (unit !== 'in') return no({ code: 'length.fractionNeedsInch', text });
  const [, whole = '0', over, under] = fraction;
  if (Number(under) === 0) return no({ code: 'length.zeroDenominator', text });
  return ok(Number(whole) + Number(over) / Number(under));
}
