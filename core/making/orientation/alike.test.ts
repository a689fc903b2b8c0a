import type { Vec3 } from '@core/foundations/vectors';

import { alikeOrientations, type DrawnOrientation } from './alike';

const square = (x: number, side = 10) => ({
  outline: [[x, 0, x + side, 0, x + side, side, x, side]],
  edges: [
    [x, 0, x + side, 0],
    [x + side, 0, x + side, side],
  ],
});
const way = (down: Vec3, picture: DrawnOrientation['picture'], heightMm = 10): DrawnOrientation => ({
  way: { down, heightMm, contactMm2: 100, overhangMm2: 0, across: null },
  picture,
});

test('what looks the same is one, wherever it is drawn; in the order of their firsts', () => {
  const ways = [way([0, 0, -1], square(0)), way([0, 0, 1], square(35)), way([1, 0, 0], square(0, 12))];
  expect(alikeOrientations(ways)).toEqual([[ways[0], ways[1]], [ways[2]]]);
});

test('another height, a line elsewhere or no picture yet keeps them apart', () => {
  const other = { ...square(0), edges: [square(0).edges[0]!, [0, 4, 10, 4]] };
  const ways = [
    way([0, 0, -1], square(0)),
    way([0, 0, 1], square(0), 10.5),
    way([1, 0, 0], other),
    way([0, 1, 0], null),
    way([0, -1, 0], null),
  ];
  expect(alikeOrientations(ways)).toEqual(ways.map((one) => [one]));
});
