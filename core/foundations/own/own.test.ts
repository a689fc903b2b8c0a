import { ownValue } from '@core/foundations/own';

test('what an object holds itself is found, and nothing that all objects have', () => {
  const words: Record<string, string> = { bore: 'Bore', ['']: 'nothing' };
  expect(ownValue(words, 'bore')).toBe('Bore');
  expect(ownValue(words, '')).toBe('nothing');
  for (const key of ['constructor', '__proto__', 'toString', 'hasOwnProperty', 'peg'])
    expect(ownValue(words, key)).toBeUndefined();
  const known = JSON.parse('{"__proto__": "of its own"}') as Record<string, string>;
  expect(ownValue(known, '__proto__')).toBe('of its own');
});
