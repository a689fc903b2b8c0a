import { MOST_ROOTS, rootSetsOf } from './rootSets';

const listAt = ({ starts, items }: { starts: Int32Array; items: Int32Array }, index: number) =>
  Array.from(items.subarray(starts[index], starts[index + 1]));

test('roots are gathered through all that lies between, each once and in order', () => {
  // 0 and 1 are measured; 2 uses 1; 3 uses 2 and 0; 4 uses 3 and 2.
  const sets = rootSetsOf([[], [], [1], [2, 0], [3, 2]], (rank) => rank < 2);
  expect([0, 1, 2, 3, 4].map((rank) => listAt(sets.roots, rank))).toEqual([[0], [1], [1], [0, 1], [0, 1]]);
  // Needs in order: 2←1, 3←2, 3←0, 4←3, 4←2, and where their roots stand in the user's list.
  expect([0, 1, 2, 3, 4].map((need) => listAt(sets.places, need))).toEqual([[0], [1], [0], [0, 1], [1]]);
  expect(sets.tooMany).toEqual([]);
});

test('a size that rests on too many is told, and those that use it are not dragged along', () => {
  const count = MOST_ROOTS + 1;
  const measured = Array.from({ length: count }, () => [] as number[]);
  const all = Array.from({ length: count }, (_, rank) => rank);
  const sets = rootSetsOf([...measured, all, [count]], (rank) => rank < count);
  expect(sets.tooMany).toEqual([count]);
  expect(listAt(sets.roots, count)).toEqual([]);
  expect(listAt(sets.roots, count + 1)).toEqual([]);
});
