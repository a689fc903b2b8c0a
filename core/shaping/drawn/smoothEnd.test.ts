import { numberValue, type DrawnCurve } from '@core/foundations/fields';
import { smoothLine } from '@core/shaping/outline';
import { drawnDraft, line } from '@core/testing/drawn';
import { noiseFrom } from '@core/testing/layoutDraft';

import { isMet, solveDrawn, systemOf, type DrawnInput } from '.';
import { headingOfEnd } from './smoothEnd';

const smooth = (...points: string[]): DrawnCurve => ({ kind: 'spline', points, closed: false, id: 'S' });
const oval = (middle: string, length: number, breadth: number): DrawnCurve => ({
  kind: 'ellipse',
  middle,
  length: numberValue(length),
  breadth: numberValue(breadth),
  id: 'E',
});

/** Slopes of all equations against small differences, where the unknowns begin. */
function expectSlopes(input: DrawnInput) {
  const { equations, unknowns } = systemOf(input);
  for (const { predict } of equations) {
    const { at, slopes } = predict(unknowns.start);
    for (const unknown of new Set(at)) {
      const total = at.reduce((sum, one, index) => (one === unknown ? sum + slopes[index]! : sum), 0);
      const off = (by: number) => {
        const values = Float64Array.from(unknowns.start);
        values[unknown]! += by;
        return predict(values).value;
      };
      expect(total).toBeCloseTo((off(1e-5) - off(-1e-5)) / 2e-5, 5);
    }
  }
}

test('a smooth curve leaves its end as it is drawn, whatever its points', () => {
  const { uniform } = noiseFrom(7);
  for (let round = 0; round < 60; round += 1) {
    const count = 2 + Math.floor(uniform() * 5);
    const places = Array.from({ length: count }, () => [60 * uniform(), 60 * uniform()] as const);
    const [sx, sy] = smoothLine(places, false).slopes[0]!;
    const { value } = headingOfEnd(
      places.map((_, index) => [2 * index, 2 * index + 1] as const),
      places.flat(),
    );
    expect(Math.cos(value - Math.atan2(sy!, sx!))).toBeCloseTo(1, 9);
  }
});

test('it goes on from a line, from an arc and from another smooth curve', () => {
  const points = { A: [0, 0], B: [30, 1], C: [38, 9], D: [36, 20], F: [28, 27] } as const;
  const curves = [line('A', 'B'), smooth('B', 'C', 'D', 'F')];
  const input = drawnDraft(points, curves, [
    { kind: 'fixed', point: 'A' },
    { kind: 'fixed', point: 'D' },
    { kind: 'tangent', curves: ['AB', 'S'] },
  ]);
  expectSlopes(input);
  const solved = solveDrawn(input);
  expect(isMet(solved)).toBe(true);
  const run = ['B', 'C', 'D', 'F'].map((id) => solved.points.get(id)!);
  const [sx, sy] = smoothLine(run, false).slopes[0]!;
  const [bx, by] = run[0]!;
  expect((sx! * by - sy! * bx) / Math.hypot(sx!, sy!) / Math.hypot(bx, by)).toBeCloseTo(0, 7);
  // Onward, not folded back.
  expect(sx! * bx + sy! * by).toBeGreaterThan(0);

  // At its other end an arc about (20, 20) runs into it: square to the radius there.
  const round = drawnDraft(
    { ...points, V: [22, 31], G: [16, 28] },
    [smooth('B', 'C', 'D', 'F'), { kind: 'arc', from: 'F', via: 'V', to: 'G', id: 'R' }],
    [{ kind: 'tangent', curves: ['R', 'S'] }],
  );
  expectSlopes(round);
  const bent = solveDrawn(round);
  expect(isMet(bent)).toBe(true);
  const back = smoothLine(
    ['F', 'D', 'C', 'B'].map((id) => bent.points.get(id)!),
    false,
  ).slopes[0]!;
  const arc = bent.curves[1]!;
  if (arc.kind !== 'arc') throw new Error(arc.kind);
  const [fx, fy] = bent.points.get('F')!;
  expect(
    (back[0]! * (fx - arc.middle[0]) + back[1]! * (fy - arc.middle[1])) / Math.hypot(...back) / arc.radius,
  ).toBeCloseTo(0, 7);

  // It has to share an end: anything else is told.
  const apart = drawnDraft(
    points,
    [line('A', 'D'), smooth('B', 'C', 'F')],
    [{ kind: 'tangent', curves: ['AD', 'S'] }],
  );
  expect([...solveDrawn(apart).misused.values()]).toEqual(['wrongCurves']);
});

test('a line touches an ellipse', () => {
  const slant = drawnDraft(
    { A: [-30, 12], B: [25, 21], M: [0, 0] },
    [line('A', 'B'), oval('M', 40, 20)],
    [
      { kind: 'tangent', curves: ['AB', 'E'] },
      { kind: 'fixed', point: 'M' },
      { kind: 'fixed', point: 'A' },
    ],
  );
  expectSlopes(slant);
  const { points, curves } = solveDrawn(slant);
  const [[ax, ay], [bx, by]] = [points.get('A')!, points.get('B')!];
  const touched = curves[1]!;
  if (touched.kind !== 'ellipse') throw new Error(touched.kind);
  // y = m x + c touches (x/p)² + (y/q)² = 1 where c² = p² m² + q².
  const m = (by - ay) / (bx - ax);
  const c = ay - m * ax;
  const [p, q] = touched.along;
  expect(c ** 2).toBeCloseTo(p ** 2 * m ** 2 + q ** 2, 5);
});
