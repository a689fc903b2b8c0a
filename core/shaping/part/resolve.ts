import {
  no,
  ok,
  type LengthName,
  type NamedLength,
  type Result,
  type StepFault,
} from '@core/foundations/fault';
import { formulaLength, type EvaluatedRepair } from '@core/fitting/fit';
import { coordinateOf } from '@core/measuring/layout';
import { uncertaintyOf } from '@core/measuring/measure';
import { MODEL_LIMIT_MM, type Value } from '@core/record/model';
import { roundTo, tidy } from '@core/foundations/quantity';

/** Smallest length a solid is built with, mm. Below it the kernel's own tolerances blur the shape. */
export const SMALLEST_MM = 0.05;

/** Gives the length behind a chip, or says what is missing. */
export function resolveValue(
  value: Value,
  what: LengthName,
  numbers: EvaluatedRepair,
): Result<NamedLength, StepFault> {
  if (value.from === 'number') return ok({ what, tag: null, mm: value.mm });
  if (value.from === 'formula') {
    const worked = formulaLength(value.text, value.unit, numbers);
    return worked.ok ? ok({ what, tag: null, mm: tidy(worked.value) }) : no(worked.fault as StepFault);
  }
  if (value.from === 'layout') return resolvePoint(value, what, numbers);
  const found = value.from === 'size' ? numbers.sizes.get(value.id) : numbers.fits.get(value.id);
  if (!found)
    return value.from === 'size' ? no({ code: 'value.sizeGone', what }) : no({ code: 'value.fitGone', what });
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
  const standardMm = 'result' in found ? (uncertaintyOf(found.result)?.standard ?? 0) : 0;
  return ok({ what, tag, mm: working, ...(standardMm > 0 ? { standardMm } : {}) });
}

/** A coordinate of a layout's point, to a hundredth of a millimetre, which no distance is known better than. */
function resolvePoint(
  value: Extract<Value, { from: 'layout' }>,
  what: LengthName,
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

/** A point of a layout, placed. */
export interface PlacedPoint {
  label: string;
  x: NamedLength;
  y: NamedLength;
}

/** The points of a layout, placed to a hundredth as each is by itself, mm. @param what is laid out. */
export function layoutPlaces(
  id: string,
  what: LengthName,
  numbers: EvaluatedRepair,
): Result<PlacedPoint[], StepFault> {
  const found = numbers.layouts.get(id);
  if (!found) return no({ code: 'value.layoutGone', what });
  const placed: PlacedPoint[] = [];
  for (const { id: pointId, label } of found.solved.points) {
    const [x, y] = [coordinateOf(found, pointId, 'x'), coordinateOf(found, pointId, 'y')];
    if (x === null || y === null) {
      return no({ code: 'value.pointNotPlaced', what, point: label, layout: found.layout.name });
    }
    const named = (mm: number): NamedLength => ({
      what: `point ${label}`,
      tag: label,
      mm: roundTo(mm, 0.01),
    });
    placed.push({ label, x: named(x), y: named(y) });
  }
  return ok(placed);
}

/** As resolveValue, for a length that must be at least SMALLEST_MM. */
export function resolveLength(
  value: Value,
  what: LengthName,
  numbers: EvaluatedRepair,
): Result<NamedLength, StepFault> {
  return within(resolveValue(value, what, numbers), SMALLEST_MM, MODEL_LIMIT_MM);
}

/** As resolveValue, for a position, which may be zero or negative. */
export function resolvePosition(
  value: Value,
  what: LengthName,
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

/** What something stands for that may fail. */
export type Known<R> = R extends { ok: true; value: infer V } ? V : R extends undefined ? undefined : never;

/** Things that are to be known together, by name; what is left undefined stays so. Or the first fault among them. */
export function resolveAll<T extends Record<string, Result<unknown, StepFault> | undefined>>(
  wanted: T,
): Result<{ [K in keyof T]: Known<T[K]> }, StepFault> {
  const resolved: Record<string, unknown> = {};
  for (const [key, one] of Object.entries(wanted)) {
    if (one === undefined) continue;
    if (!one.ok) return one;
    resolved[key] = one.value;
  }
  return ok(resolved as { [K in keyof T]: Known<T[K]> });
}

/** As resolveAll, for each of a list. */
export function resolveEach<Item, V>(
  items: readonly Item[],
  resolve: (item: Item, index: number) => Result<V, StepFault>,
): Result<V[], StepFault> {
  const resolved: V[] = [];
  for (const [index, item] of items.entries()) {
    const one = resolve(item, index);
    if (!one.ok) return one;
    resolved.push(one.value);
  }
  return ok(resolved);
}
