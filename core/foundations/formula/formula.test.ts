import fc from 'fast-check';

import { compileFormula, parseFormula, readTyped, tagsIn } from '@core/foundations/formula';
import type { Quantity } from '@core/foundations/quantity';

const QUANTITIES: Record<string, Quantity> = { A: 'length', B: 'length', C: 'angle', N: 'count' };

function program(text: string, wanted: Quantity = 'length') {
  const expression = parseFormula(text);
  if (!expression.ok) throw new Error(expression.fault.code);
  return compileFormula(expression.value, (tag) => QUANTITIES[tag] ?? null, wanted);
}
function value(text: string, values: Record<string, number> = {}, wanted: Quantity = 'length'): number {
  const compiled = program(text, wanted);
  if (!compiled.ok) throw new Error(compiled.fault.code);
  return compiled.value.evaluate(compiled.value.tags.map((tag) => values[tag]!));
}
function faultOf(text: string, wanted: Quantity = 'length'): string | null {
  const expression = parseFormula(text);
  if (!expression.ok) return expression.fault.code;
  const compiled = compileFormula(expression.value, (tag) => QUANTITIES[tag] ?? null, wanted);
  return compiled.ok ? null : compiled.fault.code;
}

describe('sums as they are typed', () => {
  test.each([
    ['12.4/2', 6.2],
    ['31 - 2*3', 25],
    ['38/2', 19],
    ['31 − 2 × 3', 25],
    ['12,4 ÷ 2', 6.2],
    ['1 3/16 in + 2 mm', 32.1625],
    ['1/2 in', 12.7],
    ['2 * (3 + 4)', 14],
    ['3cm - 5', 25],
    ['38.2', 38.2],
    ['25.4 + 0.5"', 38.1],
  ])('%j is %d mm', (text, mm) => {
    const read = readTyped(text, 'length');
    expect(read).toMatchObject({ ok: true });
    expect(read.ok && read.value).toBeCloseTo(mm, 9);
  });

  test('bare numbers are in the person’s own unit, factors are not', () => {
    expect(readTyped('1 + 1/2', 'length', 'in')).toMatchObject({ value: 38.1 });
    expect(readTyped('3 * 0.5', 'length', 'in')).toMatchObject({ value: 38.1 });
    const angle = readTyped('30 + 15', 'angle');
    expect(angle.ok && angle.value).toBeCloseTo(Math.PI / 4, 12);
    expect(readTyped('24 / 2', 'count')).toEqual({ ok: true, value: 12 });
  });

  test.each([
    ['3/16', 'length.fractionNeedsInch'],
    ['1 3/16', 'length.twoReadings'],
    ['5/(2-2)', 'formula.divisionByZero'],
    ['sqrt(2-3)', 'formula.notReal'],
    ['2 +', 'length.notANumber'],
    ['alert(1)', 'formula.unknownWord'],
    ['A + 1', 'formula.unknownSize'],
    ['constructor(1)', 'formula.unknownWord'],
    ['', 'length.empty'],
  ])('%j is refused as %s', (text, code) => {
    expect(readTyped(text, 'length')).toMatchObject({ ok: false, fault: { code } });
  });

  test.each(['3 - 5', '7 / 2', '200 * 100', '4 - 4'])('%j is no count', (text) =>
    expect(readTyped(text, 'count')).toMatchObject({ ok: false, fault: { code: 'count.notACount' } }),
  );

  test('only arithmetic can stand in a formula', () => {
    for (const text of ['x = 3', 'f(x) = x', '[1,2]', '"text"', 'A.b', '3 % 2', 'A!', '1:3', 'a ? b : c']) {
      expect(parseFormula(text).ok).toBe(false);
    }
  });

  test('never throws, whatever is typed', () => {
    fc.assert(fc.property(fc.string({ maxLength: 40 }), (text) => void readTyped(text, 'length')));
  });
});

describe('formulas over sizes', () => {
  test('use tags, functions and units', () => {
    expect(value('(A - B) / 2', { A: 10, B: 4 })).toBe(3);
    expect(value('hypot(A; B)', { A: 3, B: 4 })).toBe(5);
    expect(value('A * sin(C)', { A: 10, C: Math.PI / 6 })).toBeCloseTo(5, 12);
    expect(value('atan(A / B)', { A: 1, B: 1 }, 'angle')).toBeCloseTo(Math.PI / 4, 12);
    expect(value('A * sin(30)', { A: 10 })).toBeCloseTo(5, 12);
    expect(value('mean(A; B; 6)', { A: 1, B: 2 })).toBe(3);
    expect(value('A / N', { A: 12, N: 8 })).toBe(1.5);
    expect(value('sqrt(A^2 + B^2)', { A: 3, B: 4 })).toBeCloseTo(5, 12);
    const expression = parseFormula('A + B / A');
    expect(expression.ok && tagsIn(expression.value)).toEqual(['A', 'B']);
  });

  test.each([
    ['A + C', 'length', 'formula.mixedUnits'],
    ['A + A / B', 'length', 'formula.mixedUnits'],
    ['A * B', 'length', 'formula.wrongResult'],
    ['A / B', 'length', 'formula.wrongResult'],
    ['sin(A)', 'count', 'formula.mixedUnits'],
    ['A ^ B', 'length', 'formula.powerNotPlain'],
    ['D / 2', 'length', 'formula.unknownSize'],
    ['A + twelve', 'length', 'formula.unknownWord'],
    ['A(2)', 'length', 'formula.notRead'],
    ['max(A)', 'length', 'formula.notRead'],
    [' ', 'length', 'formula.empty'],
    [`A${' + 1'.repeat(80)}`, 'length', 'formula.tooLong'],
  ] as const)('%j as %s is refused as %s', (text, wanted, code) => expect(faultOf(text, wanted)).toBe(code));

  test('slopes agree with central differences', () => {
    const formulas = [
      '(A - B) / 2 + A * B / (A + B)',
      'sqrt(A^2 + B^2) - A / 3',
      'A * sin(C) + B * cos(C) * tan(C)',
      'hypot(A; B) + max(A; 2 * B) - min(A; B) + abs(B - 3 * A)',
      'A * atan(A / B) / C',
      'A * asin(B / (2 * A + B)) / C + A * acos(A / (A + B)) / C',
    ];
    const positive = fc.double({ min: 0.5, max: 50, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...formulas), positive, positive, (text, a, b) => {
        const compiled = program(text);
        if (!compiled.ok) throw new Error(compiled.fault.code);
        const formula = compiled.value;
        const { tags } = formula;
        const at = tags.map((tag) => ({ A: a, B: b, C: 0.7 })[tag]!);
        formula.evaluate(at);
        const slopes = Array.from(formula.gradient());
        for (const [index, slope] of slopes.entries()) {
          const step = 1e-6;
          const moved = (by: number) => formula.evaluate(at.map((v, k) => (k === index ? v + by : v)));
          const [left, right, middle] = [moved(-step), moved(step), moved(0)];
          // At a kink the two sides differ; there one of them is given.
          if (Math.abs(right - 2 * middle + left) > 1e-8) continue;
          expect(slope).toBeCloseTo((right - left) / (2 * step), 4);
        }
      }),
    );
  });

  test('the first thing that went wrong is named', () => {
    const compiled = program('sqrt(A * A - B * B) + A * A / (B - B)');
    if (!compiled.ok) throw new Error('not compiled');
    const formula = compiled.value;
    expect(Number.isFinite(formula.evaluate([2, 3]))).toBe(false);
    expect(formula.failure()).toBe('notReal');
    expect(Number.isFinite(formula.evaluate([3, 2]))).toBe(false);
    expect(formula.failure()).toBe('divisionByZero');
  });
});
