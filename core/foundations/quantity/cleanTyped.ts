import { ownValue } from '@core/foundations/own';

/** Fractions that are one character, as they are written out. */
const VULGAR: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅐': '1/7',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅑': '1/9',
  '⅒': '1/10',
};
const RAISED: Record<string, string> = {
  '⁰': '0',
  '¹': '1',
  '²': '2',
  '³': '3',
  '⁴': '4',
  '⁵': '5',
  '⁶': '6',
  '⁷': '7',
  '⁸': '8',
  '⁹': '9',
  '⁻': '-',
};

/**
 * Signs that stand for others on paper, made one: fractions of one character, raised numbers, primes, degree signs, minus
 * signs, wide spaces and digits. Each is exchanged by name: a general folding makes 31/2 of 3½ and 102 of 10².
 */
export function cleanTyped(text: string): string {
  return (
    text
      // Full-width forms are the same characters, wider.
      .replace(/(?![\uff10-\uff19])[\uff01-\uff5e]/g, (wide) =>
        String.fromCharCode(wide.charCodeAt(0) - 0xfee0),
      )
      .replace(/\p{Nd}/gu, digitOf)
      .replace(/\u066b/g, '.')
      .replace(/\u066c/g, "'")
      .replace(/(\d?)([½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅐⅛⅜⅝⅞⅑⅒])/g, (_, before: string, one: string) =>
        before ? `${before} ${ownValue(VULGAR, one)!}` : ownValue(VULGAR, one)!,
      )
      .replace(/[⁰¹²³⁴⁵⁶⁷⁸⁹⁻]+/g, (raised) => `^${[...raised].map((one) => ownValue(RAISED, one)!).join('')}`)
      .replace(/[\u2033\u201d\u201c\u3003]|''|′′|’’/g, '"')
      .replace(/[\u2032\u2019\u2018\u00b4`]/g, "'")
      .replace(/[º˚]/g, '°')
      .replace(/\u03bc/g, 'µ')
      .replace(/[\u2212\u2013\u2010\u2011]/g, '-')
      .replace(/[\u2044\u2215]/g, '/')
      .replace(/[·⋅∙]/g, '*')
      .replace(/\s+/g, ' ')
      .trim()
  );
}

/** A digit of any script as one of ours: those of a script stand together in Unicode, in their order, ten at a time. */
function digitOf(digit: string): string {
  const code = digit.codePointAt(0)!;
  let first = code;
  while (/^\p{Nd}$/u.test(String.fromCodePoint(first - 1))) first -= 1;
  return String((code - first) % 10);
}
