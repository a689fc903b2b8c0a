import fc from 'fast-check';

import { compileFormula, addFormula, listsOf, parseFormula, Sheet } from '@core/foundations/formula';

const TAGS = ['A', 'B', 'C'];
const places = { quantityOf: () => 'length' as const, placeOf: (tag: string) => TAGS.indexOf(tag) };
function expressionOf(text: string) {
  const read = parseFormula(text);
  if (!read.ok) throw new Error(read.fault.code);
  return read.value;
}
function lay(sheet: Sheet, text: string): number {
  const laid = addFormula(sheet, expressionOf(text), places, 'length', 'mm');
  if (!laid.ok) throw new Error(laid.fault.code);
  return laid.value;
}

const TEXTS = [
  '(A - B) / 2',
  'hypot(A; B) + C',
  'sqrt(A * B) - 1 mm',
  'A * cos(30°) + B * sin(30°)',
  'max(A; B; C) - min(A; B; C)',
  'A ^ 2 / B',
  'mean(A; B; C) + abs(A - B)',
];

test('many formulas on one sheet give what each gives by itself, slopes too', () => {
  const positive = fc.double({ min: 0.5, max: 100, noNaN: true });
  fc.assert(
    fc.property(
      fc.shuffledSubarray(TEXTS, { minLength: 2 }),
      positive,
      positive,
      positive,
      (texts, ...at) => {
        const sheet = new Sheet(TAGS.length);
        const numbers = texts.map((text) => lay(sheet, text));
        sheet.seal();
        sheet.values.set(at);
        for (const [index, text] of texts.entries()) {
          const alone = compileFormula(expressionOf(text), () => 'length', 'length');
          if (!alone.ok) throw new Error(alone.fault.code);
          const { tags } = alone.value;
          const value = alone.value.evaluate(tags.map((tag) => at[TAGS.indexOf(tag)]!));
          expect(sheet.evaluate(numbers[index]!)).toBe(value);
          const slopes = new Float64Array(8);
          sheet.gradient(numbers[index]!, slopes, 2);
          expect(Array.from(slopes.subarray(2, 2 + tags.length))).toEqual(Array.from(alone.value.gradient()));
        }
      },
    ),
  );
});

test.each([
  ['A + B / 2 - 3', true],
  ['-A * 2 + 4 * (B - C)', true],
  ['A * cos(30°)', true],
  ['mean(A; B)', true],
  ['A * B / C', false],
  ['A / (B / C)', false],
  ['hypot(A; 3)', false],
  ['abs(A)', false],
  ['max(A; B)', false],
])('%s: slopes are the same everywhere: %s', (text, linear) => {
  const sheet = new Sheet(TAGS.length);
  expect(sheet.isLinear(lay(sheet, text))).toBe(linear);
});

test('a formula that can’t be finished leaves no trace', () => {
  const sheet = new Sheet(TAGS.length);
  const first = lay(sheet, 'A + 1');
  expect(addFormula(sheet, expressionOf('A + B * C'), places, 'length', 'mm').ok).toBe(false);
  expect(addFormula(sheet, expressionOf('A * B'), places, 'length', 'mm').ok).toBe(false);
  const second = lay(sheet, 'B * 2');
  sheet.seal().values.set([3, 4, 5]);
  expect([sheet.evaluate(first), sheet.evaluate(second)]).toEqual([4, 8]);
});

test('each formula tells its own failure', () => {
  const sheet = new Sheet(TAGS.length);
  const [divides, roots, sound] = [
    lay(sheet, 'A * A / (B - C)'),
    lay(sheet, 'sqrt(B * B - A * A)'),
    lay(sheet, 'A + B'),
  ];
  sheet.seal().values.set([9, 4, 4]);
  expect([divides, roots, sound].map((formula) => Number.isFinite(sheet.evaluate(formula)))).toEqual([
    false,
    false,
    true,
  ]);
  expect(sheet.failure(divides)).toBe('divisionByZero');
  expect(sheet.failure(roots)).toBe('notReal');
});

test('lists of different lengths lie one after the other', () => {
  const { starts, items } = listsOf([[1, 2], [], [3]]);
  expect(Array.from(starts)).toEqual([0, 2, 2, 3]);
  expect(Array.from(items)).toEqual([1, 2, 3]);
});
