import { no, ok, type ConstructionNumber, type Fault, type Result } from '@core/foundations/fault';
import { fitOfTag, parseFormula, tagsIn, type Expression } from '@core/foundations/formula';
import type { Derivation, Size, Source } from '@core/record/model';
import type { LengthUnit } from '@core/foundations/quantity';
import { ownValue } from '@core/foundations/own';

import { impossible } from './construction';
import { constructionOf } from './constructions';
import { numericSlopes } from './propagate';

/** A formula that was read; its sizes and units are checked when it is laid on a sheet. */
export interface ReadFormula {
  by: 'formula';
  needs: readonly Size[];
  expression: Expression;
  text: string;
  unit: LengthUnit;
}

/** A construction made ready to be worked out from the values of its sizes, in the order of `needs`. */
export interface ReadyConstruction {
  by: 'construction';
  needs: readonly Size[];
  /** The value, or NaN with the reason in `fault`. */
  evaluate(values: ArrayLike<number>): number;
  /** Writes the slopes of the value by each size, at the values of the last evaluation, from place `from` on. */
  slopes(into: Float64Array, from: number): void;
  /** Why the last evaluation gave no number. */
  fault(): Fault;
}
export type Derived = ReadFormula | ReadyConstruction;

/** Finds the sizes that a derivation may use: those that are not removed, by tag or by id. */
export interface SizeFinder {
  byTag(tag: string): Size | null;
  byId(id: string): Size | null;
}

/** Reads a derivation and finds its sizes, or says what is wrong with it whatever the values are. */
export function prepareDerivation(
  size: Size,
  derivation: Derivation,
  find: SizeFinder,
): Result<Derived, Fault> {
  if (derivation.by === 'construction') return prepareConstruction(size, derivation, find);
  const { text, unit } = derivation;
  const expression = parseFormula(text);
  if (!expression.ok) return expression;
  const needs: Size[] = [];
  for (const tag of tagsIn(expression.value)) {
    if (fitOfTag(tag)) return no({ code: 'formula.fitInSize', name: tag });
    const found = find.byTag(tag);
    if (!found) return no({ code: 'formula.unknownSize', tag });
    needs.push(found);
  }
  return ok({ by: 'formula', needs, expression: expression.value, text, unit });
}

function prepareConstruction(
  size: Size,
  derivation: Extract<Derivation, { by: 'construction' }>,
  find: SizeFinder,
): Result<Derived, Fault> {
  const construction = constructionOf(derivation.construction);
  const wanted = construction?.results.find(({ key }) => key === derivation.result);
  if (!construction || !wanted) {
    return no({
      code: 'construction.notPossible',
      what: size.name,
      why: 'notKnownHere',
    });
  }
  const named = (key: string): ConstructionNumber => ({ construction: construction.id, key });
  if (wanted.quantity !== size.quantity) {
    return no({
      code: 'size.wrongQuantity',
      what: named(wanted.key),
      got: wanted.quantity,
      wanted: size.quantity,
    });
  }
  const needs: Size[] = [];
  const places: { key: string; need: number; value: number; exact: boolean }[] = [];
  for (const { key, quantity } of construction.inputs) {
    const found = findInput(ownValue(derivation.inputs, key), named(key), quantity, find);
    if (!found.ok) return found;
    const { value } = found;
    if (typeof value === 'number') places.push({ key, need: -1, value, exact: true });
    else places.push({ key, need: needs.push(value) - 1, value: 0, exact: quantity === 'count' });
  }
  let at: readonly number[] = [];
  let last: Result<number, Fault> = ok(0);
  const compute = (values: ArrayLike<number>): Result<number, Fault> => {
    const inputs: Record<string, number> = {};
    for (const { key, need, value } of places) {
      const input = need < 0 ? value : values[need]!;
      // A size that is worked out can come to nothing, or to less.
      if (!(input > 0)) return impossible(construction.id, 'notAboveZero', key);
      inputs[key] = input;
    }
    const computed = construction.compute(inputs);
    if (!computed.ok) return computed;
    const value = ownValue(computed.value, wanted.key)!;
    return Number.isFinite(value) ? ok(value) : impossible(construction.id, 'doNotGoTogether', wanted.key);
  };
  return ok({
    by: 'construction',
    needs,
    evaluate(values) {
      at = Array.from(values).slice(0, needs.length);
      last = compute(at);
      return last.ok ? last.value : Number.NaN;
    },
    slopes(into, from) {
      const slopes = numericSlopes((values) => {
        const computed = compute(values);
        return computed.ok ? computed.value : Number.NaN;
      }, at);
      // A count is exact, and between two whole numbers there is nothing to take a slope of.
      for (const { need, exact } of places) if (need >= 0 && exact) slopes[need] = 0;
      into.set(slopes, from);
    },
    fault: () =>
      last.ok
        ? { code: 'construction.notPossible', what: named(wanted.key), why: 'doNotGoTogether' }
        : last.fault,
  });
}

function findInput(
  source: Source | undefined,
  what: ConstructionNumber,
  quantity: Size['quantity'],
  find: SizeFinder,
): Result<Size | number, Fault> {
  if (!source) return no({ code: 'size.gone', what });
  if (source.from === 'number') {
    return source.value > 0
      ? ok(source.value)
      : no({ code: 'construction.notPossible', what, why: 'notAboveZero' });
  }
  const size = find.byId(source.id);
  if (!size) return no({ code: 'size.gone', what });
  if (size.quantity !== quantity) {
    return no({ code: 'size.wrongQuantity', what, got: size.quantity, wanted: quantity });
  }
  return ok(size);
}
