import { no, ok, type Fault, type Result, type StepFault } from '@core/foundations/fault';
import {
  isTaken,
  plainFieldsOf,
  type PlainField,
  type PlainQuantity,
  type SettledStep,
  type Step,
  type TakenNumber,
} from '@core/record/model';
import { ownValue } from '@core/foundations/own';

import { formulaValue, type EvaluatedRepair } from './evaluateRepair';

type Numbers = Pick<EvaluatedRepair, 'sizes' | 'fits'>;

/** What a count may be off a whole number, since it went through a formula: less is rounding of the machine's own. */
const WHOLE_TO = 1e-9;

/** An angle (radians), a count or a factor that is taken from a size or a formula; a count is whole. */
export function takenNumber(
  value: TakenNumber,
  quantity: PlainQuantity,
  numbers: Numbers,
): Result<number, Fault> {
  const wanted = quantity === 'factor' ? 'count' : quantity;
  const found = valueOf(value, wanted, numbers);
  if (!found.ok || quantity !== 'count') return found;
  const whole = Math.round(found.value);
  return Math.abs(found.value - whole) <= WHOLE_TO
    ? ok(whole)
    : no({ code: 'plain.notWhole', got: found.value });
}

function valueOf(value: TakenNumber, wanted: 'angle' | 'count', numbers: Numbers): Result<number, Fault> {
  if (value.from === 'formula') return formulaValue(value.text, value.unit, numbers, wanted);
  const found = numbers.sizes.get(value.id);
  if (!found) return no({ code: 'value.sizeGone', what: wanted });
  const { worked } = found;
  if (!worked.ok) {
    return no(
      worked.fault ?? { code: 'value.sizeNotTaken', what: wanted, tag: worked.tag, name: worked.name },
    );
  }
  const { quantity, working } = worked.trail;
  return quantity === wanted
    ? ok(working)
    : no({ code: 'size.wrongQuantity', what: wanted, got: quantity, wanted });
}

/** A step with its angles, counts and factors as numbers, each within its bounds; or what is wrong with the first. */
export function settledStep(step: Step, numbers: Numbers): Result<SettledStep, StepFault> {
  let settled: object = step;
  for (const field of plainFieldsOf(step)) {
    if (!isTaken(field.value)) continue;
    const found = settledField(field, field.value, numbers);
    if (!found.ok) return no(found.fault as StepFault);
    settled = withNumberAt(settled, field.path.split('.'), found.value) as object;
  }
  return ok(settled as SettledStep);
}

function settledField(
  { quantity, least, most, path }: PlainField,
  value: TakenNumber,
  numbers: Numbers,
): Result<number, Fault> {
  const found = takenNumber(value, quantity, numbers);
  if (!found.ok) return found;
  const got = found.value;
  // Written so that NaN fails too.
  if (got >= least && got <= most) return found;
  return no({ code: 'plain.outOfRange', input: quantity, least, most, path, got });
}

function withNumberAt(at: unknown, [key, ...rest]: readonly string[], value: number): unknown {
  if (key === undefined) return value;
  const inside = withNumberAt(ownValue(at as Record<string, unknown>, key), rest, value);
  return Array.isArray(at)
    ? at.map((one: unknown, index) => (index === Number(key) ? inside : one))
    : { ...(at as object), [key]: inside };
}
