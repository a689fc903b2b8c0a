import { evaluateRepair } from '@core/fitting/fit';
import { rackWheel } from '@core/testing/repairDraft';

import { readLengthValue } from './readLength';

const numbers = evaluateRepair(rackWheel());

test.each([
  ['12.5', { from: 'number', mm: 12.5 }, 12.5],
  ['1/4 in', { from: 'number', mm: 6.35 }, 6.35],
  // A is 38.20 across, C 8.00 wide.
  ['A / 2 + 3', { from: 'formula', text: 'A / 2 + 3', unit: 'mm' }, 22.1],
])('%s is read, and kept as it was meant', (text, value, mm) => {
  const read = readLengthValue(text, 'mm', numbers);
  expect(read).toMatchObject({ ok: true, value: { value } });
  expect((read as { value: { mm: number } }).value.mm).toBeCloseTo(mm, 6);
});

test('a formula over a size that is still to be taken is kept, and comes to nothing yet', () => {
  const repair = rackWheel();
  repair.readings = repair.readings.filter(({ sizeId }) => sizeId !== 'a');
  const read = readLengthValue('A / 4', 'mm', evaluateRepair(repair));
  expect(read).toMatchObject({ ok: true, value: { value: { from: 'formula' }, mm: null } });
});

test.each([
  ['', 'length.empty'],
  ['9000', 'length.tooLarge'],
  ['1,234', 'length.twoReadings'],
  ['A * C', 'formula.wrongResult'],
])('%s is refused', (text, code) => {
  expect(readLengthValue(text, 'mm', numbers)).toMatchObject({ ok: false, fault: { code } });
});
