import { no, ok, type Fault, type Result } from '@core/fault';

import { cleanTyped, parseDecimal } from './parseLength';
import { RAD_PER_DEGREE } from './quantity';

/**
 * Reads an angle: `45`, `22,5°`, `30 deg`, or degrees and minutes as `22° 30'`.
 * @returns radians, or a fault.
 */
export function parseAngle(text: string): Result<number, Fault> {
  const cleaned = cleanTyped(text).replace(/º/g, '°');
  if (cleaned === '') return no({ code: 'length.empty' });
  const parts = /^([-+]?)\s*([\d.,]+)\s*(?:°|deg|degrees?)?\s*(?:([\d.,]+)\s*['′])?$/i.exec(cleaned);
  if (!parts) return no({ code: 'angle.notAnAngle', text });
  const [, sign, degreeDigits = '', minuteDigits] = parts;
  const degrees = parseDecimal(degreeDigits, text);
  if (!degrees.ok) return degrees;
  const minutes = minuteDigits === undefined ? ok(0) : parseDecimal(minuteDigits, text);
  if (!minutes.ok) return minutes;
  return ok((sign === '-' ? -1 : 1) * (degrees.value + minutes.value / 60) * RAD_PER_DEGREE);
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
