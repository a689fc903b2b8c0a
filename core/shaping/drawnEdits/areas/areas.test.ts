import { numberValue, type DrawnOutline } from '@core/foundations/fields';
import { isMet } from '@core/shaping/drawn';
import { areaOf, closedLines, EMPTY_OUTLINE, solved, studied } from '@core/testing/drawnOutline';
import { noiseFrom } from '@core/testing/layoutDraft';

import {
  areaAt,
  areasOf,
  faultOfAreas,
  withAreas,
  withCurve,
  withDimension,
  withPlaces,
  withPoint,
  withRelation,
} from '..';

const circleAt = (outline: DrawnOutline, place: readonly [number, number], diameter: number) => {
  const [added, middle] = withPoint(outline, place);
  return withCurve(added, { kind: 'circle', middle, diameter: numberValue(diameter) });
};
/** The outline round the areas at some places. */
function round(outline: DrawnOutline, ...places: (readonly [number, number])[]): DrawnOutline {
  const drawing = solved(outline);
  const areas = areasOf(drawing.curves)!;
  return withAreas(outline, drawing, areas, new Set(places.map((place) => areaAt(areas, place)!)));
}
function expectSound(outline: DrawnOutline, ways: number) {
  const now = studied(outline);
  expect(isMet(now)).toBe(true);
  expect([...now.freedom.oneTooMany]).toEqual([]);
  expect(now.freedom.waysLeft).toBe(ways);
}
const waysOf = (outline: DrawnOutline) => studied(outline).freedom.waysLeft;

describe('two circles that overlap', () => {
  const [one, first] = circleAt(EMPTY_OUTLINE, [0, 0], 20);
  const [both, second] = circleAt(one, [12, 0], 20);
  // Two segments of half angle acos(6 / 10).
  const half = Math.acos(0.6);
  const lens = 100 * (2 * half - Math.sin(2 * half));
  const disc = 100 * Math.PI;

  test('have three areas; a tap takes what is meant', () => {
    const areas = areasOf(solved(both).curves)!;
    expect(areas.areas).toHaveLength(3);
    expect(areaAt(areas, [40, 0])).toBeNull();
    expect(
      new Set(
        [
          [-5, 0],
          [6, 0],
          [17, 0],
        ].map((at) => areaAt(areas, at as [number, number])),
      ).size,
    ).toBe(3);
  });

  test('in common, together, and one without the other', () => {
    const ways = waysOf(both);
    for (const [places, expected] of [
      [[[6, 0]], lens],
      [
        [
          [-5, 0],
          [6, 0],
          [17, 0],
        ],
        2 * disc - lens,
      ],
      [[[-5, 0]], disc - lens],
      [
        [
          [-5, 0],
          [6, 0],
        ],
        disc,
      ],
    ] as [[number, number][], number][]) {
      const outline = round(both, ...places);
      expect(areaOf(outline)).toBeCloseTo(expected, 5);
      expectSound(outline, ways);
    }
  });

  test('those that touch in points alone, or lie apart, are no outline', () => {
    const areas = areasOf(solved(both).curves)!;
    const chosen = (...places: [number, number][]) => new Set(places.map((place) => areaAt(areas, place)!));
    expect(faultOfAreas(areas, chosen([-5, 0], [17, 0]))).toBe('touchInPoint');
    expect(faultOfAreas(areas, chosen([-5, 0], [6, 0], [17, 0]))).toBeNull();
    const [third] = circleAt(both, [60, 0], 20);
    const apart = areasOf(solved(third).curves)!;
    const two = new Set([areaAt(apart, [6, 0])!, areaAt(apart, [60, 0])!]);
    expect(faultOfAreas(apart, two)).toBe('apart');
  });

  test('it follows when a circle changes', () => {
    let union = round(both, [-5, 0], [6, 0], [17, 0]);
    for (const curve of [first, second])
      union = withDimension(union, { kind: 'diameter', curve, value: numberValue(20) })[0];
    union = withRelation(union, { kind: 'fixed', point: 'P1' });
    union = withRelation(union, { kind: 'level', points: ['P1', 'P2'] });
    union = withDimension(union, { kind: 'distance', points: ['P1', 'P2'], value: numberValue(16) })[0];
    const wider = Math.acos(0.8);
    const now = withPlaces(union, solved(union));
    expect(areaOf(now)).toBeCloseTo(2 * disc - 100 * (2 * wider - Math.sin(2 * wider)), 5);
  });
});

test('a plate with a slot drawn over its edge, a hole within it, and lines that lead nowhere', () => {
  const plate = closedLines(EMPTY_OUTLINE, [
    [0, 0],
    [40, 0],
    [40, 20],
    [0, 20],
  ]);
  const slot = closedLines(plate.outline, [
    [15, 12],
    [25, 12],
    [25, 30],
    [15, 30],
  ]);
  const [holed] = circleAt(slot.outline, [8, 8], 6);
  const [p, from] = withPoint(holed, [30, 5]);
  const [q, to] = withPoint(p, [60, 6]);
  const [loose] = withCurve(q, { kind: 'line', from, to });
  const ways = waysOf(loose);
  // The plate less the slot, less the hole: 800 − 80 − 9 π. The line that sticks out is no part of it.
  const less = round(loose, [5, 15]);
  expect(areaOf(less)).toBeCloseTo(800 - 80 - 9 * Math.PI, 5);
  expectSound(less, ways);
  // The upper side is in two pieces now: one of them has its faces, so that what was picked there is found.
  const upper = less.curves.filter(({ face }) => face === `curve${plate.curves[2]}`);
  expect(upper).toHaveLength(1);
  // With the slot, and the hole filled in.
  const all = round(loose, [5, 15], [20, 15], [20, 25], [8, 8]);
  expect(areaOf(all)).toBeCloseTo(800 + 100, 5);
  expectSound(all, ways);
});

test('tangent curves have no area between them where they part', () => {
  // A half disc on a line, the line going on as its tangent: 10 across, on a rectangle below.
  const base = closedLines(EMPTY_OUTLINE, [
    [-20, -10],
    [20, -10],
    [20, 0],
    [-20, 0],
  ]);
  const [top] = circleAt(base.outline, [0, 5], 10);
  // The circle touches the upper side at (0, 0) from above: two areas that meet in a point.
  const areas = areasOf(solved(top).curves)!;
  expect(areas.areas).toHaveLength(2);
  expect(areaAt(areas, [0, 5])).not.toBe(areaAt(areas, [0, -5]));
  expect(areaOf(round(top, [0, -5]))).toBeCloseTo(400, 6);
});

test('a smooth curve that crosses another is not cut', () => {
  const { outline } = closedLines(EMPTY_OUTLINE, [
    [0, 0],
    [20, 0],
    [20, 20],
  ]);
  let next = outline;
  const points = [
    [-5, 5],
    [10, 12],
    [30, 6],
  ].map((place) => {
    const [added, id] = withPoint(next, place as [number, number]);
    next = added;
    return id;
  });
  [next] = withCurve(next, { kind: 'spline', points, closed: false });
  expect(areasOf(solved(next).curves)).toBeNull();
});

test('on circles and lines that nobody thought of: areas add up, and whatever is taken has its own', () => {
  const { uniform } = noiseFrom(34);
  let taken = 0;
  for (let turn = 0; turn < 50; turn += 1) {
    let outline = EMPTY_OUTLINE;
    for (let index = 0; index < 4; index += 1) {
      const at = () => [60 * uniform() - 30, 60 * uniform() - 30] as const;
      if (index % 2 === 0) [outline] = circleAt(outline, at(), 20 + 30 * uniform());
      else ({ outline } = closedLines(outline, [at(), at(), at()]));
    }
    outline = withPlaces(outline, solved(outline));
    const drawing = solved(outline);
    const areas = areasOf(drawing.curves)!;
    const ways = waysOf(outline);
    // Area by counting a fine grid, against what is enclosed.
    const chosen = Math.floor(uniform() * areas.areas.length);
    const inside = (place: readonly [number, number]) => areaAt(areas, place) === chosen;
    let count = 0;
    const step = 0.8;
    const along = (axis: 0 | 1) => areas.areas[chosen]!.round.map((place) => place[axis]);
    const [left, right, bottom, top] = [
      Math.min(...along(0)),
      Math.max(...along(0)),
      Math.min(...along(1)),
      Math.max(...along(1)),
    ];
    for (let x = left; x < right; x += step)
      for (let y = bottom; y < top; y += step) if (inside([x + step / 2, y + step / 2])) count += step * step;
    if (count < 40) continue;
    const next = withAreas(outline, drawing, areas, new Set([chosen]));
    expectSound(next, ways);
    const found = areaOf(next);
    expect(Math.abs(found - count) / count).toBeLessThan(0.08);
    taken += 1;
  }
  expect(taken).toBeGreaterThan(20);
});
