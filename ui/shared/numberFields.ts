import type { z } from 'zod';

import { readTyped } from '@core/foundations/formula';
import { sentenceOf } from '@core/reporting/wording';

type ReadNumber = { ok: true; value: number } | { ok: false; sentence: string };

/** What stands behind a number in its field. */
export interface TypedIn {
  /** mm is typed in any unit of length; all else as a number alone. */
  unit: string;
  /** What is stored of 1 as it is typed: 0.01 for a share that is typed in hundredths. */
  times?: number;
}

/** A number alone, with a mark for decimals. */
const ALONE = /^[-+−\d.,\s]*$/;

/** A number of a form as it was typed, as it is stored, or what is wrong with it. What it may be stands in its schema alone. */
export function readNumber(
  text: string,
  what: string,
  schema: z.ZodNumber,
  { unit, times = 1 }: TypedIn,
): ReadNumber {
  if (unit !== 'mm' && !ALONE.test(text)) {
    const inUnit = unit ? `, in ${unit}` : '';
    return {
      ok: false,
      sentence: `The ${what} takes only a number${inUnit}. Leave out everything but the number.`,
    };
  }
  const read = readTyped(text, 'length');
  if (!read.ok) return { ok: false, sentence: sentenceOf(read.fault) };
  // 35 % is 0.35, not what is left of 35 times a hundredth in binary.
  const value = times === 1 ? read.value : Number((read.value * times).toPrecision(12));
  if (schema.safeParse(value).success) return { ok: true, value };
  const [least, most] = [schema.minValue!, schema.maxValue!];
  const isWithin = value >= least && value <= most;
  const typed = (bound: number) => shownNumber(Number((bound / times).toPrecision(6)));
  return {
    ok: false,
    sentence:
      isWithin && schema.isInt && !Number.isInteger(value)
        ? `The ${what} must be a whole number. Change the number.`
        : schema.safeParse(least).success
          ? `The ${what} must be between ${typed(least)} and ${typed(most)}. Change the number.`
          : `The ${what} must be more than ${typed(least)} and at most ${typed(most)}. Change the number.`,
  };
}

/** As readNumber, of what a form has let pass. @throws if it has not: a number that was not read must not be kept. */
export function numberIn(text: string, schema: z.ZodNumber, typedIn: TypedIn): number {
  const read = readNumber(text, 'number', schema, typedIn);
  if (!read.ok) throw new Error(`a form let ${text} pass`);
  return read.value;
}

/** A number as it stands in a field: no more digits than it has. */
export const shownNumber = (value: number) => String(Number(value.toFixed(6)));
