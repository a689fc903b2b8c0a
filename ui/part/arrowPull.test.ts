import type { SolidMesh } from '@core/shaping/part';

import { canBePulled, motionOfEnd, pulledMm } from './arrowPull';

/** A disc's rim, seen as its two ends: as wide, and so high. */
const rim = (diameter: number, height: number): SolidMesh => ({
  positions: new Float32Array(),
  normals: new Float32Array(),
  indices: new Uint32Array(),
  faces: [],
  edges: new Float32Array([-diameter / 2, 0, height, diameter / 2, 0, height]),
  edgeRuns: [],
});
const now = rim(20, 6);
const grown = (to: SolidMesh) => ({
  mesh: now,
  low: null,
  high: { mesh: to, target: { positions: to.positions, edges: to.edges } },
});
const RIGHT = { at: [10, 0, 6] as const, along: [1, 0, 0] as const };

test('a pull counts along its arrow only, by the scale of the view', () => {
  const arrow = { ...RIGHT, tip: { x: 100, y: 50 }, perMm: { x: 3, y: -4 } };
  expect(pulledMm(arrow, { x: 100, y: 50 }, { x: 130, y: 10 })).toBeCloseTo(10);
  // Square to the arrow nothing is pulled.
  expect(pulledMm(arrow, { x: 100, y: 50 }, { x: 140, y: 80 })).toBeCloseTo(0);
  expect(canBePulled(arrow)).toBe(true);
  expect(canBePulled({ ...arrow, perMm: { x: 0.05, y: 0.05 } })).toBe(false);
});

test('the end of a diameter goes out by half of it, the top of a height by all, and what stays is pulled by itself', () => {
  const range = { middle: 20, high: 24 };
  expect(motionOfEnd(grown(rim(24, 6)), RIGHT, range)).toBeCloseTo(0.5);
  const up = { at: [10, 0, 6] as const, along: [0, 0, 1] as const };
  expect(motionOfEnd(grown(rim(20, 9)), up, { middle: 6, high: 9 })).toBeCloseTo(1);
  // A recess that deepens goes away from where its arrow points.
  expect(motionOfEnd(grown(rim(20, 3)), up, { middle: 2, high: 5 })).toBeCloseTo(-1);
  expect(motionOfEnd(grown(rim(20, 9)), RIGHT, { middle: 6, high: 9 })).toBe(1);
});

test('as long as the range is not built, or the end is no point of the part, a millimetre is one', () => {
  expect(motionOfEnd(null, RIGHT, { middle: 20, high: 24 })).toBe(1);
  const away = { at: [40, 0, 0] as const, along: [1, 0, 0] as const };
  expect(motionOfEnd(grown(rim(24, 6)), away, { middle: 20, high: 24 })).toBe(1);
});
