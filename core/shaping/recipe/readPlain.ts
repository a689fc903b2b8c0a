import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { formulaValue, takenNumber, type EvaluatedRepair } from '@core/fitting/fit';
import { parseFormula, readTyped, tagsIn } from '@core/foundations/formula';
import { LETTERS_LIMIT, type PlainBounds, type PlainNumber, type TakenNumber } from '@core/record/model';
import { ambiguityIn, cleanTyped, type LengthUnit } from '@core/foundations/quantity';

type Numbers = Pick<EvaluatedRepair, 'sizes' | 'fits'>;

/** Reads words as they were typed for a part. */
export function readLetters(typed: string): Result<string, Fault> {
  const text = typed.trim();
  return text.length <= LETTERS_LIMIT
    ? ok(text)
    : no({ code: 'name.tooLong', what: 'these letters', length: text.length, limit: LETTERS_LIMIT });
}

/**
 * Reads an angle in degrees, a count or a factor as it was typed: a number, or a formula over sizes, which stays one.
 * @param bounds what the schema of the step allows there.
 * @param unit of bare numbers in a formula where a length is meant.
 */
export function readPlain(
  typed: string,
  bounds: PlainBounds,
  numbers: Numbers,
  unit: LengthUnit = 'mm',
): Result<PlainNumber, Fault> {
  const text = typed.trim();
  const input = bounds.quantity;
  if (text === '') return no({ code: 'plain.notRead', text, input });
  const cleaned = cleanTyped(text);
  if (input === 'angle' && !/[A-Z]/.test(text)) {
    const angle = readTyped(text, 'angle');
    if (angle.ok) return bounded(angle.value, bounds);
    if (angle.fault.code === 'angle.twoReadings') return angle;
  }
  if (!ALONE.test(cleaned)) return readFormula(text, bounds, numbers, unit);
  const number = Number(cleaned.replace(',', '.'));
  if (input === 'count' && !Number.isInteger(number)) return no({ code: 'plain.notRead', text, input });
  return bounded(number, bounds);
}

/** A number with one mark for decimals at most. */
const ALONE = /^[-+]?(?:\d+[.,]?\d*|[.,]\d+)$/;

/** What a formula gives; one over sizes is kept, and may wait for a size that is not taken yet. */
function readFormula(
  text: string,
  bounds: PlainBounds,
  numbers: Numbers,
  unit: LengthUnit,
): Result<PlainNumber, Fault> {
  const { quantity } = bounds;
  const asked = ambiguityIn(text, unit);
  if (asked) return no(asked);
  const expression = parseFormula(text);
  // Words that are neither a number nor a formula are told as what was wanted.
  if (!expression.ok) return no({ code: 'plain.notRead', text, input: quantity });
  const value: TakenNumber = { from: 'formula', text, unit };
  if (tagsIn(expression.value).length === 0) {
    const sum = formulaValue(text, unit, numbers, quantity === 'factor' ? 'count' : quantity);
    return sum.ok ? bounded(sum.value, bounds) : sum;
  }
  const found = takenNumber(value, quantity, numbers);
  if (!found.ok) return found.fault.code === 'value.sizeNotTaken' ? ok(value) : found;
  const isWithin = bounded(found.value, bounds);
  return isWithin.ok ? ok(value) : isWithin;
}

/** A bound that is typed as it is told may be so much beside it, since degrees are no round radians. */
const HAIR = 1e-9;

function bounded(value: number, { quantity, least, most }: PlainBounds): Result<number, Fault> {
  return value >= least - HAIR && value <= most + HAIR
    ? ok(Math.min(most, Math.max(least, value)))
    : no({ code: 'plain.outOfRange', input: quantity, least, most });
}
