import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { ownValue } from '@core/foundations/own';

import { cleanTyped } from './cleanTyped';
import { INCHES_PER_FOOT, MM_PER, type LengthUnit } from './lengthUnit';
import { twoReadings } from './twoReadings';

/** A number as it is written: digits with at most one mark. */
const DIGITS = String.raw`(?:\d+(?:[.,]\d+)?|[.,]\d+)`;
/** Over a power of two, as inches are divided. */
const OVER = '(?:2|4|8|16|32|64)';
const INCH = String.raw`(?:"|in\b\.?|inch(?:es)?\b)`;
const UNIT = String.raw`(?:mm|cm|dm|m|µm|um|thou|mil|${INCH}|'|ft\b|foot\b|feet\b)`;

const asked = (text: string, ...readings: string[]): Fault => ({
  code: 'length.twoReadings',
  text,
  readings,
});

/**
 * Puts what people type into forms that can be read in one way only, or says in which ways it can be read.
 *
 * @param unit of numbers without one.
 * @returns the text to be read.
 */
export function typedForms(text: string, unit: LengthUnit): Result<string, Fault> {
  const ambiguous = ambiguityIn(text, unit);
  return ambiguous ? no(ambiguous) : ok(rewritten(text, unit));
}

/** In which ways a typed number, sum or formula can be read, if there are several; whoever reads it asks, and never guesses. */
export function ambiguityIn(text: string, unit: LengthUnit): Fault | null {
  // A raised point is a decimal mark here and a sign of multiplication there.
  const raised = /(\d+)[·⋅∙](\d+)/.exec(text);
  if (raised) {
    const [all, whole, rest] = raised;
    return asked(text, text.replace(all, `${whole}.${rest}`), text.replace(all, `${whole}*${rest}`));
  }
  const typed = grouped(cleanTyped(text));
  return (
    tolerance(typed) ??
    inBrackets(typed, unit) ??
    radius(typed) ??
    sumOrMixed(typed, unit) ??
    twoReadings(mixedWithUnitFirst(withoutWords(typed)), unit)
  );
}

/** What people write, in the forms that are read; it says the same. A formula that is kept goes this way each time it is read. */
export const rewritten = (text: string, unit: LengthUnit = 'mm'): string =>
  compound(mixedWithUnitFirst(withoutWords(firstOfTwo(grouped(cleanTyped(text)), unit))));

/** What stands beside a number and says nothing of it: which way it lies, and that it is a diameter. */
const WORDS = /(?<=[\d"a-z.]) ?\b(wide|long|high|deep|thick|tall|across|round)\b\.?$/i;
const DIAMETER = /^(?:dia\.?|diam\.?|diameter) ?(?=[\d.,])/i;

/** Takes out what says nothing of the number; the person sees what was read before it is kept. */
const withoutWords = (typed: string) => typed.replace(DIAMETER, '').replace(WORDS, '').trim();

/** Marks and spaces between groups of three digits taken out, where nothing else can be meant. */
function grouped(typed: string): string {
  return (
    typed
      // 1'250 and 10'000; not 5'3".
      .replace(/(?<![\d.,])\d{1,3}(?:'\d{3})+(?![\d'"]| ?(?:in\b|inch))/g, (all) => all.replace(/'/g, ''))
      // 1,250.50 and 1.250,50; 1,250,000 and 1.250.000.
      .replace(/(?<![\d.,])\d{1,3}(?:,\d{3})+\.\d+(?![\d.,])/g, (all) => all.replace(/,/g, ''))
      .replace(/(?<![\d.,])\d{1,3}(?:\.\d{3})+,\d+(?![\d.,])/g, (all) =>
        all.replace(/\./g, '').replace(',', '.'),
      )
      .replace(/(?<![\d.,])\d{1,3}(?:,\d{3}){2,}(?![\d.,])/g, (all) => all.replace(/,/g, ''))
      .replace(/(?<![\d.,])\d{1,3}(?:\.\d{3}){2,}(?![\d.,])/g, (all) => all.replace(/\./g, ''))
      // 12 345, alone in its field; 7 .5 with a slip of the thumb.
      .replace(
        new RegExp(String.raw`^([-+]?)(\d{1,3}(?: \d{3})+)(?=(?:[.,]\d+)? ?(?:mm)?\.?$)`),
        (_, sign: string, all: string) => sign + all.replace(/ /g, ''),
      )
      .replace(new RegExp(String.raw`^([-+]?\d+) (?=[.,]\d+ ?(?:${UNIT})?$)`), '$1')
      .replace(/(\d) ?\/ ?(\d+) ?(?:ths?|rds|nds)\b/g, '$1/$2')
      .replace(new RegExp(String.raw`(\d) (?:and|&) (?=\d+ ?\/ ?\d+)`, 'g'), '$1 ')
      // 1-inch is one inch.
      .replace(/(\d)-(?=(?:inch(?:es)?|in|mm|cm|ft|foot|feet)\b)/g, '$1 ')
      .replace(/(\d) x (?=\d)/gi, '$1*')
      .replace(/(\d)(?=π|pi\b)/g, '$1*')
      .replace(/√ ?([\d.,]+)/g, 'sqrt($1)')
      .replace(/√ ?(?=\()/g, 'sqrt')
  );
}

/** `10 +0.1 -0.2`, `10 +0.1/-0.2`, `10 ± 0.1`: limits of a drawing. */
function tolerance(typed: string): Fault | null {
  const one = `(${DIGITS}) ?(${UNIT})?`;
  const even = new RegExp(String.raw`^([-+]?${DIGITS}) ?(${UNIT})? ?(?:±|\+ ?\/ ?-|\+-) ?${one}$`).exec(
    typed,
  );
  if (even) return limits(typed, even[1]!, even[2] ?? even[4], [number(even[3]!), -number(even[3]!)], []);
  const apart = new RegExp(
    String.raw`^([-+]?${DIGITS}) ?(${UNIT})? ?([-+]) ?(${DIGITS}) ?(${UNIT})? ?(\/ ?|, ?|; ?|)([-+]) ?(${DIGITS}) ?(${UNIT})?$`,
  ).exec(typed);
  if (!apart) return null;
  const [, nominal, unit1, sign1, first, unit2, between, sign2, second, unit3] = apart;
  // Signs that stand off their numbers on both sides are those of a sum.
  const isSum = between === '' && (sign1 === sign2 || !new RegExp(String.raw` [-+](?=[\d.,])`).test(typed));
  if (isSum) return null;
  const [up, down] = [Number(`${sign1}1`) * number(first!), Number(`${sign2}1`) * number(second!)];
  const signed = (sign: string, digits: string) => `${sign} ${digits}`;
  const sum = between === '' ? [`${nominal} ${signed(sign1!, first!)} ${signed(sign2!, second!)}`] : [];
  return limits(typed, nominal!, unit1 ?? unit2 ?? unit3, [up, down], sum);
}

function limits(
  text: string,
  nominal: string,
  unit: string | undefined,
  [up, down]: [number, number],
  otherwise: string[],
): Fault {
  const after = unit === undefined ? '' : ` ${unit}`;
  const size = number(nominal);
  const [low, high] = [Math.min(size + up, size + down), Math.max(size + up, size + down)];
  const middle = plain((low + high) / 2);
  const readings = [...new Set([`${middle}${after}`, `${plain(size)}${after}`])];
  return {
    code: 'length.tolerance',
    text,
    low: `${plain(low)}${after}`,
    high: `${plain(high)}${after}`,
    plusMinus: plain((high - low) / 2),
    readings: [...readings, ...otherwise],
  };
}

/** As near as a number in brackets has to come to be the same length in another unit, as a share. */
const SAME_LENGTH = 0.004;

const VALUE = String.raw`((?:\d+[ -])?\d+ ?\/ ?\d+|${DIGITS})`;
const IN_BRACKETS = new RegExp(
  String.raw`^([-+]?)[øØ⌀∅]? ?${VALUE} ?(${UNIT})? ?[([] ?${VALUE} ?(${UNIT})? ?[)\]]$`,
);

/** `12.5 (0.492)`: one length in two units, if they agree; never a product. */
function inBrackets(typed: string, unit: LengthUnit): Fault | null {
  const both = twoUnits(typed, unit);
  return both && !both.agree ? asked(typed, both.first, both.second) : null;
}

/** The first of two that agree. */
function firstOfTwo(typed: string, unit: LengthUnit): string {
  const both = twoUnits(typed, unit);
  return both?.agree ? both.first : typed;
}

function twoUnits(typed: string, unit: LengthUnit) {
  const found = IN_BRACKETS.exec(typed);
  if (!found) return null;
  const [, sign, first, unit1, second, unit2] = found;
  const isInch = unit1 === undefined ? unit === 'in' : new RegExp(`^${INCH}$`).test(unit1);
  const [own, other] = [unit1 ?? unit, unit2 ?? (isInch ? 'mm' : 'in')];
  const [a, b] = [lengthOf(first!, own), lengthOf(second!, other)];
  return {
    agree: Math.abs(a - b) <= SAME_LENGTH * a,
    first: `${sign}${first} ${own}`,
    second: `${sign}${second} ${other}`,
  };
}

function lengthOf(digits: string, unit: string): number {
  const parts = digits.replace(/ ?\/ ?/, '/').split(/[ -]/);
  const value = parts.reduce((sum, part) => {
    const [over, under] = part.split('/');
    return sum + number(over!) / (under === undefined ? 1 : number(under));
  }, 0);
  return value * (mmPer(unit) ?? NaN);
}

/** `R12.5`: the radius, or the diameter that goes with it. */
function radius(typed: string): Fault | null {
  const found = new RegExp(String.raw`^(?:r|rad\.?|radius) ?(${DIGITS}) ?(${UNIT})?$`, 'i').exec(typed);
  if (!found) return null;
  const [, digits, unit = ''] = found;
  const after = unit && ` ${unit}`;
  return asked(typed, `${digits}${after}`, `${plain(2 * number(digits!))}${after}`);
}

/** Signs that stand in a sum as well as in a mixed number. */
function sumOrMixed(typed: string, unit: LengthUnit): Fault | null {
  // Two fractions side by side are nothing that anybody writes.
  if (/\d ?\/ ?\d+ +\d+ ?\/ ?\d/.test(typed)) return { code: 'length.notANumber', text: typed };
  const inches = unit === 'in' || new RegExp(INCH).test(typed);
  // 1.1/2": one and a half, or the half of 1.1.
  const dotted = new RegExp(String.raw`^([-+]?)(\d+)[.,]([13579]\d?)\/(${OVER}) ?${INCH}?$`).exec(typed);
  if (dotted && inches && Number(dotted[3]) < Number(dotted[4])) {
    const [, sign, whole, over, under] = dotted;
    return asked(
      typed,
      `${sign}${whole} ${over}/${under} in`,
      `${plain(number(`${whole}.${over}`) / Number(under))} in`,
    );
  }
  // 1+1/2": one and a half, or one of the usual unit and half an inch.
  const added = new RegExp(String.raw`(?<![\d./)*+-])(\d+)\+(\d+)\/(${OVER})(?= ?${INCH})`).exec(typed);
  if (added && unit !== 'in') {
    const [all, whole, over, under] = added;
    return asked(
      typed,
      typed.replace(all, `${whole} ${over}/${under}`),
      typed.replace(all, `${whole} ${unit} + ${over}/${under}`),
    );
  }
  // 3/8 + 1/16 in: both in inches, or the first in the usual unit.
  const bare = new RegExp(
    String.raw`^((?:\d+ )?\d+\/${OVER}) ?([-+]) ?((?:\d+ )?\d+\/${OVER} ?${INCH}.*)$`,
  ).exec(typed);
  if (bare && unit !== 'in') {
    const [, first, sign, rest] = bare;
    return asked(
      typed,
      `${first} in ${sign} ${rest}`,
      `${plain(lengthOf(first!, unit) / MM_PER[unit])} ${unit} ${sign} ${rest}`,
    );
  }
  // (1-1/2)/2 in inches: the half of one and a half, or of one less a half.
  const hyphen = new RegExp(String.raw`(?<![\d./)])(\d+)-(\d+)\/(${OVER})(?!\d)(?! ?${INCH})`).exec(typed);
  if (hyphen && unit === 'in' && hyphen[0] !== typed.replace(/^[-+] ?/, '')) {
    const [all, whole, over, under] = hyphen;
    return asked(
      typed,
      typed.replace(all, `${whole} ${over}/${under}`),
      typed.replace(all, `${whole} - ${over}/${under}`),
    );
  }
  return null;
}

/** `1" 1/2` and `1 in 3/8`: the unit of a mixed number, said in its middle. */
const mixedWithUnitFirst = (typed: string) =>
  typed.replace(new RegExp(String.raw`^([-+]?\d+) ?${INCH} ?(\d+\/${OVER}) ?${INCH}?$`), '$1 $2 in');

/** `1 cm 5 mm` and `1 m 25 cm` are one length. */
const compound = (typed: string) =>
  typed.replace(
    new RegExp(String.raw`^([-+]?) ?(${DIGITS}) ?(m|dm|cm) ?(${DIGITS}) ?(dm|cm|mm)$`),
    (all, sign: string, first: string, larger: string, second: string, smaller: string) =>
      mmPer(larger)! > mmPer(smaller)! ? `${sign}(${first} ${larger} + ${second} ${smaller})` : all,
  );

/** Millimetres in a unit as it is written; null of what is none. */
export function mmPer(unit: string): number | null {
  // A large M is a thread, and no metre.
  if (unit === 'M') return null;
  const word = unit.toLowerCase().replace(/\.$/, '').trim();
  return ownValue(UNIT_MM, word) ?? null;
}

const UNIT_MM: Record<string, number> = {
  mm: 1,
  millimetre: 1,
  millimetres: 1,
  millimeter: 1,
  millimeters: 1,
  cm: MM_PER.cm,
  dm: 100,
  m: 1000,
  metre: 1000,
  metres: 1000,
  meter: 1000,
  meters: 1000,
  µm: 0.001,
  um: 0.001,
  micron: 0.001,
  microns: 0.001,
  // A thousandth of an inch.
  thou: MM_PER.in / 1000,
  mil: MM_PER.in / 1000,
  mils: MM_PER.in / 1000,
  in: MM_PER.in,
  inch: MM_PER.in,
  inches: MM_PER.in,
  '"': MM_PER.in,
  ft: INCHES_PER_FOOT * MM_PER.in,
  foot: INCHES_PER_FOOT * MM_PER.in,
  feet: INCHES_PER_FOOT * MM_PER.in,
  "'": INCHES_PER_FOOT * MM_PER.in,
};

const number = (digits: string) => Number(digits.replace(',', '.'));
/** As it is written, without what binary adds. */
const plain = (value: number) => String(Number(value.toFixed(9)));
