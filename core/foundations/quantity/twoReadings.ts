import type { Fault } from '@core/foundations/fault';

import type { LengthUnit } from './lengthUnit';

/** No length here is more than ten metres: a reading past that is none. */
const LONGEST = { mm: 10_000, cm: 1000, in: 393 } satisfies Record<LengthUnit, number>;

/** A comma before just three digits: a decimal mark, or one of thousands. */
const COMMA = /(?<![\d.,])([1-9]\d{0,2}),(\d{3})(?![\d.,])/;
/** 3-1/2 and nothing else: three and a half, or a half taken from three. */
const HYPHEN = /^(\d+)-(\d+)\/(\d+)$/;
/** A whole number beside a fraction, without an inch mark behind it. */
const MIXED = /(?<![\d./,])(\d+) (\d+) ?\/ ?(\d+)(?![\d./,])(?! ?("|in\b|inch|'|ft\b|feet|foot|mm\b|cm\b))/;
/** 2E-1: a fifth, or twice a size E less one. */
const EXPONENT = /(?<![A-Za-z])\d[\d.]*[eE][-+]?\d/;

/**
 * What can be read in two ways, and the two ways written so that each can be read in one only. Whoever reads what was
 * typed asks, and never guesses.
 * @param cleaned by `cleanTyped`.
 * @param unit of numbers without one.
 * @returns null where there is one reading (or none).
 */
export function twoReadings(cleaned: string, unit: LengthUnit): Fault | null {
  const asked = (...readings: string[]): Fault => ({ code: 'length.twoReadings', text: cleaned, readings });
  const comma = COMMA.exec(cleaned);
  if (comma && Number(`${comma[1]!}${comma[2]!}`) <= LONGEST[unitAfter(cleaned, comma) ?? unit]) {
    return asked(cleaned.replace(COMMA, '$1.$2'), cleaned.replace(COMMA, '$1$2'));
  }
  if (unit === 'in') return null;
  const hyphen = HYPHEN.exec(cleaned);
  if (hyphen && Number(hyphen[3]) > 0) {
    const [, whole, over, under] = hyphen;
    return asked(`${whole} ${over}/${under} in`, `${whole} - ${over}/${under}`);
  }
  const mixed = MIXED.exec(cleaned);
  if (mixed && Number(mixed[3]) > 0) {
    const [, whole, over, under] = mixed;
    const decimal = Number(whole) + Number(over) / Number(under);
    return asked(
      cleaned.replace(MIXED, `${whole} ${over}/${under} in`),
      cleaned.replace(MIXED, `${decimal}`),
    );
  }
  return null;
}

/** Whether there is a number with an exponent in a formula, where a size may be called E. */
export function exponentIn(cleaned: string): string | null {
  return EXPONENT.exec(cleaned)?.[0] ?? null;
}

function unitAfter(cleaned: string, found: RegExpExecArray): LengthUnit | null {
  const rest = cleaned.slice(found.index + found[0].length).trimStart();
  if (/^("|in\b|inch)/.test(rest)) return 'in';
  if (/^mm\b/.test(rest)) return 'mm';
  return /^cm\b/.test(rest) ? 'cm' : null;
}
