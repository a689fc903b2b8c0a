import { CONSTRUCTIONS } from '@core/measuring/measure';

import { constructionName, constructionWords, numberWords } from './constructions';
import { sentenceOf } from './faults';

test.each(CONSTRUCTIONS.map((one) => [one.id, one] as const))(
  '%s has a name, a sentence on when it helps, and words for each number, told apart',
  (id, { inputs, results }) => {
    const { name, when, numbers } = constructionWords(id);
    expect(name).toMatch(/^[A-Z]/);
    expect(when).toMatch(/^[A-Z].*\.$/);
    const words = [...inputs, ...results].map(({ key }) => numbers[key]);
    expect(words).not.toContain(undefined);
    expect(new Set(words).size).toBe(words.length);
    // And none for what it has not.
    const known = new Set(['itself', ...[...inputs, ...results].map(({ key }) => key)]);
    expect(Object.keys(numbers).filter((key) => !known.has(key))).toEqual([]);
  },
);

test('a number of a construction is told by its words, what a person named as it is', () => {
  expect(numberWords({ construction: 'taper', key: 'wide' })).toBe('wide diameter');
  expect(numberWords('left lug')).toBe('left lug');
  expect(constructionName('taper')).toBe('Taper');
  expect(constructionName('from-a-later-program')).toBeNull();
  // Names that every object has.
  expect(constructionName('constructor')).toBeNull();
  expect(numberWords('toString')).toBe('toString');
});

test('what can’t be worked out is said with its number and the reason', () =>
  expect(
    sentenceOf({
      code: 'construction.notPossible',
      what: { construction: 'wall', key: 'result' },
      why: 'outsideNotMoreThanInside',
    }),
  ).toBe(
    'The wall can’t be worked out: the outside must be more than the inside. Check the numbers that go in.',
  ));
