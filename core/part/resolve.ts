import { no, ok, type NamedLength, type Result, type StepFault } from '@core/fault';
import { formulaLength, type EvaluatedRepair } from '@core/fit';
import { coordinateOf } from '@core/layout';
import { MODEL_LIMIT_MM, type Value } from '@core/model';
import { roundTo, tidy } from '@core/quantity';

/** Smallest length a solid is built with, mm. Below it the kernel's own tolerances blur the shape. */
export const SMALLEST_MM = 0.05;

/** Gives the length behind a chip, or says what is missing. `what` names it in sentences: 'bore', 'width'. */
export function resolveValue(
  value: Value,
  what: string,
  numbers: EvaluatedRepair,
): Result<NamedLength, StepFault> {
  if (value.from === 'number') return ok({ what, tag: null, mm: value.mm });
  if (value.from === 'formula') {
    const worked = formulaLength(value.text, value.unit, numbers);
    return worked.ok ? ok({ what, tag: null, mm: tidy(worked.value) }) : no(worked.fault as StepFault);
  }
  if (value.from === 'layout') return resolvePoint(value, what, numbers);
  const found = value.from === 'size' ? numbers.sizes.get(value.id) : numbers.fits.get(value.id);
  if (!found) return no({ code: value.from === 'size' ? 'value.sizeGone' : 'value.fitGone', what });
  const { worked } = found;
  if (!worked.ok) {
    return no(
      (worked.fault as StepFault | null) ?? {
        code: 'value.sizeNotTaken',
        what,
        tag: worked.tag,
        name: worked.name,
      },
    );
  }
  const { quantity, tag, working } = worked.trail;
  if (quantity !== 'length') return no({ code: 'size.wrongQuantity', what, got: quantity, wanted: 'length' });
  return ok({ what, tag, mm: working });
}

/** A coordinate of a layout's point, to a hundredth of a millimetre, which no distance is known better than. */
function resolvePoint(
  value: Extract<Value, { from: 'layout' }>,
  what: string,
  numbers: EvaluatedRepair,
): Result<NamedLength, StepFault> {
  const found = numbers.layouts.get(value.id);
  const point = found?.solved.points.find(({ id }) => id === value.point);
  if (!found || !point) return no({ code: 'value.layoutGone', what });
  const mm = coordinateOf(found, value.point, value.axis);
  if (mm === null) {
    return no({ code: 'value.pointNotPlaced', what, point: point.label, layout: found.layout.name });
  }
  return ok({ what, tag: point.label, mm: roundTo(mm, 0.01) });
}

/** The points of a layout, placed to a hundredth as each is by itself: `xP` and `yP` for the point labelled P, mm. @param what is laid out. */
export function layoutPlaces(
  id: string,
  what: string,
  numbers: EvaluatedRepair,
): Result<Record<string, NamedLength>, StepFault> {
  const found = numbers.layouts.get(id);
  if (!found) return no({ code: 'value.layoutGone', what });
  const lengths: Record<string, NamedLength> = {};
  for (const point of found.solved.points) {
    for (const axis of ['x', 'y'] as const) {
      const mm = coordinateOf(found, point.id, axis);
      if (mm === null) {
        return no({ code: 'value.pointNotPlaced', what, point: point.label, layout: found.layout.name });
      }
      const rounded = roundTo(mm, 0.01);
      lengths[`${axis}${point.label}`] = { what: `point ${point.label}`, tag: point.label, mm: rounded };
    }
  }
  return ok(lengths);
}

/** As resolveValue, for a length that must be at least SMALLEST_MM. */
export function resolveLength(
  value: Value,
  what: string,
  numbers: EvaluatedRepair,
): Result<NamedLength, StepFault> {
  return within(resolveValue(value, what, numbers), SMALLEST_MM, MODEL_LIMIT_MM);
}

/** As resolveValue, for a position, which may be zero or negative. */
export function resolvePosition(
  value: Value,
  what: string,
  numbers: EvaluatedRepair,
): Result<NamedLength, StepFault> {
  return within(resolveValue(value, what, numbers), -MODEL_LIMIT_MM, MODEL_LIMIT_MM);
}

function within(
  length: Result<NamedLength, StepFault>,
  minMm: number,
  maxMm: number,
): Result<NamedLength, StepFault> {
  if (!length.ok) return length;
  const { mm } = length.value;
  // Written so that NaN fails too.
  if (mm >= minMm && mm <= maxMm) return length;
  return no({ code: 'value.outOfRange', length: length.value, minMm, maxMm });
}

/** The numbers of a step by name, or the first fault among them. */
export function resolveAll<K extends string>(
  lengths: Record<K, Result<NamedLength, StepFault>>,
): Result<Record<K, NamedLength>, StepFault> {
  const resolved = {} as Record<K, NamedLength>;
  for (const key of Object.keys(lengths) as K[]) {
    const length = lengths[key];
    if (!length.ok) return length;
    resolved[key] = length.value;
  }
  return ok(resolved);
}
