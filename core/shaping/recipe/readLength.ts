import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { formulaLength, type EvaluatedRepair } from '@core/fitting/fit';
import { MODEL_LIMIT_MM, numberValue, type Value } from '@core/record/model';
import { ambiguityIn, parseLength, tidy, type LengthUnit } from '@core/foundations/quantity';

type Numbers = Pick<EvaluatedRepair, 'sizes' | 'fits'>;

/** A number of a step as it was typed, and what it comes to, mm; null while a size that it takes is still to be taken. */
export interface TypedLength {
  value: Value;
  mm: number | null;
}

/**
 * Reads a length of a step as it was typed: a number, a sum or a formula over sizes, which stays one.
 *
 * @param unit of bare numbers.
 */
export function readLengthValue(
  typed: string,
  unit: LengthUnit,
  numbers: Numbers,
): Result<TypedLength, Fault> {
  const text = typed.trim();
  const asked = ambiguityIn(text, unit);
  if (asked) return no(asked);
  const plain = parseLength(text, unit);
  const length = plain.ok ? plain : formulaLength(text, unit, numbers);
  // A formula over a size that is not taken yet is right; its value will follow.
  const waits = !length.ok && length.fault.code === 'value.sizeNotTaken';
  if (!length.ok && !waits) {
    const isFormula = /[A-Z+*/()]/.test(text);
    return no(isFormula || plain.ok ? length.fault : plain.fault);
  }
  const mm = length.ok ? tidy(length.value) : null;
  if (mm !== null && Math.abs(mm) > MODEL_LIMIT_MM)
    return no({ code: 'length.tooLarge', mm, limitMm: MODEL_LIMIT_MM });
  return ok({ value: plain.ok ? numberValue(mm!) : { from: 'formula', text, unit }, mm });
}
