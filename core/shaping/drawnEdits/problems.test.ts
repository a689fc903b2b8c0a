import { numberValue, type DrawnOutline } from '@core/foundations/fields';
import { closedLines, EMPTY_OUTLINE, solved } from '@core/testing/drawnOutline';
import type { Place } from '@core/shaping/drawn';

import { problemIn, withCurve, withoutCurves, withPoint, withRelation } from '.';

const found = (outline: DrawnOutline) => problemIn(solved(outline));
const square = closedLines(EMPTY_OUTLINE, [
  [0, 0],
  [40, 0],
  [40, 20],
  [0, 20],
]);
function lineFrom(
  outline: DrawnOutline,
  from: readonly [number, number] | string,
  to: readonly [number, number],
) {
  const [one, start] = typeof from === 'string' ? [outline, from] : withPoint(outline, from);
  const [two, end] = withPoint(one, to);
  return withCurve(two, { kind: 'line', from: start, to: end })[0];
}

test('a sound outline has none; construction lines count for nothing', () => {
  expect(found(square.outline)).toBeNull();
  const crossedBy = lineFrom(square.outline, [-5, 5], [50, 6]);
  const helped: DrawnOutline = {
    ...crossedBy,
    curves: crossedBy.curves.map((curve, index) =>
      index === 4 ? { ...curve, helper: true as const } : curve,
    ),
  };
  expect(found(helped)).toBeNull();
  // A circle that just touches a side does not cross it.
  const [one, middle] = withPoint(square.outline, [20, -5]);
  const [touched] = withCurve(one, { kind: 'circle', middle, diameter: numberValue(10) });
  expect(found(touched)).toBeNull();
});

test('ends that were meant to meet, and how they are mended', () => {
  const open = withoutCurves(square.outline, new Set([square.curves[3]!]));
  // The fourth side, ending half a millimetre beside the first corner.
  const gap = lineFrom(open, square.points[3]!, [0.3, 0.4]);
  const problem = found(gap);
  expect(problem).toMatchObject({ kind: 'gap', gapMm: expect.closeTo(0.5, 6) });
  if (problem?.kind !== 'gap') throw new Error();
  expect(found(withRelation(gap, { kind: 'coincident', points: [...problem.points] }))).toBeNull();
  expect(found(open)).toEqual({ kind: 'open', count: 2, at: expect.anything() });
});

test('doubled, of no length, three at one point, crossing', () => {
  expect(found(lineFrom(square.outline, [10, 0], [25, 0]))).toMatchObject({ kind: 'doubled', at: [17.5, 0] });
  const [point] = withCurve(square.outline, { kind: 'line', from: 'P1', to: 'P1' });
  expect(found(point)).toMatchObject({ kind: 'noLength', at: [0, 0] });
  const [three] = withCurve(square.outline, { kind: 'line', from: 'P1', to: 'P3' });
  expect(found(three)).toMatchObject({ kind: 'fork' });
  const [one, middle] = withPoint(square.outline, [40, 10]);
  const [round] = withCurve(one, { kind: 'circle', middle, diameter: numberValue(8) });
  expect(found(round)).toMatchObject({ kind: 'crossing', at: [40, expect.closeTo(6, 9)] });
  const [two, same] = withPoint(round, [40, 10]);
  const [twice] = withCurve(two, { kind: 'circle', middle: same, diameter: numberValue(8) });
  expect(found(twice)).toMatchObject({ kind: 'doubled' });
});

test('a path may be open and cross itself; a third loose end, and what almost meets, are told', () => {
  const solid = { points: new Map<string, Place>(), helper: false };
  const line = (id: string, from: Place, to: Place) => ({
    kind: 'line' as const,
    id,
    from,
    to,
    helper: false,
  });
  const of = (...curves: ReturnType<typeof line>[]) => {
    const places = curves.flatMap(({ from, to }) => [from, to]);
    return { ...solid, points: new Map(places.map((at, index) => [`P${index}`, at])), curves };
  };
  const cross = of(line('a', [0, 0], [40, 0]), line('b', [40, 0], [40, 30]), line('c', [40, 30], [10, -20]));
  expect(problemIn(cross)).toMatchObject({ kind: 'open' });
  expect(problemIn(cross, 'path')).toBeNull();
  const pieces = of(line('a', [0, 0], [40, 0]), line('b', [0, 30], [40, 30]));
  expect(problemIn(pieces, 'path')).toMatchObject({ kind: 'open', count: 4 });
  const gap = of(line('a', [0, 0], [40, 0]), line('b', [40.5, 0], [40, 30]));
  expect(problemIn(gap, 'path')).toMatchObject({ kind: 'gap' });
});
