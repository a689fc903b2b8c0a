import { no, ok, type Fault, type Result } from '@core/fault';

import { cleanTyped } from './cleanTyped';
import { parseDecimal } from './parseLength';
import { RAD_PER_DEGREE } from './quantity';

/**
 * Reads an angle: `45`, `22,5°`, `30 deg`, or degrees, minutes and seconds as `22° 30' 15"`.
 * @returns radians, or a fault.
 */
export function parseAngle(text: string): Result<number, Fault> {
  const cleaned = cleanTyped(text);
  if (cleaned === '') return no({ code: 'length.empty' });
  const parts = ANGLE.exec(cleaned);
  if (!parts) return no({ code: 'angle.notAnAngle', text });
  let degrees = 0;
  for (const [index, digits] of parts.slice(2).entries()) {
    if (digits === undefined) continue;
    const read = parseDecimal(digits, text);
    if (!read.ok) return read;
    // Sixty minutes are a degree: more are a slip.
    if (index > 0 && read.value >= 60) return no({ code: 'angle.notAnAngle', text });
    degrees += read.value / 60 ** index;
  }
  return ok((parts[1] === '-' ? -1 : 1) * degrees * RAD_PER_DEGREE);
}

const ANGLE =
  /^([-+]?) ?([\d.,]+) ?(?:°|deg|degrees?)? ?(?:([\d.,]+) ?(?:'|min))? ?(?:([\d.,]+) ?(?:"|sec))?$/i;

/** Reads a count: a whole number from 1 to 10,000. */
export function parseCount(text: string): Result<number, Fault> {
  const cleaned = cleanTyped(text);
  if (cleaned === '') return no({ code: 'length.empty' });
  if (!/^\d{1,5}$/.test(cleaned) || Number(cleaned) < 1 || Number(cleaned) > 10_000) {
    return no({ code: 'count.notACount', text });
  }
  return ok(Number(cleaned));
}
