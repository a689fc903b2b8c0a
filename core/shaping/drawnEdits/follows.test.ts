import { numberValue, type DrawnOutline, type Followed } from '@core/foundations/fields';
import { solved } from '@core/testing/drawnOutline';

import {
  followingOf,
  followsPart,
  letGo,
  mayBeScaled,
  turnedOver,
  withFollowing,
  withMirrored,
  withRoundedCorner,
  withSeenPlaces,
  withSplit,
  withTrimmed,
} from '.';

const of: Followed = { edge: { tags: ['block:top', 'block:right'], near: [20, 0, 6] } };
const line = { kind: 'line', from: [20, -10], to: [20, 10] } as const;
const n = numberValue;
const EMPTY: DrawnOutline = {
  shape: 'drawn',
  points: [{ id: 'O', x: n(0), y: n(0) }],
  curves: [],
  relations: [],
};
/** An edge that is followed, and a line across it. */
function crossed(): { outline: DrawnOutline; edge: string } {
  const [outline, { curve }] = withFollowing(EMPTY, { of, curve: line });
  return {
    edge: curve!,
    outline: {
      ...outline,
      points: [...outline.points, { id: 'S', x: n(10), y: n(1) }, { id: 'T', x: n(30), y: n(1) }],
      curves: [...outline.curves, { kind: 'line', from: 'S', to: 'T', id: 'across' }],
    },
  };
}

test('what is followed comes as a construction line at its place, once', () => {
  const [outline, { curve }] = withFollowing(EMPTY, { of, curve: line });
  expect(outline.curves).toMatchObject([{ id: curve, kind: 'line', helper: true, follows: of }]);
  expect(followsPart(outline)).toBe(true);
  expect(followingOf(outline, of)).toEqual({ curve });
  expect(followingOf(EMPTY, of)).toBeNull();
  const [arcs, arc] = withFollowing(EMPTY, {
    of,
    curve: { kind: 'arc', from: [1, 0], via: [0, 1], to: [-1, 0] },
  });
  expect(arcs.points).toHaveLength(4);
  expect(arc.point).toBeUndefined();
  const [corner, point] = withFollowing(EMPTY, { of, curve: { kind: 'point', at: [3, 4] } });
  expect(corner.points.at(-1)).toMatchObject({ id: point.point, x: n(3), y: n(4), follows: of });
  expect(corner.curves).toEqual([]);
});

test('what follows does not move for a size; what is sized from it does', () => {
  const { outline, edge } = crossed();
  const sized: DrawnOutline = {
    ...outline,
    dimensions: [{ id: 'd1', kind: 'fromLine', point: 'S', curve: edge, value: n(7) }],
  };
  const { points, offMm } = solved(sized);
  expect(offMm).toBeLessThan(1e-6);
  expect(points.get('S')![0]).toBeCloseTo(13, 6);
  const [from] = sized.curves
    .filter(({ id }) => id === edge)
    .map((curve) => (curve as { from: string }).from);
  expect(points.get(from!)).toEqual([20, -10]);
  // The length of the edge is the part's: another can't be held.
  const against: DrawnOutline = {
    ...outline,
    dimensions: [{ id: 'd1', kind: 'distance', points: [from!, 'P2'], value: n(30) }],
  };
  expect(solved(against).offMm).toBeGreaterThan(1);
});

test('what follows is not cut, rounded, turned over or scaled; a mirrored copy is by itself', () => {
  const { outline, edge } = crossed();
  const at = solved(outline);
  expect(withTrimmed(outline, at, edge, [20, -5])).toEqual({ ok: false, fault: 'follows' });
  expect(withSplit(outline, at, edge, [20, -5])).toEqual({ ok: false, fault: 'follows' });
  // The line that crosses it is cut by it as by any other.
  expect(withTrimmed(outline, at, 'across', [28, 1]).ok).toBe(true);
  expect(turnedOver(outline)).toBeNull();
  expect(mayBeScaled(outline)).toBe(false);
  const cornered = {
    ...outline,
    curves: [
      ...outline.curves.map(({ helper: _, ...curve }) => curve),
      { kind: 'line', from: 'P2', to: 'T', id: 'last' },
    ],
  } as DrawnOutline;
  expect(withRoundedCorner(cornered, solved(cornered), 'P2', 1, n(1))).toBeNull();
  const mirrored = withMirrored(outline, at, new Set([edge]), 'across')!;
  expect(mirrored.curves).toHaveLength(3);
  expect(mirrored.curves.filter(({ follows }) => follows)).toHaveLength(1);
});

test('let go it stays as it is drawn; seen elsewhere it is put there, and nothing else is', () => {
  const { outline, edge } = crossed();
  const free = letGo(outline, { points: new Set(), curves: new Set([edge]) });
  expect(followsPart(free)).toBe(false);
  expect(free.points).toEqual(outline.points);
  const places = { points: { P1: [26, -12], P2: [26, 12], S: [99, 99] }, diameters: {} } as const;
  const moved = withSeenPlaces(outline, places);
  expect(moved.points.find(({ id }) => id === 'P1')).toMatchObject({ x: n(26), y: n(-12) });
  expect(moved.points.find(({ id }) => id === 'S')).toMatchObject({ x: n(10), y: n(1) });
  // What follows nothing is the very same: areas that are chosen of it stay chosen.
  expect(withSeenPlaces(free, places)).toBe(free);
  const [bored, { curve }] = withFollowing(EMPTY, {
    of,
    curve: { kind: 'circle', middle: [1, 2], radius: 4 },
  });
  const wider = withSeenPlaces(bored, { points: {}, diameters: { [curve!]: 9 } });
  expect(wider.curves[0]).toMatchObject({ diameter: n(9) });
});
