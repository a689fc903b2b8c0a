import { arc, circle, drawnDraft, line, type DimensionDraft, type RelationDraft } from '@core/testing/drawn';

import { conflictOf, isMet, solveDrawn, studyDrawn, type DrawnInput } from '.';

const at = (input: DrawnInput, id: string) => {
  const solved = solveDrawn(input);
  expect(isMet(solved)).toBe(true);
  return solved.points.get(id)!;
};
const distance = ([ax, ay]: readonly [number, number], [bx, by]: readonly [number, number]) =>
  Math.hypot(ax - bx, ay - by);

/** A rough four-sided outline. */
const rough = { A: [0, 0], B: [41, 1], C: [39, 22], D: [-1, 19] } as const;
const sides = [line('A', 'B'), line('B', 'C'), line('C', 'D'), line('D', 'A')];
const rectangle: RelationDraft[] = [
  { kind: 'fixed', point: 'A' },
  { kind: 'level', points: ['A', 'B'] },
  { kind: 'upright', points: ['B', 'C'] },
  { kind: 'level', points: ['C', 'D'] },
  { kind: 'upright', points: ['D', 'A'] },
];
const between = (a: string, b: string, mm: number): DimensionDraft => ({
  kind: 'distance',
  points: [a, b],
  mm,
});

describe('a rectangle', () => {
  test('is what its relations and two sizes say, and nothing is left to move', () => {
    const input = drawnDraft(rough, sides, rectangle, [between('A', 'B', 50), between('B', 'C', 30)]);
    const studied = studyDrawn(input);
    expect(studied.points.get('C')![0]).toBeCloseTo(50, 6);
    expect(studied.points.get('C')![1]).toBeCloseTo(30, 6);
    expect(studied.points.get('D')![0]).toBeCloseTo(0, 6);
    expect(studied.freedom).toMatchObject({ waysLeft: 0, asWhole: 0 });
    expect(studied.conflict).toEqual([]);
  });

  test('tells how many ways are left, and what still moves', () => {
    const one = studyDrawn(drawnDraft(rough, sides, rectangle, [between('A', 'B', 50)]));
    expect(one.freedom.waysLeft).toBe(1);
    // Its height alone: C and D go up and down.
    expect([...one.freedom.points.keys()].sort()).toEqual(['C', 'D']);
    const [x, y] = one.freedom.points.get('C') as [number, number];
    expect([Math.abs(x), Math.abs(y)]).toEqual([expect.closeTo(0, 6), expect.closeTo(1, 6)]);
    const none = studyDrawn(drawnDraft(rough, sides));
    expect(none.freedom).toMatchObject({ waysLeft: 8, asWhole: 3 });
    const unfixed = studyDrawn(drawnDraft(rough, sides, rectangle.slice(1), [between('A', 'B', 50)]));
    expect(unfixed.freedom).toMatchObject({ waysLeft: 3, asWhole: 2 });
  });

  test('moves as little as it can where little is said', () => {
    const solved = solveDrawn(drawnDraft(rough, sides, [{ kind: 'level', points: ['A', 'B'] }]));
    expect(solved.points.get('A')![1]).toBeCloseTo(0.5, 9);
    expect(solved.points.get('C')).toEqual([39, 22]);
  });
});

describe('each relation', () => {
  const pair = { A: [0, 0], B: [30, 2], C: [3, 12], D: [36, 19], M: [12, 8] } as const;
  const two = [line('A', 'B'), line('C', 'D')];
  const heading = (input: DrawnInput, [a, b]: [string, string]) => {
    const { points } = solveDrawn(input);
    const [p, q] = [points.get(a)!, points.get(b)!];
    return Math.atan2(q[1] - p[1], q[0] - p[0]);
  };
  const hold = (relation: RelationDraft, curves = two) => drawnDraft(pair, curves, [relation]);

  test('parallel, square, collinear', () => {
    const parallel = hold({ kind: 'parallel', curves: ['AB', 'CD'] });
    expect(heading(parallel, ['A', 'B'])).toBeCloseTo(heading(parallel, ['C', 'D']), 8);
    const square = hold({ kind: 'square', curves: ['AB', 'CD'] });
    expect(Math.abs(heading(square, ['A', 'B']) - heading(square, ['C', 'D']))).toBeCloseTo(Math.PI / 2, 8);
    const collinear = hold({ kind: 'collinear', curves: ['AB', 'CD'] });
    const { points } = solveDrawn(collinear);
    const [a, b, c, d] = ['A', 'B', 'C', 'D'].map((id) => points.get(id)!) as [number, number][];
    for (const [x, y] of [c!, d!])
      expect((b![0] - a![0]) * (y - a![1]) - (b![1] - a![1]) * (x - a![0])).toBeCloseTo(0, 5);
  });

  test('equal lines and circles', () => {
    const lines = solveDrawn(hold({ kind: 'equal', curves: ['AB', 'CD'] })).points;
    expect(distance(lines.get('A')!, lines.get('B')!)).toBeCloseTo(
      distance(lines.get('C')!, lines.get('D')!),
      7,
    );
    const { curves } = solveDrawn(
      drawnDraft(
        { A: [0, 0], B: [40, 0] },
        [circle('A', 10), circle('B', 14)],
        [{ kind: 'equal', curves: ['oA', 'oB'] }],
      ),
    );
    expect(curves.map((curve) => 'radius' in curve && curve.radius)).toEqual([
      expect.closeTo(6, 7),
      expect.closeTo(6, 7),
    ]);
  });

  test('a point on a line, halfway along it, on a circle, on another point', () => {
    const [x, y] = at(hold({ kind: 'midpoint', point: 'M', curve: 'AB' }), 'M');
    const mid = solveDrawn(hold({ kind: 'midpoint', point: 'M', curve: 'AB' })).points;
    expect(x).toBeCloseTo((mid.get('A')![0] + mid.get('B')![0]) / 2, 7);
    expect(y).toBeCloseTo((mid.get('A')![1] + mid.get('B')![1]) / 2, 7);
    const on = drawnDraft(
      { A: [0, 0], P: [7, 7] },
      [circle('A', 16)],
      [
        { kind: 'onCurve', point: 'P', curve: 'oA' },
        { kind: 'fixed', point: 'A' },
      ],
    );
    const solved = solveDrawn(on);
    const round = solved.curves[0] as { radius: number };
    expect(distance(solved.points.get('P')!, [0, 0])).toBeCloseTo(round.radius, 7);
    const joined = solveDrawn(hold({ kind: 'coincident', points: ['B', 'C'] })).points;
    expect(joined.get('B')).toEqual(joined.get('C'));
  });

  test('tangents keep the side on which they are drawn', () => {
    for (const side of [1, -1]) {
      const input = drawnDraft(
        { A: [0, 0], B: [40, 0], M: [15, side * 9] },
        [line('A', 'B'), circle('M', 14)],
        [
          { kind: 'fixed', point: 'A' },
          { kind: 'fixed', point: 'B' },
          { kind: 'tangent', curves: ['oM', 'AB'] },
        ],
        [{ kind: 'diameter', curve: 'oM', mm: 20 }],
      );
      expect(at(input, 'M')[1]).toBeCloseTo(side * 10, 6);
    }
    // Circles side by side touch outside; one within the other, inside.
    const outside = drawnDraft(
      { A: [0, 0], B: [17, 1] },
      [circle('A', 20), circle('B', 10)],
      [{ kind: 'tangent', curves: ['oA', 'oB'] }],
      [
        { kind: 'radius', curve: 'oA', mm: 10 },
        { kind: 'radius', curve: 'oB', mm: 5 },
      ],
    );
    const apart = solveDrawn(outside).points;
    expect(distance(apart.get('A')!, apart.get('B')!)).toBeCloseTo(15, 6);
    const inside = drawnDraft(
      { A: [0, 0], B: [4, 1] },
      [circle('A', 20), circle('B', 10)],
      [{ kind: 'tangent', curves: ['oA', 'oB'] }],
      [
        { kind: 'radius', curve: 'oA', mm: 10 },
        { kind: 'radius', curve: 'oB', mm: 5 },
      ],
    );
    const within = solveDrawn(inside).points;
    expect(distance(within.get('A')!, within.get('B')!)).toBeCloseTo(5, 6);
  });

  test('an arc runs on smoothly from a line and into another arc', () => {
    // A line of 30 along x, then a quarter round of 10 upward: its middle is above the end of the line.
    const input = drawnDraft(
      { A: [0, 0], B: [31, 1], V: [38, 4], C: [41, 12], W: [40, 14.5], D: [43, 17] },
      [line('A', 'B'), arc('B', 'V', 'C'), arc('C', 'W', 'D')],
      [
        { kind: 'fixed', point: 'A' },
        { kind: 'level', points: ['A', 'B'] },
        { kind: 'tangent', curves: ['AB', 'BC'] },
        { kind: 'tangent', curves: ['BC', 'CD'] },
        { kind: 'equal', curves: ['BC', 'CD'] },
      ],
      [
        between('A', 'B', 30),
        { kind: 'radius', curve: 'BC', mm: 10 },
        { kind: 'along', points: ['B', 'C'], axis: 'y', mm: 10 },
        { kind: 'along', points: ['C', 'D'], axis: 'y', mm: 5 },
      ],
    );
    const studied = studyDrawn(input);
    expect(isMet(studied)).toBe(true);
    expect(studied.freedom.waysLeft).toBe(0);
    expect(distance(studied.points.get('C')!, [40, 10])).toBeLessThan(1e-6);
    // The second turns about (50, 10), 30° on.
    expect(distance(studied.points.get('D')!, [50 - 10 * Math.cos(Math.PI / 6), 15])).toBeLessThan(1e-6);
    const [first] = studied.curves.filter((curve) => curve.kind === 'arc');
    expect(distance(first!.middle, [30, 10])).toBeLessThan(1e-6);
  });

  test('mirrored and turned points', () => {
    const input = drawnDraft(
      { A: [0, -10], B: [0, 10], P: [7, 3], Q: [-9, 4] },
      [line('A', 'B'), line('P', 'Q')],
      [
        { kind: 'fixed', point: 'A' },
        { kind: 'fixed', point: 'B' },
        { kind: 'symmetric', points: ['P', 'Q'], about: 'AB' },
      ],
    );
    const { points } = solveDrawn(input);
    expect(points.get('P')![0]).toBeCloseTo(-points.get('Q')![0], 7);
    expect(points.get('P')![1]).toBeCloseTo(points.get('Q')![1], 7);
    const turned = drawnDraft(
      { O: [0, 0], P: [20, 1], Q: [-8, 18] },
      [line('P', 'Q')],
      [
        { kind: 'fixed', point: 'O' },
        { kind: 'fixed', point: 'P' },
        { kind: 'turned', points: ['P', 'Q'], about: 'O', angle: (2 * Math.PI) / 3 },
      ],
    );
    const [x, y] = at(turned, 'Q');
    expect(x).toBeCloseTo(20 * Math.cos((2 * Math.PI) / 3) - Math.sin((2 * Math.PI) / 3), 7);
    expect(y).toBeCloseTo(20 * Math.sin((2 * Math.PI) / 3) + Math.cos((2 * Math.PI) / 3), 7);
  });
});

describe('each dimension', () => {
  const held: RelationDraft[] = [
    { kind: 'fixed', point: 'A' },
    { kind: 'fixed', point: 'B' },
  ];
  test('the rise of an arc says its radius: (c²/4 + h²) / 2h', () => {
    for (const rise of [4, 10, 25]) {
      const input = drawnDraft({ A: [0, 0], V: [20, -6], B: [40, 0] }, [arc('A', 'V', 'B')], held, [
        { kind: 'rise', curve: 'AB', mm: rise },
      ]);
      const studied = studyDrawn(input);
      expect(isMet(studied)).toBe(true);
      const [round] = studied.curves as unknown as [{ radius: number; via: [number, number] }];
      expect(round.radius).toBeCloseTo((400 + rise * rise) / (2 * rise), 5);
      // Beyond half a turn as well, and always on the side where it was drawn.
      expect(round.via[0]).toBeCloseTo(20, 5);
      expect(round.via[1]).toBeCloseTo(-rise, 5);
      expect(studied.freedom.waysLeft).toBe(0);
    }
  });

  test('a diameter across a centre line is twice the distance', () => {
    const input = drawnDraft(
      { A: [0, 0], B: [0, 50], P: [9, 20], Q: [9, 30] },
      [line('A', 'B'), line('P', 'Q')],
      held,
      [
        { kind: 'across', point: 'P', curve: 'AB', mm: 30 },
        { kind: 'fromLine', point: 'Q', curve: 'AB', mm: 11 },
      ],
    );
    expect(at(input, 'P')[0]).toBeCloseTo(15, 7);
    expect(at(input, 'Q')[0]).toBeCloseTo(11, 7);
    expect(solveDrawn(input).measures.get('d0')).toBeCloseTo(30, 7);
  });

  test('an angle is kept on the side where it was drawn, from where the lines meet', () => {
    for (const side of [1, -1])
      for (const degrees of [20, 90, 150]) {
        const input = drawnDraft(
          { A: [0, 0], B: [40, 0], C: [20, side * 25] },
          [line('B', 'A'), line('A', 'C')],
          held,
          [{ kind: 'angle', curves: ['BA', 'AC'], angle: (degrees * Math.PI) / 180 }, between('A', 'C', 30)],
        );
        const [x, y] = at(input, 'C');
        expect(x).toBeCloseTo(30 * Math.cos((degrees * Math.PI) / 180), 6);
        expect(y).toBeCloseTo(side * 30 * Math.sin((degrees * Math.PI) / 180), 6);
      }
  });
});

describe('what contradicts', () => {
  test('is the smallest set, without what has nothing to do with it', () => {
    const input = drawnDraft(
      { ...rough, E: [60, 0], F: [75, 4] },
      [...sides, line('E', 'F')],
      [...rectangle, { kind: 'level', points: ['E', 'F'] }],
      [between('A', 'B', 50), between('B', 'C', 30), between('C', 'D', 48), between('E', 'F', 12)],
    );
    // With both uprights, 48 along C to D lets a level line from A to B be 48 at most; C to D need not be level for that.
    expect(conflictOf(input).sort()).toEqual(['d0', 'd2', 'r1', 'r2', 'r4']);
  });

  test('a triangle that does not close', () => {
    const sizes = [between('A', 'B', 10), between('B', 'C', 10), between('C', 'A', 25)];
    const input = drawnDraft(
      { A: [0, 0], B: [10, 0], C: [5, 9] },
      [line('A', 'B'), line('B', 'C'), line('C', 'A')],
      [],
      sizes,
    );
    expect(conflictOf(input).sort()).toEqual(['d0', 'd1', 'd2']);
  });

  test('one that agrees is one too many, and no contradiction', () => {
    const input = drawnDraft(rough, sides, rectangle, [
      between('A', 'B', 50),
      between('B', 'C', 30),
      between('A', 'C', Math.hypot(50, 30)),
    ]);
    const studied = studyDrawn(input);
    expect(studied.conflict).toEqual([]);
    expect(studied.freedom.oneTooMany.size).toBe(1);
  });
});

describe('measured sizes, more than needed', () => {
  const measured = (mm: readonly [number, number, number]) =>
    drawnDraft(
      rough,
      sides,
      rectangle,
      mm.map((value, index) => ({
        ...between('A', ['B', 'D', 'C'][index]!, value),
        standardMm: 0.02,
      })),
    );

  test('are adjusted together, each by its share', () => {
    // 50 by 30 has a diagonal of 58.310: one taken 0.03 too long takes the sides along.
    const studied = studyDrawn(measured([50, 30, Math.hypot(50, 30) + 0.03]));
    expect(studied.conflict).toEqual([]);
    expect(studied.disagreeing).toEqual([]);
    // One condition, slopes 50/58.31, 30/58.31 and −1: half of the misclosure goes to the diagonal.
    const byId = new Map(studied.residuals.map((one) => [one.id, one]));
    expect(byId.get('d2')!.adjustedMm - byId.get('d2')!.takenMm).toBeCloseTo(-0.015, 4);
    expect(byId.get('d0')!.adjustedMm - 50).toBeCloseTo((0.015 * 50) / Math.hypot(50, 30), 4);
    // Its standard deviation is σ/√2.
    expect(byId.get('d2')!.standardised).toBeCloseTo(0.015 / (0.02 / Math.SQRT2), 2);
  });

  test('one that is far off is told', () => {
    const studied = studyDrawn(measured([50, 30, Math.hypot(50, 30) + 0.4]));
    expect(studied.disagreeing.length).toBeGreaterThan(0);
  });

  test('keep the form in which they are drawn when they change much', () => {
    // A thin triangle by three measured sides and its height: twice as large, its tip stays above.
    const triangle = (times: number) =>
      drawnDraft(
        { A: [0, 0], B: [40, 0], C: [22, 6] },
        [line('A', 'B'), line('B', 'C'), line('C', 'A')],
        [
          { kind: 'fixed', point: 'A' },
          { kind: 'level', points: ['A', 'B'] },
        ],
        (
          [
            ['A', 'B', 40],
            ['B', 'C', Math.hypot(18, 6)],
            ['C', 'A', Math.hypot(22, 6)],
          ] as const
        )
          .map(([a, b, mm]): DimensionDraft => ({ ...between(a, b, times * mm), standardMm: 0.03 }))
          .concat({ kind: 'fromLine', point: 'C', curve: 'AB', mm: times * 6 + 0.02, standardMm: 0.03 }),
      );
    for (const times of [0.5, 1, 2]) {
      const studied = studyDrawn(triangle(times));
      expect(studied.disagreeing).toEqual([]);
      expect(distance(studied.points.get('C')!, [22 * times, 6 * times])).toBeLessThan(0.05);
    }
  });
});
