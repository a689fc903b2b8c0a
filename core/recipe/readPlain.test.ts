import { readPlain } from '@core/recipe';
import { sentenceOf } from '@core/wording';

const read = (...given: Parameters<typeof readPlain>) => {
  const result = readPlain(...given);
  return result.ok ? result.value : sentenceOf(result.fault);
};

test('angles come in degrees and go into a step in radians', () => {
  expect(read('angle', '90', 'turn')).toBeCloseTo(Math.PI / 2, 12);
  expect(read('angle', ' −30° ', 'turn')).toBeCloseTo(-Math.PI / 6, 12);
  expect(read('angle', '22,5', 'tilt')).toBeCloseTo(Math.PI / 8, 12);
});

test('counts are whole, factors need not be', () => {
  expect(read('count', '12', 'pattern.count')).toBe(12);
  expect(read('count', '2.5', 'pattern.count')).toBe('“2.5” is not a whole number. Type one, such as 12.');
  expect(read('factor', '1,015', 'scale')).toBe(1.015);
});

test('what a step would not take is told with its bounds', () => {
  expect(read('count', '1', 'pattern.count')).toBe('This must be between 2 and 200. Change the number.');
  expect(read('angle', '90', 'outline.pressure')).toBe(
    'This must be between 11° and 34°. Change the number.',
  );
  expect(read('angle', 'steep', 'turn')).toBe('“steep” is not an angle in degrees. Type one, such as 12.');
  expect(read('factor', '', 'scale')).toContain('is not a number');
});

test('letters are taken as they are, up to what a part has room for', () => {
  expect(read('words', ' REV B ', 'text')).toBe('REV B');
  expect(read('words', 'x'.repeat(41), 'text')).toContain('41 characters');
});
