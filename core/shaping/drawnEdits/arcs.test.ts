import { numberValue, type DrawnOutline } from '@core/foundations/fields';
import { solved } from '@core/testing/drawnOutline';

import { goesOnFrom, problemIn, withArcAbout, withPoint, withTangentArc } from '.';

const n = numberValue;
const point = (id: string, x: number, y: number) => ({ id, x: n(x), y: n(y) });
const line: DrawnOutline = {
  shape: 'drawn',
  points: [point('A', 0, 0), point('B', 10, 0)],
  curves: [{ kind: 'line', from: 'A', to: 'B', id: 'c1' }],
  relations: [],
};
const arcIn = (outline: DrawnOutline) => {
  const arc = solved(outline).curves.find(({ kind }) => kind === 'arc');
  if (arc?.kind !== 'arc') throw new Error('no arc');
  return arc;
};

test('a tangent arc leaves the end of a line and of an arc without a corner, from either end', () => {
  // From (10, 0) going right to (16, 6): a quarter about (10, 6).
  const [added, to] = withPoint(line, [16, 6]);
  const [next, id] = withTangentArc(added, solved(line), 'B', { id: to, at: [16, 6] }, {})!;
  const arc = arcIn(next);
  expect([arc.middle[0], arc.middle[1], arc.radius]).toEqual(
    [10, 6, 6].map((mm) => expect.closeTo(mm, 6) as number),
  );
  expect(next.relations).toMatchObject([{ kind: 'tangent', curves: ['c1', id] }]);
  // On from the arc, upward now, to the left: a half round of 4.
  const onward = goesOnFrom(next, solved(next), to)!;
  expect(onward.way).toEqual([expect.closeTo(0, 6), expect.closeTo(1, 6)]);
  const [more, end] = withPoint(next, [8, 6]);
  const [both, second] = withTangentArc(more, solved(next), to, { id: end, at: [8, 6] }, {})!;
  const half = solved(both).curves.find((curve) => curve.id === second);
  expect(half).toMatchObject({ radius: expect.closeTo(4, 6) as number });
  expect((half as { via: readonly number[] }).via[1]).toBeCloseTo(10, 6);
  // From the line's beginning it goes on to the left.
  expect(goesOnFrom(line, solved(line), 'A')!.way).toEqual([expect.closeTo(-1, 9), expect.closeTo(0, 9)]);
});

test('straight ahead, straight back, or where two curves meet there is no tangent arc', () => {
  const at = solved(line);
  for (const place of [
    [15, 0],
    [5, 0],
  ] as const)
    expect(withTangentArc(...([line, at, 'B', { id: 'A', at: place }, {}] as const))).toBeNull();
  const bent: DrawnOutline = {
    ...line,
    points: [...line.points, point('C', 10, 9)],
    curves: [...line.curves, { kind: 'line', from: 'B', to: 'C', id: 'c2' }],
  };
  expect(goesOnFrom(bent, solved(bent), 'B')).toBeNull();
});

test('an arc about a point keeps its middle there, the shorter way round', () => {
  const start: DrawnOutline = { ...line, points: [point('M', 2, 1), point('S', 7, 1)], curves: [] };
  for (const [towards, via] of [
    [
      [2, 4],
      [1, 1],
    ],
    [
      [2, -30],
      [1, -1],
    ],
  ] as const) {
    const [next, to] = withArcAbout(start, ['M', 'S'], [[2, 1], [7, 1], towards], {})!;
    const arc = arcIn(next);
    expect(arc.radius).toBeCloseTo(5, 6);
    expect(arc.middle).toEqual([expect.closeTo(2, 6), expect.closeTo(1, 6)]);
    expect(arc.via[0]).toBeCloseTo(2 + 5 * Math.SQRT1_2, 6);
    expect(arc.via[1]).toBeCloseTo(1 + via[1] * 5 * Math.SQRT1_2, 6);
    // A size of its end moves that along the circle; the middle holds.
    const held: DrawnOutline = {
      ...next,
      relations: [
        ...next.relations,
        { id: 'f1', kind: 'fixed', point: 'M' },
        { id: 'f2', kind: 'fixed', point: 'S' },
      ],
      dimensions: [{ id: 'd1', kind: 'distance', points: ['S', to], value: n(5) }],
    };
    expect(arcIn(held).middle).toEqual([expect.closeTo(2, 5), expect.closeTo(1, 5)]);
    expect(arcIn(held).radius).toBeCloseTo(5, 5);
  }
  expect(
    withArcAbout(
      start,
      ['M', 'S'],
      [
        [2, 1],
        [7, 1],
        [-4, 1],
      ],
      {},
    ),
  ).toBeNull();
});

test('a smooth curve or an ellipse that crosses is told where it does', () => {
  const round: DrawnOutline = {
    ...line,
    points: [point('M', 0, 0), point('K', 8, 0)],
    curves: [
      { kind: 'ellipse', middle: 'M', length: n(20), breadth: n(10), id: 'c1' },
      { kind: 'circle', middle: 'K', diameter: n(8), id: 'c2' },
    ],
  };
  const found = problemIn(solved(round));
  if (found?.kind !== 'crossing') throw new Error(found?.kind ?? 'none');
  const [x, y] = found.at;
  expect((x / 10) ** 2 + (y / 5) ** 2).toBeCloseTo(1, 1);
  expect(Math.hypot(x - 8, y)).toBeCloseTo(4, 1);
  const apart: DrawnOutline = {
    ...round,
    curves: [round.curves[0]!, { ...round.curves[1]!, diameter: n(2) } as never],
  };
  expect(problemIn(solved(apart))).toBeNull();
  const eight: DrawnOutline = {
    ...line,
    points: [point('A', 0, 0), point('B', 20, 10), point('C', 20, 0), point('D', 0, 10)],
    curves: [{ kind: 'spline', points: ['A', 'B', 'C', 'D'], closed: true, id: 'c1' }],
  };
  expect(problemIn(solved(eight))).toMatchObject({ kind: 'crossing' });
  const plain: DrawnOutline = {
    ...eight,
    curves: [{ kind: 'spline', points: ['A', 'C', 'B', 'D'], closed: true, id: 'c1' }],
  };
  expect(problemIn(solved(plain))).toBeNull();
});
