import { parseLength } from '@core/quantity';
import { sentenceOf } from '@core/wording';

/** A number of a form as it was typed, or what is wrong with it. Limits are part of what is asked. */
export function readNumber(
  text: string,
  what: string,
  { min, max }: { min: number; max: number },
): { ok: true; value: number } | { ok: false; sentence: string } {
  const read = parseLength(text);
  if (!read.ok) return { ok: false, sentence: sentenceOf(read.fault) };
  if (read.value < min || read.value > max) {
    return { ok: false, sentence: `The ${what} must be between ${min} and ${max}. Change the number.` };
  }
  return read;
}

/** A number as it stands in a field: no more digits than it has. */
export const shownNumber = (value: number) => String(Number(value.toFixed(6)));
