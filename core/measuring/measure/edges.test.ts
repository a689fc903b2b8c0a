import { evaluateSizes } from '@core/fitting/fit';
import { uncertaintyOf } from '@core/measuring/measure';
import { lotsOf } from '@core/fitting/rehearsal';
import { RepairDraft } from '@core/testing/repairDraft';

/** A size worked out of two readings each of A and B, with its standard uncertainty; and those of A and B. */
function derived(text: string, a: string[], b: string[], quantity: 'length' | 'angle' = 'length') {
  const { repair } = new RepairDraft('x').measured('A', 'First', a).measured('B', 'Second', b);
  const size = {
    ...repair.sizes[0]!,
    id: 'c',
    tag: 'C',
    kind: 'derived' as const,
    quantity,
    derivation: { by: 'formula' as const, text, unit: 'mm' as const },
  };
  const sizes = evaluateSizes({ ...repair, sizes: [...repair.sizes, size] });
  const doubt = (id: string) => uncertaintyOf(sizes.get(id)!.result)?.standard ?? NaN;
  const [first, second] = repair.sizes.map(({ id }) => doubt(id));
  return { standard: doubt('c'), first: first!, second: second! };
}

test.each([
  ['sqrt(A^2 - B^2)', 'length', (a: number, b: number) => Math.sqrt(Math.max(0, a * a - b * b))],
  ['acos(A / B)', 'angle', (a: number, b: number) => Math.acos(Math.min(1, a / b))],
  ['abs(A - B)', 'length', (a: number, b: number) => Math.abs(a - b)],
] as const)(
  '%s at A = B has a doubt about as large as sizes drawn at random give, and no NaN',
  (text, quantity, of) => {
    const { standard, first, second } = derived(text, ['10.00', '10.00'], ['10.00', '10.00'], quantity);
    const { normal } = lotsOf(3);
    let squares = 0;
    const tries = 20_000;
    for (let count = 0; count < tries; count += 1)
      squares += of(10 + first * normal(), 10 + second * normal()) ** 2;
    const drawn = Math.sqrt(squares / tries);
    expect(standard).toBeGreaterThan(0.5 * drawn);
    expect(standard).toBeLessThan(2 * drawn);
  },
);

test('away from its edge the first order stands', () => {
  const { standard } = derived('sqrt(A^2 - B^2)', ['13.00', '13.01'], ['5.00', '5.00']);
  expect(standard).toBeGreaterThan(0.005);
  expect(standard).toBeLessThan(0.05);
});
