import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { readTyped } from '@core/foundations/formula';
import type { Instrument } from '@core/record/model';
import type { LengthUnit } from '@core/foundations/quantity';

/**
 * Reads what was typed, pasted or sent as one reading of an instrument; sums are worked out.
 * @param unit unit of a number without one; the instrument's own display unless the person set another.
 * @returns the reading in mm or radians, above zero and within the instrument's reach, or a fault.
 */
export function readReading(
  text: string,
  instrument: Instrument,
  unit: LengthUnit = instrument.shows === 'in' ? 'in' : 'mm',
): Result<number, Fault> {
  const read = readTyped(text, instrument.quantity, unit);
  if (!read.ok) return read;
  const { value } = read;
  if (instrument.quantity === 'angle') {
    return value > 0 && value <= instrument.reach ? ok(value) : no({ code: 'angle.outOfRange', text });
  }
  if (value <= 0) return no({ code: 'length.notPositive', mm: value });
  if (value > instrument.reach) {
    return no({ code: 'length.tooLong', mm: value, limitMm: instrument.reach, instrument: instrument.name });
  }
  return ok(value);
}
