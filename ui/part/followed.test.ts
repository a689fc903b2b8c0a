import type { SolidMesh } from '@core/shaping/part';

import { between } from './followed';

const meshAt = (x: number): SolidMesh => ({
  positions: new Float32Array([x, 0, 0]),
  normals: new Float32Array(3),
  indices: new Uint32Array(),
  faces: [],
  edges: new Float32Array([x, 1, 1, x, 2, 2]),
  edgeRuns: [],
});
const now = meshAt(10);
const high = meshAt(20);
const target = { positions: high.positions, edges: high.edges };

test('between two builds a part is where its number is', () => {
  const morph = { mesh: now, low: null, high: { mesh: high, target } };
  expect([...between({ morph, share: 0.3 }).positions]).toEqual([13, 0, 0]);
  expect([...between({ morph, share: 0.3 }).edges]).toEqual([13, 1, 1, 13, 2, 2]);
  expect([...between({ morph, share: 1 }).positions]).toEqual([20, 0, 0]);
  // What can't be built is not followed, nor made up.
  expect(between({ morph, share: -0.8 })).toMatchObject({ mesh: now, positions: now.positions });
  expect([...now.positions]).toEqual([10, 0, 0]);
});

test('with other faces at its end it is as the nearer of both', () => {
  const morph = { mesh: now, low: { mesh: high, target: null }, high: null };
  expect(between({ morph, share: -0.4 }).mesh).toBe(now);
  expect(between({ morph, share: -0.6 }).mesh).toBe(high);
});
