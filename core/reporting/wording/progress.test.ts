import { lackWords, nextThingWords } from '@core/reporting/wording';

test.each<[Parameters<typeof nextThingWords>[0], string]>([
  [{ do: 'sayWhatToMeasure' }, 'Say what to measure'],
  [{ do: 'takeSizes', taken: 1, of: 2 }, '1 of 2 sizes taken'],
  [{ do: 'freezeFirst' }, 'Freeze revision A and make it'],
  [{ do: 'makeFrozen', letter: 'A' }, 'Revision A is frozen'],
  [{ do: 'freezeChanges', letter: 'A' }, 'Changed since revision A'],
  [{ do: 'takeNextNumbers', letter: 'B' }, 'Revision B is tried: take the next numbers'],
  [{ do: 'nothingItFits', letter: 'B' }, 'Revision B is right'],
])('the next thing %j', (next, words) => expect(nextThingWords(next)).toBe(words));

test('what a stage lacks; nothing where nothing is missing', () => {
  expect(lackWords({ toTake: 3 })).toBe('3 to take');
  expect(lackWords('fit')).toBe('no fit yet');
  expect(lackWords(null)).toBe('');
});
