import type { DrawnOutline } from '@core/foundations/fields';
import { numberValue } from '@core/record/model';
import { drawnInput, studyDrawn, type DrawnData, type SolvedCurve } from '@core/shaping/drawn';
import { withDimension, withRelation, drawnFromCurves } from '@core/shaping/drawnEdits';

import { fitted, hitAt, panned, pointsAlong, resized, toMm, toPx, zoomed } from './boardView';
import { typedPlace } from './DrawBar';
import { dimensionLines, marksOf } from './marks';

const view = fitted(
  [
    [0, 0],
    [80, 20],
  ],
  390,
  500,
);

describe('the board', () => {
  test('has all of a drawing on it, and tells places both ways', () => {
    for (const place of [
      [0, 0],
      [80, 20],
      [37, 4.5],
    ] as const) {
      const [x, y] = toPx(view, place);
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(390);
      expect(y).toBeGreaterThanOrEqual(0);
      expect(y).toBeLessThanOrEqual(500);
      const [mx, my] = toMm(view, [x, y]);
      expect(mx).toBeCloseTo(place[0], 9);
      expect(my).toBeCloseTo(place[1], 9);
    }
  });

  test('zooms about the finger, moves with it, and keeps its place when it is made smaller', () => {
    const finger = [120, 300] as const;
    const under = toMm(view, finger);
    const larger = zoomed(view, 2, finger);
    expect(larger.scale).toBeCloseTo(2 * view.scale, 9);
    expect(toMm(larger, finger)).toEqual([expect.closeTo(under[0], 9), expect.closeTo(under[1], 9)]);
    const [x, y] = toPx(view, under);
    expect(toPx(panned(view, 10, -7), under)).toEqual([expect.closeTo(x + 10, 9), expect.closeTo(y - 7, 9)]);
    expect(toPx(resized(view, 390, 320), under)).toEqual([expect.closeTo(x, 9), expect.closeTo(y, 9)]);
  });

  test('a finger picks a point before a curve, and a curve along all of its length', () => {
    const curve: SolvedCurve = { id: 'c', helper: false, kind: 'line', from: [0, 0], to: [80, 20] };
    const points = [['P', [0, 0]] as const];
    expect(hitAt(toPx(view, [1, 1]), view, points, [curve])).toEqual({ point: 'P' });
    expect(hitAt(toPx(view, [40, 11]), view, points, [curve])).toEqual({ curve: 'c' });
    expect(hitAt([5, 5], view, points, [curve])).toBeNull();
  });

  test('arcs run the way round that they were drawn', () => {
    const arc: SolvedCurve = {
      id: 'a',
      helper: false,
      kind: 'arc',
      from: [10, 0],
      via: [-10, 0],
      to: [0, -10],
      middle: [0, 0],
      radius: 10,
    };
    const along = pointsAlong(arc);
    expect(along[0]).toEqual([expect.closeTo(10, 9), expect.closeTo(0, 9)]);
    expect(along.at(-1)).toEqual([expect.closeTo(0, 9), expect.closeTo(-10, 9)]);
    // Three quarters round, over the top.
    expect(Math.max(...along.map(([, y]) => y))).toBeGreaterThan(9.9);
  });
});

test('a place is typed as a length at an angle, or as two distances', () => {
  const mm = (text: string) => (/^-?\d+(\.\d+)?$/.test(text) ? Number(text) : null);
  const [x, y] = typedPlace('24 at 30', mm)!;
  expect(x).toBeCloseTo(24 * Math.cos(Math.PI / 6), 9);
  expect(y).toBeCloseTo(12, 9);
  expect(typedPlace('24@30°', mm)).toEqual([x, y]);
  expect(typedPlace('10, -5', mm)).toEqual([10, -5]);
  expect(typedPlace('10 5', mm)).toEqual([10, 5]);
  // One number with a decimal comma is not two.
  expect(typedPlace('10,5', mm)).toBeNull();
  expect(typedPlace('so far', mm)).toBeNull();
  expect(typedPlace('ten at 30', mm)).toBeNull();
});

describe('marks', () => {
  let outline: DrawnOutline = drawnFromCurves([
    { kind: 'line', from: [0, 0], to: [60, 0] },
    { kind: 'line', from: [60, 0], to: [60, 30] },
    { kind: 'line', from: [60, 30], to: [0, 30] },
    { kind: 'line', from: [0, 30], to: [0, 0] },
  ]);
  const names = outline.points.map(({ id }) => id) as [string, string, string, string];
  for (const [kind, a, b] of [
    ['level', 0, 1],
    ['upright', 1, 2],
    ['level', 2, 3],
  ] as const)
    outline = withRelation(outline, { kind, points: [names[a]!, names[b]!] });
  for (const [a, b, mm] of [
    [0, 1, 60],
    [1, 2, 30],
    [2, 3, 60],
    [0, 2, Math.hypot(60, 30)],
  ] as const)
    [outline] = withDimension(outline, {
      kind: 'distance',
      points: [names[a]!, names[b]!],
      value: numberValue(mm),
    });
  const studied = studyDrawn(
    drawnInput(outline as DrawnData, (path) => {
      const [list, index, key] = path.split('.') as [string, string, 'x' | 'y'];
      const value =
        list === 'points'
          ? outline.points[Number(index)]![key]
          : (outline.dimensions![Number(index)] as { value: { mm: number } }).value;
      return { what: 'measure', tag: null, mm: (value as { mm: number }).mm };
    }),
  );
  const board = fitted(
    [
      [0, 0],
      [60, 30],
    ],
    390,
    520,
  );

  test('stand on the board, none over another', () => {
    const { relations, dimensions } = marksOf(outline, studied, board);
    expect(relations).toHaveLength(3);
    expect(dimensions).toHaveLength(4);
    const boxes = [
      ...dimensions.map((mark) => ({ ...mark, half: [30, 13] as const })),
      ...relations.map((mark) => ({ ...mark, half: [9, 9] as const })),
    ];
    for (const [index, one] of boxes.entries()) {
      expect(one.x).toBeGreaterThanOrEqual(one.half[0]);
      expect(one.x).toBeLessThanOrEqual(390 - one.half[0]);
      for (const other of boxes.slice(index + 1))
        expect(
          Math.abs(one.x - other.x) >= one.half[0] + other.half[0] ||
            Math.abs(one.y - other.y) >= one.half[1] + other.half[1],
        ).toBe(true);
    }
  });

  test('the line of a length is as long as what it measures, and runs through its chip', () => {
    const { dimensions } = marksOf(outline, studied, board);
    const [first] = dimensions;
    const runs = dimensionLines(first!, outline, studied, board);
    const [from, to] = runs[1]!;
    expect(Math.hypot(to![0] - from![0], to![1] - from![1])).toBeCloseTo(
      studied.measures.get(first!.of.id)! * board.scale,
      6,
    );
    expect(from![1]).toBeCloseTo(first!.y, 6);
  });
});
