import { areaOfCorners, type Area } from '@core/making/slice';

import { cavitiesOf } from './cavities';

const LAYER_MM = 0.1;
const square = (half: number, x = 0, y = 0): [number, number][] => [
  [x - half, y - half],
  [x + half, y - half],
  [x + half, y + half],
  [x - half, y + half],
];
const solid = areaOfCorners(square(10));
/** A wall of 2 mm round a room of 16 × 16. */
const ring: Area = [...solid, ...areaOfCorners([...square(8)].reverse())];
/** The same with a gap in its right wall, 4 mm wide. */
const gapped: Area = areaOfCorners([
  [-10, -10],
  [10, -10],
  [10, -2],
  [8, -2],
  [8, -8],
  [-8, -8],
  [-8, 8],
  [8, 8],
  [8, 2],
  [10, 2],
  [10, 10],
  [-10, 10],
]);
const many = (count: number, area: Area) => Array<Area>(count).fill(area);
const found = (...regions: Area[][]) => {
  const work = cavitiesOf(regions.flat(), LAYER_MM, [-10, -10, 10, 10]);
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value;
};

test('a hollow box shuts in what it holds', () => {
  const [room, ...others] = found(many(20, solid), many(100, ring), many(20, solid));
  expect(others).toEqual([]);
  expect(room!.kind).toBe('closed');
  // 16 × 16 × 10 by cells of 0.4.
  expect(room!.mm3 / 2560).toBeCloseTo(1, 1);
  expect(room!.areaMm2 / 256).toBeCloseTo(1, 1);
  expect(room!.at[2]).toBeCloseTo(2, 0);
  expect(Math.hypot(room!.at[0], room!.at[1])).toBeLessThan(12);
});

test('one that stands on the plate with its opening is shut by the plate; a cup sucks', () => {
  expect(found(many(100, ring), many(20, solid)).map(({ kind }) => kind)).toEqual(['closed']);
  const [cup, ...others] = found(many(20, solid), many(100, ring));
  expect(others).toEqual([]);
  expect(cup).toMatchObject({ kind: 'cup' });
  expect(cup!.areaMm2 / 256).toBeCloseTo(1, 1);
  // A tube on the plate is a cup as well: the plate is its bottom.
  expect(found(many(100, ring)).map(({ kind }) => kind)).toEqual(['cup']);
});

test('with a gap at its foot nothing is held; with one higher up it is a cup until there', () => {
  expect(found(many(20, solid), many(20, gapped), many(80, ring), many(20, solid))).toEqual([]);
  const high = found(many(20, solid), many(80, ring), many(20, gapped), many(20, solid));
  expect(high.map(({ kind }) => kind)).toEqual(['cup']);
  // 8 mm up to the gap.
  expect(high[0]!.mm3 / (256 * 8)).toBeCloseTo(1, 1);
});

test('a solid block holds nothing, and neither do two posts', () => {
  expect(found(many(60, solid))).toEqual([]);
  const posts: Area = [...areaOfCorners(square(2, -6)), ...areaOfCorners(square(2, 6))];
  expect(found(many(60, posts))).toEqual([]);
});
