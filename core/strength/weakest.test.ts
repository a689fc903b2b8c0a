import type { WeldedMesh } from '@core/part';

import { cutSection } from './cutSection';
import { weakestSection, type HeldLoad, type Made } from './weakest';

/** A box from one corner to another, its faces looking out. */
function box(low: number[], high: number[]): { positions: number[]; indices: number[] } {
  const positions = [0, 1, 2, 3, 4, 5, 6, 7].flatMap((at) =>
    [0, 1, 2].map((axis) => ((at >> axis) & 1 ? high[axis]! : low[axis]!)),
  );
  const quads = [
    [0, 2, 3, 1],
    [4, 5, 7, 6],
    [0, 1, 5, 4],
    [2, 6, 7, 3],
    [0, 4, 6, 2],
    [1, 3, 7, 5],
  ];
  return { positions, indices: quads.flatMap(([a, b, c, d]) => [a!, b!, c!, a!, c!, d!]) };
}
/** Boxes that do not touch or overlap: each counts by itself. A hole is one turned inside out. */
function meshOf(...parts: { positions: number[]; indices: number[] }[]): WeldedMesh {
  const indices = parts.flatMap((part, index) =>
    part.indices.map(
      (corner) =>
        corner + parts.slice(0, index).reduce((sum, { positions }) => sum + positions.length / 3, 0),
    ),
  );
  return {
    positions: new Float32Array(parts.flatMap(({ positions }) => positions)),
    indices: new Uint32Array(indices),
  };
}
const insideOut = ({ positions, indices }: ReturnType<typeof box>) => ({
  positions,
  indices: indices.map((_, at) => indices[at % 3 === 1 ? at + 1 : at % 3 === 2 ? at - 1 : at]!),
});

const arm = meshOf(box([0, -3, 0], [60, 3, 4]));
const load: HeldLoad = { forceN: 50, way: [0, 0, -1], at: [60, 0, 4], heldAt: [0, 0, 2] };
const made: Made = { alongMpa: 30, across: 0.5, down: [0, 0, -1] };

test('a section of a hollow bar has the area and moments of the tables', () => {
  const hollow = meshOf(box([0, -5, -4], [30, 5, 4]), insideOut(box([-1, -3, -2], [31, 3, 2])));
  const section = cutSection(hollow, { axis: 0, at: 12.3 })!;
  expect(section.areaMm2).toBeCloseTo(10 * 8 - 6 * 4, 6);
  // About y and z: b h³ / 12, outside less inside.
  expect(section.ixx).toBeCloseTo((10 * 8 ** 3 - 6 * 4 ** 3) / 12, 4);
  expect(section.iyy).toBeCloseTo((8 * 10 ** 3 - 4 * 6 ** 3) / 12, 4);
  expect(section.ixy).toBeCloseTo(0, 4);
  expect(section.pieces).toBe(1);
  expect(cutSection(hollow, { axis: 0, at: 40 })).toBeNull();
});

test.each([0, 1, 2] as const)('cut square to axis %d it is enclosed to the left', (axis) => {
  const section = cutSection(meshOf(box([1, 2, 3], [5, 8, 12])), { axis, at: 4 })!;
  const [u, v] = [(axis + 1) % 3, (axis + 2) % 3];
  const sides = [4, 6, 9];
  expect(section.areaMm2).toBeCloseTo(sides[u]! * sides[v]!, 6);
  expect(section.middle[0]).toBeCloseTo([3, 5, 7.5][u]!, 6);
});

test('an arm that is pressed at its end is weakest where it is held: M c / I', () => {
  const weakest = weakestSection(arm, load, made)!;
  // 50 N at 60 mm on a section 6 broad and 4 high: 3000 · 6 / (6 · 16).
  expect(weakest.stressMpa).toBeCloseTo((50 * 60 * 6) / (6 * 4 ** 2), 0);
  expect(weakest.plane.axis).toBe(0);
  expect(weakest.plane.at).toBeLessThan(0.1);
  expect(weakest.leverMm).toBeCloseTo(60, 1);
  // Its layers lie along the pull.
  expect(weakest.borneMpa).toBe(30);
  expect(weakest.mostN).toBeCloseTo((30 / weakest.stressMpa) * 50, 6);
  expect(weakest.thicker).toBeCloseTo(Math.sqrt(weakest.stressMpa / 30), 6);
});

test('made as thick as it says, it just bears it', () => {
  const { thicker } = weakestSection(arm, load, made)!;
  const thick = meshOf(box([0, -3, 0], [60, 3, 4 * thicker!]));
  expect(weakestSection(thick, load, made)!.times).toBeCloseTo(1, 3);
});

test('stood on its end its layers are pulled apart, and it bears half as much', () => {
  const standing = weakestSection(arm, load, { ...made, down: [-1, 0, 0] })!;
  expect(standing.borneMpa).toBeCloseTo(15, 6);
  expect(standing.mostN).toBeCloseTo(weakestSection(arm, load, made)!.mostN / 2, 6);
});

test('a notch half way is found, if it is deep enough', () => {
  // Half as high at 30 mm: half the moment on a quarter of the modulus.
  const parts = [box([0, -3, 0], [29, 3, 4]), box([29, -3, 0], [31, 3, 2]), box([31, -3, 0], [60, 3, 4])];
  const weakest = weakestSection(meshOf(...parts), load, made)!;
  expect(weakest.plane.at).toBeGreaterThan(28.9);
  expect(weakest.plane.at).toBeLessThan(31.1);
  // At the nearest plane to the notch's end that is further from the load.
  expect(weakest.stressMpa).toBeCloseTo((50 * (60 - weakest.plane.at) * 6) / (6 * 2 ** 2), 3);
});

test('pulled along itself it bears by its area', () => {
  const { stressMpa, thicker } = weakestSection(
    arm,
    { ...load, way: [1, 0, 0], at: [60, 0, 2], forceN: 960 },
    made,
  )!;
  expect(stressMpa).toBeCloseTo(960 / 24, 6);
  expect(thicker).toBeCloseTo(40 / 30, 6);
});

test('a load beside the middle twists it, which is told', () => {
  const { twisted } = weakestSection(arm, { ...load, at: [60, 20, 4], heldAt: [40, 0, 2] }, made)!;
  expect(twisted).toBeGreaterThan(0.7);
  expect(weakestSection(arm, load, made)!.twisted).toBeLessThan(0.02);
});

test('where the plane goes through two arms nothing is claimed', () => {
  const fork = meshOf(box([0, -8, 0], [60, -4, 4]), box([0, 4, 0], [60, 8, 4]));
  expect(weakestSection(fork, load, made)).toBeNull();
});
