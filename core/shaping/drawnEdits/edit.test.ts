import { numberValue, type DrawnOutline } from '@core/foundations/fields';

import { isMet } from '@core/shaping/drawn';
import { areaOf, closedLines, EMPTY_OUTLINE, length, solved, studied } from '@core/testing/drawnOutline';
import {
  cornerCutBy,
  looksOf,
  mayBeScaled,
  offersFor,
  scaledBy,
  turnedOver,
  withCurve,
  withDimension,
  withMirrored,
  withoutCurves,
  withPlaces,
  withPoint,
  withRelation,
  withRepeatedRound,
  withRoundedCorner,
  withSharpCorner,
} from '.';

/** A plate of 40 by 20 that a hand drew. */
function plate() {
  const { outline, points, curves } = closedLines(EMPTY_OUTLINE, [
    [0, 0],
    [38, 1],
    [41, 22],
    [-1, 19],
  ]);
  const [a, b, c, d] = points as [string, string, string, string];
  let next = withRelation(outline, { kind: 'coincident', points: ['O', a] });
  next = withRelation(next, { kind: 'level', points: [a, b] });
  next = withRelation(next, { kind: 'upright', points: [b, c] });
  next = withRelation(next, { kind: 'parallel', curves: [curves[0]!, curves[2]!] });
  next = withRelation(next, { kind: 'upright', points: [d, a] });
  next = length(next, [a, b], 40);
  next = length(next, [b, c], 20);
  return { outline: withPlaces(next, solved(next)), points, curves };
}

describe('a rounded corner', () => {
  test('keeps all that was said of the sharp one, and comes back as it was', () => {
    const { outline, points } = plate();
    expect(areaOf(outline)).toBeCloseTo(800, 5);
    const rounded = withRoundedCorner(outline, solved(outline), points[2]!, 4, numberValue(4))!;
    const now = studied(rounded);
    expect(now.conflict).toEqual([]);
    expect(now.freedom.waysLeft).toBe(0);
    // r² (1 − π/4) is gone.
    expect(areaOf(rounded)).toBeCloseTo(800 - 16 * (1 - Math.PI / 4), 5);
    // The sharp corner is where it was: the length to it still holds, also when it changes.
    expect(now.points.get(points[2]!)![0]).toBeCloseTo(40, 6);
    const longer: DrawnOutline = {
      ...rounded,
      dimensions: rounded.dimensions!.map((one, index) =>
        index === 0 && one.kind === 'distance' ? { ...one, value: numberValue(55) } : one,
      ),
    };
    expect(isMet(solved(longer))).toBe(true);
    expect(areaOf(longer)).toBeCloseTo(1100 - 16 * (1 - Math.PI / 4), 4);
    const arc = rounded.curves.at(-1)!.id!;
    expect(cornerCutBy(rounded, arc)).toBe(points[2]);
    const sharp = withSharpCorner(rounded, arc)!;
    expect(sharp.relations).toEqual(outline.relations);
    expect(sharp.dimensions).toEqual(outline.dimensions);
    expect(areaOf(sharp)).toBeCloseTo(800, 5);
  });

  test('all four, one after another', () => {
    let { outline } = plate();
    const { points } = plate();
    for (const point of points) {
      outline = withRoundedCorner(outline, solved(outline), point, 3, numberValue(3))!;
      outline = withPlaces(outline, solved(outline));
    }
    expect(studied(outline).freedom.waysLeft).toBe(0);
    expect(areaOf(outline)).toBeCloseTo(800 - (4 - Math.PI) * 9, 4);
  });

  test('is refused where there is no room, or no corner of two lines', () => {
    const { outline, points } = plate();
    expect(withRoundedCorner(outline, solved(outline), points[2]!, 25, numberValue(25))).toBeNull();
    expect(withRoundedCorner(outline, solved(outline), 'O', 2, numberValue(2))).toBeNull();
    expect(withSharpCorner(outline, outline.curves[0]!.id!)).toBeNull();
  });
});

test('an arc of measured rise, repeated three times round a point, is a closed grip of which each arm is alike', () => {
  const [one, a] = withPoint(EMPTY_OUTLINE, [30, 1]);
  const [two, b] = withPoint(one, [-14, 27]);
  const [three, via] = withPoint(two, [14, 24]);
  const [drawn, arc] = withCurve(three, { kind: 'arc', from: a, via, to: b });
  let next = withRepeatedRound(drawn, solved(drawn), new Set([arc]), 'O', 3)!;
  // Three arcs and no points but O, three ends and three middles: the ends are joined.
  expect(next.curves).toHaveLength(3);
  expect(next.points).toHaveLength(7);
  next = withRelation(next, { kind: 'level', points: ['O', a] });
  next = length(next, ['O', a], 32);
  next = withDimension(next, { kind: 'rise', curve: arc, value: numberValue(9) })[0];
  const now = studied(next);
  expect(now.conflict).toEqual([]);
  expect(now.freedom.waysLeft).toBe(0);
  expect(now.freedom.oneTooMany.size).toBe(0);
  // A triangle of side 32√3 with a segment of rise 9 over each side.
  const side = 32 * Math.sqrt(3);
  const radius = ((side * side) / 4 + 81) / 18;
  const sweep = 2 * Math.asin(side / 2 / radius);
  const expected = (Math.sqrt(3) / 4) * side * side + 3 * ((radius * radius) / 2) * (sweep - Math.sin(sweep));
  expect(areaOf(next) / expected).toBeCloseTo(1, 8);
});

test('a tooth that is repeated twelve times leaves its gaps', () => {
  const at = (degrees: number, reach: number) =>
    [reach * Math.cos((degrees * Math.PI) / 180), reach * Math.sin((degrees * Math.PI) / 180)] as const;
  let next = EMPTY_OUTLINE;
  const names: string[] = [];
  for (const place of [at(-6, 20), at(-3, 25), at(3, 25), at(6, 20)]) {
    const [added, id] = withPoint(next, place);
    next = added;
    names.push(id);
  }
  const tooth = new Set<string>();
  for (const [index, from] of names.slice(0, 3).entries()) {
    const [added, id] = withCurve(next, { kind: 'line', from, to: names[index + 1]! });
    next = added;
    tooth.add(id);
  }
  next = withRepeatedRound(next, solved(next), tooth, 'O', 12)!;
  expect(next.curves).toHaveLength(36);
  expect(next.points).toHaveLength(49);
  expect(isMet(solved(next))).toBe(true);
});

test('what is mirrored follows what it mirrors, and ends on the line are shared', () => {
  const [one, a] = withPoint(EMPTY_OUTLINE, [0, 0]);
  const [two, b] = withPoint(one, [0, 30]);
  const [lined, axis] = withCurve(two, { kind: 'line', from: a, to: b, helper: true });
  const [three, c] = withPoint(lined, [12, 0]);
  const [four, d] = withPoint(three, [15, 28]);
  let next = four;
  const drawn = new Set<string>();
  for (const [from, to] of [
    [a, c],
    [c, d],
    [d, b],
  ] as const) {
    const [added, id] = withCurve(next, { kind: 'line', from, to });
    next = added;
    drawn.add(id);
  }
  next = withRelation(next, { kind: 'upright', points: [a, b] });
  next = withRelation(next, { kind: 'coincident', points: ['O', a] });
  next = withMirrored(next, solved(next), drawn, axis)!;
  expect(next.curves).toHaveLength(7);
  expect(next.points).toHaveLength(7);
  next = withDimension(next, { kind: 'across', point: d, curve: axis, value: numberValue(44) })[0];
  const now = solved(next);
  expect(isMet(now)).toBe(true);
  const copies = [...now.points].filter(([id]) => !['O', a, b, c, d].includes(id)).map(([, at]) => at);
  expect(copies.some(([x]) => Math.abs(x + 22) < 1e-5)).toBe(true);
  expect(withMirrored(next, now, new Set([axis]), axis)).toBeNull();
});

test('what is small is copied as it is: nothing of it runs together, nor onto the line', () => {
  const [one, a] = withPoint(EMPTY_OUTLINE, [0, 0]);
  const [two, b] = withPoint(one, [0, 80]);
  const [lined, axis] = withCurve(two, { kind: 'line', from: a, to: b, helper: true });
  let next = lined;
  // A notch of 2 beside a line of 80, and 3 off it.
  const names = [
    [20, 10],
    [3, 10],
    [3, 12],
    [5, 12],
    [20, 12],
  ].map(([x, y]) => {
    const [added, id] = withPoint(next, [x!, y!]);
    next = added;
    return id;
  });
  const run = new Set<string>();
  for (const [index, from] of names.slice(0, -1).entries()) {
    const [added, id] = withCurve(next, { kind: 'line', from, to: names[index + 1]! });
    next = added;
    run.add(id);
  }
  const mirrored = withMirrored(next, solved(next), run, axis)!;
  expect(mirrored.points).toHaveLength(next.points.length + 5);
  expect([...solved(mirrored).points.values()].filter(([x]) => x < -2)).toHaveLength(5);
  const turned = withRepeatedRound(next, solved(next), run, 'O', 2)!;
  expect(turned.points).toHaveLength(next.points.length + 5);
  expect(isMet(solved(turned))).toBe(true);
});

test('a circle about the point that it would be repeated round stays one; an ellipse has no turned copy', () => {
  const [round, id] = withCurve(EMPTY_OUTLINE, { kind: 'circle', middle: 'O', diameter: numberValue(8) });
  expect(withRepeatedRound(round, solved(round), new Set([id]), 'O', 4)!.curves).toHaveLength(1);
  const [oval, own] = withCurve(EMPTY_OUTLINE, {
    kind: 'ellipse',
    middle: 'O',
    length: numberValue(8),
    breadth: numberValue(5),
  });
  expect(withRepeatedRound(oval, solved(oval), new Set([own]), 'O', 4)).toBeNull();
});

test('a first size makes all of a sketch larger or smaller, and leaves its form', () => {
  const { outline } = closedLines(EMPTY_OUTLINE, [
    [0, 0],
    [400, 0],
    [300, 200],
  ]);
  const scaled = scaledBy(outline, 0.1);
  expect(areaOf(scaled)).toBeCloseTo(areaOf(outline) / 100, 6);
  expect(mayBeScaled(outline)).toBe(true);
  // Not what is kept somewhere, sized, or given by a size.
  const kept = withRelation(outline, { kind: 'fixed', point: outline.points[2]!.id });
  expect(mayBeScaled(kept)).toBe(false);
  expect(mayBeScaled(plate().outline)).toBe(false);
  const [given] = withCurve(outline, { kind: 'circle', middle: 'O', diameter: { from: 'size', id: 'a' } });
  expect(mayBeScaled(given)).toBe(false);
});

test('turned over, an outline is its mirror image and still holds', () => {
  const { outline, points } = plate();
  const over = turnedOver(outline)!;
  expect(isMet(solved(over))).toBe(true);
  expect(solved(over).points.get(points[1]!)![0]).toBeCloseTo(-40, 6);
  expect(areaOf(over)).toBeCloseTo(800, 5);
});

test('a curve that goes takes along what was said of it', () => {
  const { outline, points, curves } = plate();
  const less = withoutCurves(outline, new Set([curves[2]!]));
  expect(less.curves).toHaveLength(3);
  expect(less.points).toHaveLength(5);
  expect(less.relations.some((one) => 'curves' in one)).toBe(false);
  expect(less.dimensions).toHaveLength(2);
  const none = withoutCurves(outline, new Set(curves));
  expect(none.points.map(({ id }) => id)).toEqual(['O']);
  expect(none.relations.map(({ kind }) => kind)).toEqual(['fixed']);
  expect(none.dimensions).toEqual([]);
  expect(points).toHaveLength(4);
});

test('what a line looks like, and what can be said of what is picked', () => {
  const { outline, curves, points } = closedLines(EMPTY_OUTLINE, [
    [0, 0],
    [40, 2],
    [41, 30],
  ]);
  const now = solved(outline);
  expect(looksOf(now, outline, curves[0]!)).toEqual([{ kind: 'level', points: [points[0], points[1]] }]);
  expect(looksOf(now, outline, curves[1]!)[0]).toMatchObject({ kind: 'upright' });
  expect(looksOf(now, outline, curves[2]!)).toEqual([]);
  const kinds = (offered: ReturnType<typeof offersFor>) =>
    [...offered.relations, ...offered.dimensions].map(({ kind }) => kind);
  expect(kinds(offersFor(now, outline, [], [curves[0]!, curves[1]!]))).toEqual([
    'parallel',
    'square',
    'equal',
    'collinear',
    'angle',
    'fromLine',
  ]);
  expect(kinds(offersFor(now, outline, [points[0]!], [curves[1]!]))).toEqual([
    'onCurve',
    'midpoint',
    'fromLine',
    'across',
  ]);
  expect(kinds(offersFor(now, outline, [], []))).toEqual([]);
  // A point by itself: from the one that stays.
  expect(kinds(offersFor(now, outline, [points[0]!], []))).toEqual([
    'fixed',
    'level',
    'upright',
    'along',
    'along',
  ]);
  expect(kinds(offersFor(now, outline, ['O'], []))).toEqual(['fixed']);
});
