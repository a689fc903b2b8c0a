import { no, ok, type Fault, type Result } from '@core/fault';
import { compileFormula, parseFormula, type Program } from '@core/formula';
import type { Derivation, Size, Source } from '@core/model';

import { constructionOf } from './constructions';
import { numericSlopes } from './propagate';

/** A derivation made ready: the sizes it needs, and how to work it out from their values, in that order. */
export interface Derived {
  needs: readonly Size[];
  /** The value, or NaN with the reason in `fault`. */
  evaluate(values: ArrayLike<number>): number;
  /** Slopes of the value by each size, at the values of the last evaluation. */
  slopes(): ArrayLike<number>;
  /** Why the last evaluation gave no number. */
  fault(): Fault;
}

/** Finds the sizes that a derivation may use: those that are not removed, by tag or by id. */
export interface SizeFinder {
  byTag(tag: string): Size | null;
  byId(id: string): Size | null;
}

/** Makes a derivation ready, or says what is wrong with it whatever the values are. */
export function prepareDerivation(
  size: Size,
  derivation: Derivation,
  find: SizeFinder,
): Result<Derived, Fault> {
  return derivation.by === 'formula'
    ? prepareFormula(size, derivation, find)
    : prepareConstruction(size, derivation, find);
}

function prepareFormula(
  size: Size,
  { text, unit }: Extract<Derivation, { by: 'formula' }>,
  find: SizeFinder,
): Result<Derived, Fault> {
  const expression = parseFormula(text);
  if (!expression.ok) return expression;
  const compiled = compileFormula(
    expression.value,
    (tag) => find.byTag(tag)?.quantity ?? null,
    size.quantity,
    unit,
  );
  if (!compiled.ok) return compiled;
  const { tags, tape }: Program = compiled.value;
  return ok({
    needs: tags.map((tag) => find.byTag(tag)!),
    evaluate: (values) => tape.evaluate(values),
    slopes: () => tape.gradient(),
    fault: () => ({ code: `formula.${tape.failure()}`, text }),
  });
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
      why: 'it was made by a construction that is not known here',
    });
  }
  if (wanted.quantity !== size.quantity) {
    return no({
      code: 'size.wrongQuantity',
      what: wanted.what,
      got: wanted.quantity,
      wanted: size.quantity,
    });
  }
  const needs: Size[] = [];
  const places: { key: string; need: number; value: number; exact: boolean }[] = [];
  for (const { key, what, quantity } of construction.inputs) {
    const found = findInput(derivation.inputs[key], what, quantity, find);
    if (!found.ok) return found;
    const { value } = found;
    if (typeof value === 'number') places.push({ key, need: -1, value, exact: true });
    else places.push({ key, need: needs.push(value) - 1, value: 0, exact: quantity === 'count' });
  }
  let at: readonly number[] = [];
  let last: Result<number, Fault> = ok(0);
  const compute = (values: ArrayLike<number>): Result<number, Fault> => {
    const inputs: Record<string, number> = {};
    for (const { key, need, value } of places) inputs[key] = need < 0 ? value : values[need]!;
    const computed = construction.compute(inputs);
    if (!computed.ok) return computed;
    const value = computed.value[wanted.key]!;
    return Number.isFinite(value)
      ? ok(value)
      : no({ code: 'construction.notPossible', what: wanted.what, why: 'the numbers do not go together' });
  };
  return ok({
    needs,
    evaluate(values) {
      at = Array.from(values).slice(0, needs.length);
      last = compute(at);
      return last.ok ? last.value : Number.NaN;
    },
    slopes() {
      const slopes = numericSlopes((values) => {
        const computed = compute(values);
        return computed.ok ? computed.value : Number.NaN;
      }, at);
      // A count is exact, and between two whole numbers there is nothing to take a slope of.
      for (const { need, exact } of places) if (need >= 0 && exact) slopes[need] = 0;
      return slopes;
    },
    fault: () => (last.ok ? { code: 'formula.notReal', text: construction.name } : last.fault),
  });
}

function findInput(
  source: Source | undefined,
  what: string,
  quantity: Size['quantity'],
  find: SizeFinder,
): Result<Size | number, Fault> {
  if (!source) return no({ code: 'size.gone', what });
  if (source.from === 'number') {
    return source.value > 0
      ? ok(source.value)
      : no({ code: 'construction.notPossible', what, why: 'it must be more than zero' });
  }
  const size = find.byId(source.id);
  if (!size) return no({ code: 'size.gone', what });
  if (size.quantity !== quantity) {
    return no({ code: 'size.wrongQuantity', what, got: size.quantity, wanted: quantity });
  }
  return ok(size);
}
