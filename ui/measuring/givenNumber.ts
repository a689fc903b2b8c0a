import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { readTyped } from '@core/foundations/formula';
import type { LengthUnit, Quantity } from '@core/foundations/quantity';
import { MODEL_LIMIT_MM } from '@core/record/model';

import { problemOf, type Problem } from '../shared/problem';

/** A number that is given: positive and no larger than anything made here. */
export function readGiven(text: string, quantity: Quantity, unit: LengthUnit): Result<number, Fault> {
  const read = readTyped(text, quantity, unit);
  if (!read.ok) return read;
  if (quantity === 'angle') {
    return read.value > 0 && read.value < 2 * Math.PI ? read : no({ code: 'angle.outOfRange', text });
  }
  if (read.value <= 0) return no({ code: 'length.notPositive', mm: read.value });
  if (quantity === 'length' && read.value > MODEL_LIMIT_MM) {
    return no({ code: 'length.tooLarge', mm: read.value, limitMm: MODEL_LIMIT_MM });
  }
  return ok(read.value);
}

/** What is wrong with a number that is given, with the readings that may be chosen. */
export function givenProblem(text: string, quantity: Quantity, unit: LengthUnit, message = ''): Problem {
  const given = readGiven(text, quantity, unit);
  return given.ok ? { sentence: message, readings: [] } : problemOf(given.fault);
}
