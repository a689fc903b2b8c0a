import type { Annotation } from '@core/shaping/part';

import { fewSizes } from './fewSizes';

const size = (stepId: string, from: 'fit' | 'size' | 'number') =>
  ({
    stepId,
    value: from === 'number' ? { from, mm: 1 } : { from, id: `${stepId}-${from}` },
  }) as Annotation;
const ALL = [
  size('a', 'number'),
  size('a', 'size'),
  size('b', 'number'),
  size('b', 'fit'),
  size('c', 'size'),
];

test('the step that is worked on shows its own sizes, and they alone', () => {
  expect(fewSizes(ALL, 'b', 2)).toEqual([ALL[2], ALL[3]]);
});

test('otherwise those of fits and sizes come first, in the order of the recipe', () => {
  expect(fewSizes(ALL, null, 3)).toEqual([ALL[1], ALL[3], ALL[4]]);
  expect(fewSizes(ALL, null, Infinity)).toEqual(ALL);
  // One size that two steps are made by is shown once.
  const twice = { ...ALL[1]!, stepId: 'd' };
  expect(fewSizes([...ALL, twice], null, 4)).toEqual([ALL[0], ALL[1], ALL[3], ALL[4]]);
  // A step without a size of its own on the picture takes none away.
  expect(fewSizes(ALL, 'gone', 2)).toEqual([ALL[1], ALL[3]]);
});
