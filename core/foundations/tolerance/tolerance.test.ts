import {
  isFullTurn,
  isNothing,
  isParallel,
  isSameLength,
  isSamePoint,
  isSameWay,
  isSquare,
} from '@core/foundations/tolerance';

test('what calculating leaves of a metre is nothing; what a micrometer shows is not', () => {
  expect(isNothing(1000.3 - 1000 - 0.3)).toBe(true);
  expect(isSameLength(0.1 + 0.2, 0.3)).toBe(true);
  expect(isSameLength(12.3456, 12.3457)).toBe(false);
  expect(isNothing(-0.0001)).toBe(false);
});

test('a point that is turned there and back is the same, one beside it is not', () => {
  const turned = ([x, y]: readonly [number, number], by: number) =>
    [x * Math.cos(by) - y * Math.sin(by), x * Math.sin(by) + y * Math.cos(by)] as const;
  const far = [950, -240] as const;
  let there: readonly [number, number] = far;
  for (let turn = 0; turn < 1000; turn += 1) there = turned(turned(there, 1.234), -1.234);
  expect(isSamePoint(there, far)).toBe(true);
  expect(isSamePoint([...there, 0.0001], [...far, 0])).toBe(false);
});

test('ways are told by their cosines: along, against and square to each other', () => {
  expect([isParallel(-1), isParallel(1 - 1e-12), isParallel(Math.cos(0.001))]).toEqual([true, true, false]);
  expect([isSameWay(1), isSameWay(-1)]).toEqual([true, false]);
  expect([isSquare(Math.cos(Math.PI / 2)), isSquare(0.001)]).toEqual([true, false]);
});

test('360 degrees is a full turn, 359.99 is not', () => {
  expect(isFullTurn((360 * Math.PI) / 180)).toBe(true);
  expect(isFullTurn((359.99 * Math.PI) / 180)).toBe(false);
});
