import { no, ok, type Fault, type Result } from '@core/fault';
import { parseLength, tidy, type LengthUnit } from '@core/quantity';
import type { Instrument } from '@core/standards';

/**
 * Reads what was typed, pasted or sent as one reading of an instrument.
 * @returns the reading in mm, above zero and within the instrument's reach, or a fault.
 */
export function readReading(
  text: string,
  instrument: Instrument,
  unit: LengthUnit = 'mm',
): Result<number, Fault> {
  const length = parseLength(text, unit);
  if (!length.ok) return length;
  const mm = tidy(length.value);
  if (mm <= 0) return no({ code: 'length.notPositive', mm });
  if (mm > instrument.reachMm) {
    return no({ code: 'length.tooLong', mm, limitMm: instrument.reachMm, instrument: instrument.name });
  }
  return ok(mm);
}
