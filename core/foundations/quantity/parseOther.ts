import { no, ok, type Fault, type Result } from '@core/foundations/fault';

import { cleanTyped } from './cleanTyped';
import { parseDecimal } from './parseLength';
import { RAD_PER_DEGREE } from './quantity';

/** A number with what it counts: degrees, their minutes or seconds, radians. */
const PART = /^ ?([\d.,]+) ?(°|deg(?:rees?)?|'|min(?:utes?)?|"|sec(?:onds?)?|rad(?:ians?)?)?/i;
/** 30:15 and 30:15:36 are degrees, minutes and seconds. */
const COLONS = /^([-+]?) ?(\d+):(\d{1,2})(?::(\d{1,2}(?:[.,]\d+)?))?$/;
/** An angle over π and no degrees, as mathematics writes it. */
const PI = /^[-+]? ?(?:[\d.,]+ ?\*? ?)?(?:π|pi)(?: ?\/ ?[\d.,]+)?$/i;

const unitOf = (word: string): 0 | 1 | 2 | 'rad' => {
  if (/^rad/i.test(word)) return 'rad';
  if (word === "'" || /^min/i.test(word)) return 1;
  return word === '"' || /^sec/i.test(word) ? 2 : 0;
};

/**
 * Reads an angle: `45`, `22,5°`, `30 deg`, degrees, minutes and seconds as `22° 30' 15"`, minutes or seconds alone as `30'`, `30:15`, `0.5 rad`. What
 * has π in it may be radians or degrees, and is asked about.
 * @returns radians, or a fault.
 */
export function parseAngle(text: string): Result<number, Fault> {
  const cleaned = cleanTyped(text);
  if (cleaned === '') return no({ code: 'length.empty' });
  if (PI.test(cleaned)) {
    const plain = cleaned.replace(/(\d) ?(?=π|pi)/i, '$1*');
    return no({ code: 'angle.twoReadings', text, readings: [`(${plain}) rad`, `(${plain})°`] });
  }
  const notRead: Result<never, Fault> = no({ code: 'angle.notAnAngle', text });
  const colons = COLONS.exec(cleaned);
  const [, sign, rest] = (
    colons
      ? /^([-+]?) ?(.+)$/.exec(`${colons[1]}${colons[2]}°${colons[3]}'${colons[4] ? `${colons[4]}"` : ''}`)
      : /^([-+]?) ?(.+)$/.exec(cleaned)
  )!;
  let left = rest!;
  let radians = 0;
  let before: number | null = null;
  let isWhole = true;
  while (left !== '') {
    const part = PART.exec(left);
    if (!part) return notRead;
    const [all, digits, word] = part;
    left = left.slice(all.length).trimStart();
    const unit = word === undefined ? 0 : unitOf(word);
    // A number alone is degrees; beside others it might be anything.
    if (word === undefined && (before !== null || left !== '')) return notRead;
    const read = parseDecimal(digits!, text);
    if (!read.ok) return read;
    if (unit === 'rad') {
      if (before !== null || left !== '') return notRead;
      radians = read.value;
      break;
    }
    // Sixty minutes are a degree, and what has minutes behind it has no tenths: else one of the two is a slip.
    if (before !== null && (unit <= before || read.value >= 60 || !isWhole)) return notRead;
    radians += (read.value / 60 ** unit) * RAD_PER_DEGREE;
    before = unit;
    isWhole = Number.isInteger(read.value);
  }
  return ok((sign === '-' ? -1 : 1) * radians);
}

/** Reads a count: a whole number from 1 to 10,000. */
export function parseCount(text: string): Result<number, Fault> {
  const cleaned = cleanTyped(text);
  if (cleaned === '') return no({ code: 'length.empty' });
  if (!/^\d{1,5}$/.test(cleaned) || Number(cleaned) < 1 || Number(cleaned) > 10_000) {
    return no({ code: 'count.notACount', text });
  }
  return ok(Number(cleaned));
}
